package io.enthalpa.core.explain;

import io.enthalpa.core.quantity.Figure;
import java.util.List;

/**
 * One thing that a run says, chosen here; the edge words it in the reader's units, the same on the screen and on the command line.
 *
 * @param kind    which
 * @param figures that its sentence names, each by a short name; what is true or not is 1 or 0
 */
public record Finding(Kind kind, List<Figure> figures) {
    public Finding {
        figures = List.copyOf(figures);
    }

    /** Where a finding stands. */
    public enum Part {
        /** How the run ends, in one sentence. */
        HEADLINE,
        /** The figures behind it. */
        PARTICULARS,
        /** What the shape of the trace says. */
        SHAPE,
        /** Hot moments that are not judged. */
        BESIDE,
        /** What cooling is worth, and what the sensor makes of it. */
        WORTH,
        /** What to change first. */
        LIMIT
    }

    /** What can be found. */
    public enum Kind {
        NEVER_RUNS(Part.HEADLINE),
        HOLDS(Part.HEADLINE),
        HOLDS_BOTH_RUNS(Part.HEADLINE),
        HOLDS_ALL_RUNS(Part.HEADLINE),
        OVER_TARGET(Part.HEADLINE),
        PULLS_TIMING(Part.HEADLINE),
        WANTS_ENGINE_SPEED(Part.PARTICULARS),
        TARGET_KEPT(Part.PARTICULARS),
        TARGET_PASSED(Part.PARTICULARS),
        TIMING_NEVER(Part.PARTICULARS),
        TIMING_PASSED(Part.PARTICULARS),
        MEAN(Part.PARTICULARS),
        BLOWER_SHORT(Part.PARTICULARS),
        FLAT_AND_HOLDS(Part.SHAPE),
        FLAT_BUT_HIGH(Part.SHAPE),
        TEETH_AND_HOLDS(Part.SHAPE),
        TEETH_TOO_HIGH(Part.SHAPE),
        SOAKED_THEN_AIR(Part.SHAPE),
        SOAKED_THEN_WATER(Part.SHAPE),
        RAMP_OF_WARM_AIR(Part.SHAPE),
        RAMP_OF_TANK(Part.SHAPE),
        RAMP_OF_SINK(Part.SHAPE),
        RAMP_OF_LITTLE_AIR(Part.SHAPE),
        RAMP_OF_LITTLE_WATER(Part.SHAPE),
        RAMP_TO_OUTSIDE_AIR(Part.SHAPE),
        RAMP_OF_CORE(Part.SHAPE),
        RAMP_OF_SURROUNDINGS(Part.SHAPE),
        START_SOAK(Part.BESIDE),
        HOT_OFF_LOAD(Part.BESIDE),
        WATER_BOILS(Part.BESIDE),
        WATER_FREEZES(Part.BESIDE),
        DENSITY(Part.WORTH),
        SPRAYS_BADLY(Part.WORTH),
        BACK_AT_TARGET(Part.WORTH),
        SENSOR_NEVER_SHOWS(Part.WORTH),
        SENSOR_SHOWS(Part.WORTH),
        CONDENSED(Part.WORTH),
        CONDENSED_HEAVILY(Part.WORTH),
        LIMIT_OUTSIDE_AIR_TOO_WARM(Part.LIMIT),
        LIMIT_OUTSIDE_AIR(Part.LIMIT),
        LIMIT_LITTLE_AIR(Part.LIMIT),
        LIMIT_AIR_SIDE(Part.LIMIT),
        LIMIT_LITTLE_WATER(Part.LIMIT),
        LIMIT_WATER_SIDE(Part.LIMIT),
        LIMIT_TANK(Part.LIMIT),
        LIMIT_TANK_OVER_RADIATOR(Part.LIMIT),
        LIMIT_WARMED_AIR(Part.LIMIT),
        LIMIT_ICE(Part.LIMIT),
        LIMIT_CHILLER(Part.LIMIT),
        LIMIT_RADIATOR(Part.LIMIT),
        LIMIT_WALL(Part.LIMIT),
        LIMIT_CHARGE_SIDE(Part.LIMIT),
        LIMIT_CHARGE_SIDE_BY_FAR(Part.LIMIT);

        private final Part part;

        Kind(Part part) {
            this.part = part;
        }

        public Part part() {
            return part;
        }
    }
}
