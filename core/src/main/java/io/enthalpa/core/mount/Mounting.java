package io.enthalpa.core.mount;

import io.enthalpa.core.room.Mount;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Shaking;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Apart;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * How a body is held.
 *
 * @param mass      kg
 * @param held      the points that hold it
 * @param free      in how many of its six ways nothing holds it; two points leave one, a single one three
 * @param frequency Hz of its slowest swing; 0 where nothing holds it
 * @param soft      whether rubber is in it
 * @param growth    m that it grows between its two hard points farthest apart, of one that gets hot; 0 where something gives
 * @param play      m that the holes of those two let it
 * @param twice     two carriers that both hold it hard, and move against one another
 * @param elsewhere whether no bolt is in what the body is said to hang on
 * @param shared    names of two mounts on one bolt
 * @param level     rad that it stands off level, or off the next right angle
 * @param off       m that its middle stands from the middle of the room
 */
public record Mounting(
        double mass,
        List<Held> held,
        int free,
        double frequency,
        boolean soft,
        double growth,
        double play,
        Optional<Carriers> twice,
        boolean elsewhere,
        Optional<Carriers> shared,
        double level,
        double off) {
    public static final Method METHOD = Method.of(
                    "mounts",
                    "Mounts",
                    "A stiff body on points that give: bobbins by their stiffness, straps as beams clamped under the bolt and free to turn at the body, "
                            + "lugs hardly at all. Its weight times what the room is shaken by, up, down and to each side, is shared out as the springs "
                            + "give; the most on each point is told. The slowest swing is that of an even box of its size and weight on the same springs.")
            .formula(
                    "strap: k = 3 E I / L^3, I = b t^3 / 12, stress = 6 F L / (b t^2); f = sqrt(k / m) / (2 pi); growth = 23e-6 L dT")
            .source(
                    Citation.fromMemory(
                            "Timoshenko", 1955, "Strength of Materials, part I, cantilever with a load at its end"),
                    Citation.fromMemory(
                            "Den Hartog", 1956, "Mechanical Vibrations, isolation above the square root of two"),
                    Citation.commonPractice("5 times the weight up and down and 3 across; half of yield for straps"))
            .leavesOut(
                    "Twisting of straps, damping of rubber, bolts and welds themselves; weight counts in the middle of the body.");

    /** Two by their names. */
    public record Carriers(String one, String other) {}

    private static final double GRAVITY = 9.80665;
    /** m: bolts nearer than that are one. */
    private static final double SAME = 3e-3;
    /** 1/K of aluminium; from memory, CRC Handbook of Chemistry and Physics. */
    public static final double EXPANSION = 23.1e-6;
    /** K that a core or radiator comes over the metal that holds it; common practice, no source. */
    private static final double WARMER = 80;
    /** Of a hole over its bolt: ISO 273, medium, 6.6 for 6 and 9 for 8; from memory. */
    private static final double HOLE = 0.1;
    /** m: farther than any room. */
    private static final double FAR = 100;

    /** @param mass kg */
    public static Mounting of(Stand stand, Solid solid, double mass, RoomSpec room) {
        return new Working(stand, solid, mass, room).mounting();
    }

    /** @return how many bolts are there already */
    public long existing() {
        return held.stream().filter(h -> h.mount().existing()).count();
    }

    private static final class Working {
        private final Stand stand;
        private final Solid solid;
        private final double mass;
        private final RoomSpec room;
        private final List<Vector3D> along = new ArrayList<>();
        private final List<Double> reach = new ArrayList<>();
        private final List<Vector3D> at = new ArrayList<>();

        Working(Stand stand, Solid solid, double mass, RoomSpec room) {
            this.stand = stand;
            this.solid = solid;
            this.mass = mass;
            this.room = room;
        }

        private List<Mount> mounts() {
            return stand.mounts();
        }

        Mounting mounting() {
            mounts().forEach(this::reach);
            List<Springs.Point> points = new ArrayList<>();
            for (int i = 0; i < mounts().size(); i++) {
                points.add(Springs.point(
                        mounts().get(i).hold(),
                        at.get(i).subtract(stand.middle()),
                        along.get(i),
                        Math.max(0, reach.get(i))));
            }
            Springs springs = new Springs(points);
            Bounds own = solid.moved(stand.pose().inverse()).bounds().orElseThrow();
            Vector3D size = new Vector3D(own.maxX() - own.minX(), own.maxY() - own.minY(), own.maxZ() - own.minZ());
            int free = points.isEmpty() ? 6 : springs.free();
            int[] hard = farthest();
            return new Mounting(
                    mass,
                    held(springs),
                    free,
                    points.isEmpty() ? 0 : springs.slowest(mass, size, stand.pose()),
                    mounts().stream().anyMatch(m -> m.hold() instanceof Mount.Bobbin),
                    hard.length == 0 ? 0 : EXPANSION * WARMER * at.get(hard[0]).distance(at.get(hard[1])),
                    hard.length == 0
                            ? 0
                            : HOLE
                                    * (mounts().get(hard[0]).thread()
                                            + mounts().get(hard[1]).thread())
                                    / 2,
                    twice(),
                    !mounts().isEmpty()
                            && mounts().stream().noneMatch(m -> m.carrier().equals(stand.carrier())),
                    shared(),
                    askew(),
                    stand.middle().getY());
        }

        private void reach(Mount mount) {
            Gap gap = Gaps.between(Solid.of("bolt", Hull.ball(mount.bolt(), 0)), solid, FAR)
                    .orElseThrow();
            Apart apart = gap.apart();
            reach.add(apart.gap());
            along.add(apart.gap() > 0 ? apart.towards() : Vector3D.PLUS_K);
            at.add(apart.gap() > 0 ? apart.onB() : mount.bolt());
        }

        private List<Held> held(Springs springs) {
            Shaking g = room.shaking();
            List<Vector3D> shaken = List.of(
                    new Vector3D(0, 0, -g.vertical()),
                    new Vector3D(0, 0, g.vertical()),
                    new Vector3D(g.across(), 0, -1),
                    new Vector3D(-g.across(), 0, -1),
                    new Vector3D(0, g.across(), -1),
                    new Vector3D(0, -g.across(), -1));
            double[] most = new double[mounts().size()];
            double[] stress = new double[mounts().size()];
            for (Vector3D way : shaken) {
                List<Vector3D> borne = springs.borne(way.scalarMultiply(mass * GRAVITY));
                for (int i = 0; i < most.length; i++) {
                    most[i] = Math.max(most[i], borne.get(i).getNorm());
                    if (mounts().get(i).hold() instanceof Mount.Strap strap && reach.get(i) > 0) {
                        stress[i] = Math.max(
                                stress[i],
                                new Beam(strap, reach.get(i)).stress(borne.get(i), Beam.ways(strap, along.get(i))));
                    }
                }
            }
            List<Vector3D> rest = springs.borne(new Vector3D(0, 0, -mass * GRAVITY));
            List<Held> held = new ArrayList<>();
            for (int i = 0; i < most.length; i++) {
                held.add(new Held(
                        mounts().get(i),
                        at.get(i),
                        reach.get(i),
                        most[i],
                        rest.get(i).getNorm(),
                        stress[i]));
            }
            return held;
        }

        /** Whether it gives way to a body that grows along a line: rubber and slots always, a strap where it bends that way. */
        private boolean gives(int i, Vector3D line) {
            Mount.Hold hold = mounts().get(i).hold();
            if (hold instanceof Mount.Strap strap) {
                return reach.get(i) > 0
                        && Math.abs(Beam.ways(strap, along.get(i)).get(1).dotProduct(line)) > 0.7;
            }
            return hold instanceof Mount.Bobbin || hold instanceof Mount.Tab tab && tab.slotted();
        }

        private int[] farthest() {
            if (stand.what() != Stand.What.CORE && stand.what() != Stand.What.RADIATOR) {
                return new int[0];
            }
            int[] far = {};
            for (int i = 0; i < at.size(); i++) {
                for (int j = i + 1; j < at.size(); j++) {
                    Vector3D line = at.get(j).subtract(at.get(i));
                    if (line.getNorm() < SAME) {
                        continue;
                    }
                    boolean hard = !gives(i, line.normalize()) && !gives(j, line.normalize());
                    if (hard
                            && (far.length == 0
                                    || line.getNorm() > at.get(far[0]).distance(at.get(far[1])))) {
                        far = new int[] {i, j};
                    }
                }
            }
            return far;
        }

        /** Carriers that are still against one another, as two parts of the body shell, hold nothing twice. */
        private Optional<Carriers> twice() {
            for (Mount one : mounts()) {
                for (Mount other : mounts()) {
                    boolean both = !(one.hold() instanceof Mount.Bobbin) && !(other.hold() instanceof Mount.Bobbin);
                    boolean moves = !room.motion(one.carrier()).isStill()
                            || !room.motion(other.carrier()).isStill();
                    if (both && moves && !one.carrier().equals(other.carrier())) {
                        return Optional.of(new Carriers(one.carrier(), other.carrier()));
                    }
                }
            }
            return Optional.empty();
        }

        private Optional<Carriers> shared() {
            for (int i = 0; i < mounts().size(); i++) {
                for (int j = i + 1; j < mounts().size(); j++) {
                    if (mounts().get(i).bolt().distance(mounts().get(j).bolt()) < SAME) {
                        return Optional.of(new Carriers(
                                mounts().get(i).name(), mounts().get(j).name()));
                    }
                }
            }
            return Optional.empty();
        }

        /** Of its own upright or level edges the one nearest to the vertical: how far from it. */
        private double askew() {
            double most = 0;
            for (Vector3D own : List.of(Vector3D.PLUS_I, Vector3D.PLUS_J, Vector3D.PLUS_K)) {
                most = Math.max(most, Math.abs(stand.pose().turn().applyTo(own).getZ()));
            }
            return Math.acos(Math.min(1, most));
        }
    }
}
