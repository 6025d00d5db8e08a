package io.enthalpa.core.chargepath;

import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.waterloop.RawWaterSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The chain from filter to plenum together with the air it stands in and the engine that draws on it. Immutable.
 * Every way of the air passes exactly one blower, no core before it, and ends in a plenum.
 */
public final class ChargePath {
    /** Two blowers, two cores and two banks each as a pair, and one to spare. */
    private static final int MOST_PAIRS = 4;

    private final Ambient ambient;
    private final EngineSpec engine;
    private final List<PathElement> elements;
    private final List<CoreSlot> cores = new ArrayList<>();
    private final List<LoopCores> loops;
    private final List<PathElement.Blower> blowers = new ArrayList<>();
    private final List<InjectionSpec> sprays = new ArrayList<>();
    private final Optional<BaySpec> bay;
    private final double losses;
    private final List<PathWall> walls = new ArrayList<>();

    public ChargePath(Ambient ambient, EngineSpec engine, List<PathElement> elements) {
        this(ambient, engine, elements, Optional.empty());
    }

    /**
     * @param bay the air round pipes and plenum; empty where it is not known, and no wall is counted
     * @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when the pieces do not make a path
     */
    public ChargePath(Ambient ambient, EngineSpec engine, List<PathElement> elements, Optional<BaySpec> bay) {
        this(ambient, engine, elements, bay, 1);
    }

    /** @param losses what pipes, bends and cores lose, over what their formulas say */
    public ChargePath(
            Ambient ambient, EngineSpec engine, List<PathElement> elements, Optional<BaySpec> bay, double losses) {
        this.losses = losses;
        this.ambient = ambient;
        this.bay = bay;
        this.engine = engine;
        this.elements = List.copyOf(elements);
        require(!elements.isEmpty(), "pieces", 0, "at least a blower and a plenum");
        require(
                count(elements, PathElement.Parallel.class) <= MOST_PAIRS,
                "pairs of pipes side by side",
                count(elements, PathElement.Parallel.class),
                "at most " + MOST_PAIRS);
        PathElement last = elements.get(elements.size() - 1);
        boolean banks = last instanceof PathElement.Parallel parallel && parallel.endsInBanks();
        require(banks || last instanceof PathElement.Plenum, "last piece of the path", last.name(), "the plenum");
        require(
                count(elements, PathElement.Plenum.class) == (banks ? 0 : 1),
                "plenums",
                count(elements, PathElement.Plenum.class),
                banks ? "only those of the two legs" : "exactly 1");
        walk(elements, Spot.Row.PATH, false);
        require(!blowers.isEmpty(), "blowers", 0, "exactly 1 on every way of the air");
        this.loops = LoopCores.of(cores);
    }

    /** @return what pipes, bends and cores lose, over what their formulas say */
    double losses() {
        return losses;
    }

    /** @param blown whether a blower stands before these pieces @return whether one stands before what follows them */
    private boolean walk(List<PathElement> pieces, Spot.Row row, boolean blown) {
        boolean now = blown;
        for (int i = 0; i < pieces.size(); i++) {
            PathElement piece = pieces.get(i);
            Spot here = row.at(i);
            if (isWalled(piece)) {
                walls.add(PathWall.of(piece, here));
            }
            if (piece instanceof PathElement.Blower blower) {
                require(!now, "blowers", 2, "exactly 1 on every way of the air");
                blowers.add(blower);
                now = true;
            } else if (piece instanceof PathElement.Core core) {
                require(now, "place of the core", "before the blower", "behind the blower");
                cores.add(new CoreSlot(here, core, cooler(core, here)));
            } else if (piece instanceof PathElement.Injection injection) {
                sprays.add(injection.spec());
            } else if (piece instanceof PathElement.Parallel parallel) {
                now = walkLegs(parallel, here, now, i == pieces.size() - 1);
            }
        }
        return now;
    }

    private boolean walkLegs(PathElement.Parallel parallel, Spot here, boolean blown, boolean last) {
        require(
                parallel.legs().size() == 2,
                "pipes side by side in " + parallel.name(),
                parallel.legs().size(),
                "exactly 2");
        boolean[] after = new boolean[2];
        for (int k = 0; k < 2; k++) {
            PathElement.Leg leg = parallel.legs().get(k);
            require(!leg.path().isEmpty(), "pieces in leg " + leg.name(), 0, "at least one");
            require(
                    count(leg.path(), PathElement.Parallel.class) == 0,
                    "pairs of pipes inside leg " + leg.name(),
                    "one",
                    "none: legs do not part again");
            after[k] = walk(leg.path(), here.leg(k), blown);
            require(
                    count(leg.path(), PathElement.Plenum.class) == (last && parallel.endsInBanks() ? 1 : 0),
                    "plenums in leg " + leg.name(),
                    count(leg.path(), PathElement.Plenum.class),
                    "one at the end of each leg of the last pair, or none");
        }
        require(after[0] == after[1], "blowers in the two legs", "one and none", "one in each, or none");
        return after[0];
    }

    private ChargeCooler cooler(PathElement.Core core, Spot here) {
        Optional<WaterLoopSpec> loop = core.cooling() instanceof CoolingSide.Shared shared
                ? Optional.of(LoopCores.loopOf(shared, core, here, elements))
                : core.loop();
        try {
            return loop.map(water -> new ChargeCooler(
                            core.spec(),
                            water.coolant(),
                            water.ports().spread(),
                            water.raw().map(RawWaterSpec::fouling).orElse(0.0)))
                    .orElseGet(() -> new ChargeCooler(core.spec()));
        } catch (EnthalpaFault fault) {
            throw fault.about(here, fault.field(), core.name() + ", " + fault.label());
        }
    }

    private static void require(boolean holds, String what, Object found, String wanted) {
        if (!holds) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, "", what, String.valueOf(found), wanted, "")
                    .about(Subject.Whole.PATH, "", what);
        }
    }

    private static long count(List<PathElement> elements, Class<? extends PathElement> kind) {
        return elements.stream().filter(kind::isInstance).count();
    }

    public Ambient ambient() {
        return ambient;
    }

    public EngineSpec engine() {
        return engine;
    }

    public List<PathElement> elements() {
        return elements;
    }

    /** @return one, or one for each of two legs */
    public List<BlowerSpec> blowers() {
        return blowers.stream().map(PathElement.Blower::spec).toList();
    }

    /** @return in the order of the path, the first leg's before the second's */
    public List<CoreSlot> cores() {
        return cores;
    }

    /** @return every water loop with the cores on it */
    public List<LoopCores> loops() {
        return loops;
    }

    /** @return whether the wall of a piece gives heat to the charge or takes it */
    boolean isWalled(PathElement piece) {
        return bay.isPresent()
                && (piece instanceof PathElement.Pipe
                        || piece instanceof PathElement.Plenum plenum
                                && plenum.wall().isPresent());
    }

    /** @return the engine bay; empty where it is not known */
    public Optional<BaySpec> bay() {
        return bay;
    }

    /** @return the walls counted, in the order of the path, the first leg's before the second's */
    public List<PathWall> walls() {
        return walls;
    }

    /** @return every injection point */
    public List<InjectionSpec> sprays() {
        return sprays;
    }

    public boolean hasCore() {
        return !cores.isEmpty();
    }
}
