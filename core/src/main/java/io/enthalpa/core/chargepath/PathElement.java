package io.enthalpa.core.chargepath;

import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.loss.StandardSizes;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;
import java.util.Optional;

/** One piece of the air's way from filter to plenum. */
public sealed interface PathElement {
    /** One case for each kind, so that a new kind does not compile until every place that must know it does. */
    interface Cases<T> {
        T filter(Filter filter);

        T blower(Blower blower);

        T pipe(Pipe pipe);

        T reducer(Reducer reducer);

        T joint(Joint joint);

        T throttle(Throttle throttle);

        T core(Core core);

        T injection(Injection injection);

        T parallel(Parallel pair);

        T plenum(Plenum plenum);
    }

    /** @return what its case says */
    <T> T to(Cases<T> cases);

    Method PLENUM_METHOD = Method.of(
                    "plenum", "Plenum", "The jet from the last pipe is lost; what is left is the manifold state.")
            .formula("loss = rho v^2 / 2 at its inlet")
            .source(Citation.fromMemory("Borda & Carnot", 1766, "sudden enlargement into a large space"))
            .leavesOut("Runners and ports: they belong to the volumetric efficiency.");

    /** @return as the user calls it */
    String name();

    /** @return m, the bore at its outlet, where its station is */
    double bore();

    /** @return m, the bore that the piece before it should have; NaN where any will do */
    default double inletBore() {
        return bore();
    }

    /**
     * Filter with its intake. Loss grows as flow squared over density.
     *
     * @param loss      Pa clean, at the flow it was read at, in air of 1.2 kg/m3
     * @param flow      kg/s at which the loss was read
     * @param heatGain  K that the air takes up in the bay before the blower
     * @param dirtyLoss Pa at the same flow when it is due for change
     * @param soiling   0 clean to 1 due for change
     * @param bayShare  of its air that comes from the engine bay, 0 to 1
     * @param intake    where it draws from
     */
    record Filter(
            String name,
            double bore,
            double loss,
            double flow,
            double heatGain,
            double dirtyLoss,
            double soiling,
            double bayShare,
            Intake intake)
            implements PathElement {
        static final double REFERENCE_DENSITY = 1.2;

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.filter(this);
        }

        public Filter(
                String name, double bore, double loss, double flow, double heatGain, double dirtyLoss, double soiling) {
            this(name, bore, loss, flow, heatGain, dirtyLoss, soiling, 0, Intake.OUTSIDE);
        }

        public Filter withHeatGain(double other) {
            return new Filter(name, bore, loss, flow, other, dirtyLoss, soiling, bayShare, intake);
        }

        public Filter withBayShare(double other) {
            return new Filter(name, bore, loss, flow, heatGain, dirtyLoss, soiling, other, intake);
        }

        public Filter withIntake(Intake other) {
            return new Filter(name, bore, loss, flow, heatGain, dirtyLoss, soiling, bayShare, other);
        }

        /** @return Pa at the reading's flow, as dirty as it is */
        public double lossNow() {
            return loss + soiling * (dirtyLoss - loss);
        }

