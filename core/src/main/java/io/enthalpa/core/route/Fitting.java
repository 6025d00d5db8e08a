package io.enthalpa.core.route;

import java.util.OptionalDouble;

/**
 * What is welded or screwed into the wall of a pipe.
 *
 * @param along  m from where the pipe begins, along its middle, to the middle of the fitting
 * @param clock  rad that it looks away from straight up, clockwise in the way of the flow; where the pipe goes upright, from the rear
 * @param size   what is said of its size
 */
public record Fitting(Kind kind, double along, double clock, Size size) {
    /** What it is, with its usual size; all sizes common practice, no source. */
    public enum Kind {
        /** Air temperature sensor in its boss, plug and bend of the cable on it. */
        SENSOR("temperature sensor", 50e-3, 25e-3, 12e-3),
        /** Nipple of a boost signal or a gauge. */
        PRESSURE("pressure nipple", 30e-3, 12e-3, 6e-3),
        /** Valve that lets pressure out as the throttle shuts, on its flange. */
        RELIEF("relief valve", 95e-3, 60e-3, 25e-3),
        /** Nozzle of water or methanol, its line on it. */
        NOZZLE("injection nozzle", 45e-3, 20e-3, 12e-3),
        /** Threaded boss with a plug in it. */
        BOSS("plugged boss", 18e-3, 24e-3, 12e-3);

        private final String words;
        private final double out;
        private final double across;
        private final double hole;

        Kind(String words, double out, double across, double hole) {
            this.words = words;
            this.out = out;
            this.across = across;
            this.hole = hole;
        }

        /** @return as a reader calls it */
        public String words() {
            return words;
        }
    }

    /**
     * Its own, where it is not the usual one.
     *
     * @param out    m that it stands out from the tube
     * @param across m, of the round that holds all of it
     * @param hole   m in the wall of the pipe
     */
    public record Size(OptionalDouble out, OptionalDouble across, OptionalDouble hole) {
        public static final Size USUAL =
                new Size(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
    }

    public double out() {
        return size.out.orElse(kind.out);
    }

    public double across() {
        return size.across.orElse(kind.across);
    }

    public double hole() {
        return size.hole.orElse(kind.hole);
    }

    /** @return the same elsewhere on its pipe */
    public Fitting at(double other) {
        return new Fitting(kind, other, clock, size);
    }
}
