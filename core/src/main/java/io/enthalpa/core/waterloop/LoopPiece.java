package io.enthalpa.core.waterloop;

import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.loss.PipeSpec;
import java.util.OptionalDouble;

/** A piece of a water loop, in the order the water passes them. Heights in m above any datum, all from the same one. */
public sealed interface LoopPiece {
    /** One case for each kind, so that a new kind does not compile until every place that must know it does. */
    interface Cases<T> {
        T pump(Pump pump);

        T hose(Hose hose);

        T fitting(Fitting fitting);

        T coreSide(CoreSide core);

        T radiatorSide(RadiatorSide radiator);

        T tank(Tank tank);

        T chillerSide(ChillerSide chiller);

        T source(Source source);

        T outfall(Outfall outfall);
    }

    /** @return what its case says */
    <T> T to(Cases<T> cases);

    String name();

    /** @return m, of its middle; of a hose, of its highest place */
    double height();

    /** @return the same piece at another height, m */
    LoopPiece at(double other);

    /** @return m, bore at its ends; 0 for what opens into a tank or header */
    double bore();

    /** @return the same piece of another bore, m; itself where its bore is not its own */
    default LoopPiece withBore(double other) {
        return this;
    }

    /** @return how many equal ones stand side by side and share the flow */
    default int beside() {
        return 1;
    }

    /** @return m2 for the whole flow; infinite for a chamber */
    default double area() {
        return bore() == 0 ? Double.POSITIVE_INFINITY : beside() * Math.PI / 4 * bore() * bore();
    }

    /** One pump, or equal ones side by side. Behind each other they are two pieces. */
    record Pump(String name, PumpSpec spec, double bore, int beside, double height) implements LoopPiece {
        @Override
        public Pump at(double other) {
            return new Pump(name, spec, bore, beside, other);
        }

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.pump(this);
        }
    }

    /**
     * @param wrap  m of foam or fibre round it; 0 bare: where it is colder than the outside dew point it drips
     * @param make  how it takes a bend
     * @param least m, of the middle line of the tightest bend that its maker allows; empty for the usual one of its make
     */
    record Hose(String name, PipeSpec spec, int beside, double height, double wrap, HoseMake make, OptionalDouble least)
            implements LoopPiece {
        public Hose(String name, PipeSpec spec, int beside, double height) {
            this(name, spec, beside, height, 0, HoseMake.PLAIN, OptionalDouble.empty());
        }

        /** @return m, its outside diameter without wrap */
        public double outside() {
            return spec.bore() + 2 * spec.material().usualWall();
        }

        /** @return m, of the middle line of the tightest bend it bears */
        public double leastRadius() {
            return least.orElseGet(
                    () -> spec.material().isTube() ? HoseMake.leastOfLine(outside()) : make.least(spec.bore()));
        }

        /** @return of another make, bent as tight as that is */
        public Hose made(HoseMake other) {
            return new Hose(name, spec, beside, height, wrap, other, OptionalDouble.empty());
        }

        /** @return as long and bent as it is laid */
        public Hose withSpec(PipeSpec other) {
            return new Hose(name, other, beside, height, wrap, make, least);
        }

        @Override
        public Hose at(double other) {
            return new Hose(name, spec, beside, other, wrap, make, least);
        }

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.hose(this);
        }

        @Override
        public Hose withBore(double other) {
            return withSpec(spec.withBore(other));
        }

        @Override
        public double bore() {
            return spec.bore();
        }
    }

    /**
     * @param bore   m, its narrowest
     * @param length m of the narrow part
     */
    record Fitting(String name, FittingLoss type, double bore, double length, int beside, double height)
            implements LoopPiece {
        @Override
        public Fitting at(double other) {
            return new Fitting(name, type, bore, length, beside, other);
        }

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.fitting(this);
        }

        @Override
        public Fitting withBore(double other) {
            return new Fitting(name, type, other, length, beside, height);
        }
    }

    /** The charge core's water side. */
    record CoreSide(String name, CorePorts ports, double height) implements LoopPiece {
        @Override
        public CoreSide at(double other) {
            return new CoreSide(name, ports, other);
        }

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.coreSide(this);
        }

        public CoreSide withPorts(CorePorts other) {
            return new CoreSide(name, other, height);
        }

        @Override
        public double bore() {
            return 0;
        }
    }

    /** The low-temperature radiator. */
    record RadiatorSide(String name, double height) implements LoopPiece {
        @Override
        public RadiatorSide at(double other) {
            return new RadiatorSide(name, other);
        }

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.radiatorSide(this);
        }

        @Override
        public double bore() {
            return 0;
        }
    }

    /** The reservoir, at the height of its water; carries the cap. */
    record Tank(String name, double height) implements LoopPiece {
        @Override
        public Tank at(double other) {
            return new Tank(name, other);
        }

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.tank(this);
        }

        @Override
        public double bore() {
            return 0;
        }
    }

    /**
     * The chiller's heat exchanger.
     *
     * @param loss Pa
     * @param flow m3/s at that loss
     */
    record ChillerSide(String name, double loss, double flow, double height) implements LoopPiece {
        @Override
        public ChillerSide at(double other) {
            return new ChillerSide(name, loss, flow, other);
        }

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.chillerSide(this);
        }

        @Override
        public double bore() {
            return 0;
        }
    }

    /** Where raw water comes in, below the waterline or from a hydrant; first of an open line. */
    record Source(String name, double height) implements LoopPiece {
        @Override
        public Source at(double other) {
            return new Source(name, other);
        }

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.source(this);
        }

        @Override
        public double bore() {
            return 0;
        }
    }

    /** Where it leaves; last of an open line. Water falls from it freely. */
    record Outfall(String name, double height) implements LoopPiece {
        @Override
        public Outfall at(double other) {
            return new Outfall(name, other);
        }

        @Override
        public <T> T to(Cases<T> cases) {
            return cases.outfall(this);
        }

        @Override
        public double bore() {
            return 0;
        }
    }
}
