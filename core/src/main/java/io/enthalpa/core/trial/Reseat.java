package io.enthalpa.core.trial;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.exchanger.CorePorts;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.PortElbow;
import io.enthalpa.core.exchanger.PortTurn;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.joint.Seam;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.JointsSpec.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A body at an end of a pipe set otherwise, where it stands.
 *
 * @param by     how
 * @param of     the body
 * @param figure rad that its housing is clocked to, or the number of the way its port turns
 * @param option with it
 */
record Reseat(Opening by, String of, double figure, BuildOption option) {
    /** Clockings all round; of them those up to a right angle off are tried, the nearest first. */
    private static final int CLOCKINGS = 12;
    /** rad: turned over about the way that the air goes through it. */
    private static final double OVER = Math.PI;
    /** Of a unit vector: a port does not turn the way it looks, nor back. */
    private static final double ALONG = 0.5;

    /** @param pipe its spot @return each kind of change with all that is tried of it, the nearest to what is there first */
    static List<List<Reseat>> of(BuildOption option, Spot pipe) {
        List<List<Reseat>> all = new ArrayList<>();
        for (Seam seam : Seam.of(option)) {
            Optional<Stand> stand = seam.spot().equals(pipe)
                    ? option.stands().stream()
                            .filter(s -> s.of().equals(seam.other().name()))
                            .filter(s -> s.what() == Stand.What.CORE || s.what() == Stand.What.BLOWER)
                            .findFirst()
                    : Optional.empty();
            stand.filter(s -> Bodies.hasScroll(option, s))
                    .flatMap(Stand::scroll)
                    .ifPresent(scroll -> all.add(clocked(option, stand.get(), scroll)));
            if (stand.isPresent() && seam.other() instanceof PathElement.Core core) {
                all.add(turned(option, new Pieces.Placed<>(seam.beside(), core), seam.end() == End.END));
                all.add(List.of(over(option, stand.get())));
            }
        }
        return all;
    }

    private static List<Reseat> clocked(BuildOption option, Stand stand, Scroll scroll) {
        List<Reseat> all = new ArrayList<>();
        for (int i = 1; i <= CLOCKINGS / 2; i++) {
            // By one step, back by one, by two, ...
            int steps = (i + 1) / 2 * (i % 2 == 0 ? -1 : 1);
            double turn = 2 * Math.PI;
            double clocked = ((scroll.clocked() + steps * turn / CLOCKINGS) % turn + turn) % turn;
            all.add(new Reseat(
                    Opening.CLOCKED,
                    stand.of(),
                    clocked,
                    with(option, stand, stand.scrolled(scroll.clocked(clocked)))));
        }
        return all;
    }

    /** @param inlet whether the pipe comes on its inlet */
    private static List<Reseat> turned(BuildOption option, Pieces.Placed<PathElement.Core> core, boolean inlet) {
        CoreSpec spec = core.piece().spec();
        EndTankSpec tanks = spec.tanks();
        List<Reseat> all = new ArrayList<>();
        CorePorts.Port port = new CorePorts(spec)
                .all().stream()
                        .filter(p -> p.role().equals("inlet") == inlet)
                        .findFirst()
                        .orElse(null);
        List<PortTurn> turns = List.of(PortTurn.values());
        for (PortTurn turn : turns) {
            if (port != null
                    && port.elbow().filter(e -> e.towards() == turn).isEmpty()
                    && Math.abs(turn.vector().dotProduct(port.out())) < ALONG) {
                Optional<PortElbow> elbow = Optional.of(new PortElbow(turn, port.bore(), Math.PI / 2));
                EndTankSpec other =
                        tanks.withElbows(inlet ? elbow : tanks.inletElbow(), inlet ? tanks.outletElbow() : elbow);
                all.add(new Reseat(
                        Opening.PORT_TURNED,
                        core.piece().name(),
                        turns.indexOf(turn),
                        option.with(core, c -> c.withSpec(spec.withTanks(other)))));
            }
        }
        return all;
    }

    private static Reseat over(BuildOption option, Stand stand) {
        return new Reseat(
                Opening.TURNED_OVER,
                stand.of(),
                0,
                with(option, stand, stand.turned(stand.turned(), stand.tipped(), stand.leaned() + OVER)));
    }

    private static BuildOption with(BuildOption option, Stand stand, Stand other) {
        return option.withStands(
                option.stands().stream().map(s -> s.equals(stand) ? other : s).toList());
    }
}