        @Override
        public double inletBore() {
            return Double.NaN;
        }
    }

    /** The blower; one in a path, or one in each of two legs. */
    record Blower(String name, BlowerSpec spec) implements PathElement {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.blower(this);
        }

        @Override
        public double bore() {
            return spec.outletBore();
        }

        @Override
        public double inletBore() {
            return Double.NaN;
        }
    }

    /** @param wall what its wall holds and meets outside; counted only where the build knows its engine bay */
    record Pipe(String name, PipeSpec spec, PipeWallSpec wall) implements PathElement {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.pipe(this);
        }

        public Pipe withSpec(PipeSpec other) {
            return new Pipe(name, other, wall);
        }

        public Pipe withWall(PipeWallSpec other) {
            return new Pipe(name, spec, other);
        }

        /** @return m, its outside diameter without wrap */
        public double outside() {
            return spec.bore() + 2 * wall.thickness();
        }

        /** @return m, as it is sold: tube by its outside, hose by its bore */
        public double size() {
            return spec.material().isTube() ? outside() : spec.bore();
        }

        /** @param size m, as it is sold @return the same run of another size */
        public Pipe sized(double size) {
            return withSpec(spec.material().isTube() ? spec.asTube(size, wall.thickness()) : spec.withBore(size));
        }

        /** @return that it is sold in */
        public StandardSizes sizes() {
            return spec.material().isTube() ? StandardSizes.TUBES : StandardSizes.CHARGE_HOSES;
        }

        /** @return of the next larger size that is sold; empty when there is none */
        public Optional<Pipe> larger() {
            double little = 1.02;
            return sizes().above(size() * little).stream().mapToObj(this::sized).findFirst();
        }

        public Pipe(String name, PipeSpec spec) {
            this(name, spec, PipeWallSpec.usual(spec.material()));
        }

        @Override
        public double bore() {
            return spec.bore();
        }
    }

    /**
     * A cone, or a step when its length is 0.
     *
     * @param inletBore m
     * @param bore      m at its outlet
     * @param length    m
     */
    record Reducer(String name, double inletBore, double bore, double length) implements PathElement {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.reducer(this);
        }
    }

    /**
     * A coupler between two pipe ends.
     *
     * @param bore     m of the pipes
     * @param hoseBore m inside the hose or its hump
     * @param gap      m between the pipe ends
     */
    record Joint(String name, double bore, double hoseBore, double gap) implements PathElement {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.joint(this);
        }
    }

    /**
     * A wide open butterfly. In front of the blower the engine is drawn through, behind it blown through.
     *
     * @param bore  m
     * @param shaft m, thickness of shaft and plate across the bore
     */
    record Throttle(String name, double bore, double shaft) implements PathElement {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.throttle(this);
        }
    }

    /** A charge cooler. */
    record Core(String name, CoreSpec spec, CoolingSide cooling) implements PathElement {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.core(this);
        }

        public Core withSpec(CoreSpec other) {
            return new Core(name, other, cooling);
        }

        public Core withCooling(CoolingSide other) {
            return new Core(name, spec, other);
        }

        public boolean isCooledByAir() {
            return cooling instanceof CoolingSide.Air;
        }

        /** @return the loop of its own; empty where air takes its heat, or another core's loop */
        public Optional<WaterLoopSpec> loop() {
            return cooling instanceof CoolingSide.Water water ? Optional.of(water.loop()) : Optional.empty();
        }

        @Override
        public double bore() {
            return spec.tanks().outletBore();
        }

        @Override
        public double inletBore() {
            return spec.portBore();
        }
    }

    /**
     * Where water and alcohol are sprayed in.
     *
     * @param bore m of the pipe there
     */
    record Injection(String name, double bore, InjectionSpec spec) implements PathElement {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.injection(this);
        }
    }

    /**
     * Plenum: the jet from the last pipe is lost (one velocity head, Borda), what is left is the manifold state.
     *
     * @param bore   m of its inlet
     * @param volume m3
     * @param wall   its metal on the hot engine; empty where that is not counted
     */
    record Plenum(String name, double bore, double volume, Optional<PlenumWallSpec> wall) implements PathElement {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.plenum(this);
        }

        public Plenum withWall(PlenumWallSpec other) {
            return new Plenum(name, bore, volume, Optional.of(other));
        }

        public Plenum(String name, double bore, double volume) {
            this(name, bore, volume, Optional.empty());
        }
    }

    /**
     * Two ways side by side. First in a path each leg draws its own outside air; last in a path each leg fills its own plenum for
     * its own bank of cylinders.
     *
     * @param splitAngle rad between a leg and the common pipe where they part
     * @param legs       exactly two
     * @param mergeAngle rad between a leg and the common pipe where they meet
     * @param mergedBore m behind the merge; ignored when the legs end in plenums
     * @param balance    a tube between the two plenums; empty without
     */
    record Parallel(
            String name,
            double splitAngle,
            List<Leg> legs,
            double mergeAngle,
            double mergedBore,
            Optional<Balance> balance)
            implements PathElement {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.parallel(this);
        }

        public Parallel {
            legs = List.copyOf(legs);
        }

        public Parallel withLegs(List<Leg> others) {
            return new Parallel(name, splitAngle, others, mergeAngle, mergedBore, balance);
        }

        /** @return with another balance tube, or without */
        public Parallel withBalance(Optional<Balance> other) {
            return new Parallel(name, splitAngle, legs, mergeAngle, mergedBore, other);
        }

        /** @return true when each leg fills its own plenum */
        public boolean endsInBanks() {
            return legs.stream().allMatch(leg -> leg.path().get(leg.path().size() - 1) instanceof Plenum);
        }

        @Override
        public double bore() {
            return endsInBanks()
                    ? legs.get(0).path().get(legs.get(0).path().size() - 1).bore()
                    : mergedBore;
        }

        @Override
        public double inletBore() {
            return Double.NaN;
        }
    }

    /** One of two ways side by side. */
    record Leg(String name, List<PathElement> path) {
        public Leg {
            path = List.copyOf(path);
        }

        /** @return m, bore of its first piece that has one */
        double inletBore() {
            double bore = path.get(0).inletBore();
            return Double.isNaN(bore) ? path.get(0).bore() : bore;
        }

        /** @return m, bore of its last piece */
        double outletBore() {
            return path.get(path.size() - 1).bore();
        }
    }

    /**
     * A tube between two plenums.
     *
     * @param bore   m
     * @param length m
     */
    record Balance(double bore, double length) {
        /** m; common practice, no source. */
        public static final double USUAL_BORE = 38e-3;
        /** m; common practice, no source. */
        public static final double USUAL_LENGTH = 0.4;

        public static final Balance USUAL = new Balance(USUAL_BORE, USUAL_LENGTH);

        /**
         * Velocity heads: sharp entrance 0.5, exit 1, friction of a smooth pipe at 0.02; Idelchik, Handbook of Hydraulic Resistance, from
         * memory. What crosses is not mixed into the other plenum's temperature.
         */
        double coefficient() {
            return 1.5 + 0.02 * length / bore;
        }
    }
}
