package io.enthalpa.core.telemetry;

import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import java.util.ArrayList;
import java.util.List;

/**
 * What is found of a log.
 *
 * @param kind    of the finding
 * @param of      the channel it is about, in words; empty where it is about none
 * @param to      another that it is about
 * @param figures by name
 */
public record LogFinding(Kind kind, String of, String to, List<Figure> figures) {
    /** Where a finding stands. */
    public enum About {
        /** What a channel has wrong. */
        CHANNELS,
        /** What the shape of the trace says. */
        SHAPE,
        /** What the channels say of core and water. */
        PARTS,
        /** What lies between measured and predicted. */
        BESIDE,
        /** What a change is worth. */
        CHANGE,
        /** What can be wrong with the car. */
        FAULTS
    }

    /** What can be found. */
    public enum Kind {
        LOG_DEAD(About.CHANNELS),
        LOG_FROZEN(About.CHANNELS),
        LOG_CLIPPED(About.CHANNELS),
        LOG_SWAPPED(About.CHANNELS),
        LOG_WATER_SWAPPED(About.CHANNELS),
        LOG_BELOW_OUTSIDE(About.CHANNELS),
        LOG_BOOST_ABSOLUTE(About.CHANNELS),
        LOG_KELVIN(About.CHANNELS),
        LOG_TWO_OF_NAME(About.CHANNELS),
        LOG_NO_INTAKE(About.CHANNELS),
        LOG_NO_OUTSIDE(About.CHANNELS),
        LOG_FLAT(About.SHAPE),
        LOG_TEETH(About.SHAPE),
        LOG_RAMP(About.SHAPE),
        LOG_RAMP_OF_WATER(About.SHAPE),
        LOG_RAMP_OF_CORE(About.SHAPE),
        LOG_SOAKED(About.SHAPE),
        LOG_SPRAYS_BADLY(About.SHAPE),
        LOG_EFFECTIVENESS(About.PARTS),
        LOG_WANTS_BEFORE_CORE(About.PARTS),
        LOG_WANTS_AFTER_CORE(About.PARTS),
        LOG_CORE_LOSS(About.PARTS),
        LOG_WATER_FLOW(About.PARTS),
        BESIDE_AGREES(About.BESIDE),
        BESIDE_COLD_LOAD(About.BESIDE),
        BESIDE_WARM_LOAD(About.BESIDE),
        BESIDE_COLD_ALL(About.BESIDE),
        BESIDE_WARM_ALL(About.BESIDE),
        BESIDE_AT_REST(About.BESIDE),
        BESIDE_NO_LOAD(About.BESIDE),
        BESIDE_OF_BLOWER(About.BESIDE),
        BESIDE_OF_WATER(About.BESIDE),
        BESIDE_OF_CORE(About.BESIDE),
        BESIDE_OF_FLOW(About.BESIDE),
        BESIDE_OFFSET(About.BESIDE),
        BESIDE_CANNOT_TELL(About.BESIDE),
        BESIDE_WITHIN_DOUBT(About.BESIDE),
        BESIDE_BEYOND_DOUBT(About.BESIDE),
        CHANGE_GAINS(About.CHANGE),
        CHANGE_COSTS(About.CHANGE),
        CHANGE_NOTHING(About.CHANGE),
        CHANGE_LOOKED(About.CHANGE),
        SUSPECT_WATER(About.FAULTS),
        SUSPECT_AIR(About.FAULTS),
        SUSPECT_CORE(About.FAULTS),
        SUSPECT_BLOWER(About.FAULTS),
        SUSPECT_RADIATOR(About.FAULTS),
        SUSPECT_CHILLER(About.FAULTS),
        SUSPECT_ICE(About.FAULTS),
        SUSPECT_WARM_AIR(About.FAULTS),
        SUSPECT_SENSOR(About.FAULTS),
        SUSPECT_NOTHING(About.FAULTS),
        EVIDENCE_FOR(About.FAULTS),
        EVIDENCE_AGAINST(About.FAULTS),
        TEST_WATER(About.FAULTS),
        TEST_AIR(About.FAULTS),
        TEST_CORE(About.FAULTS),
        TEST_BLOWER(About.FAULTS),
        TEST_RADIATOR(About.FAULTS),
        TEST_CHILLER(About.FAULTS),
        TEST_ICE(About.FAULTS),
        TEST_WARM_AIR(About.FAULTS),
        TEST_SENSOR(About.FAULTS);

        private final About about;

        Kind(About about) {
            this.about = about;
        }

        public About about() {
            return about;
        }
    }

    public LogFinding {
        figures = List.copyOf(figures);
    }

    static LogFinding of(Kind kind) {
        return new LogFinding(kind, "", "", List.of());
    }

    static LogFinding of(Kind kind, Channel of) {
        return new LogFinding(kind, of.words(), "", List.of());
    }

    static LogFinding of(Kind kind, Channel of, Channel to) {
        return new LogFinding(kind, of.words(), to.words(), List.of());
    }

    LogFinding with(String name, double value, Quantity quantity) {
        List<Figure> more = new ArrayList<>(figures);
        more.add(new Figure(name, value, quantity));
        return new LogFinding(kind, of, to, more);
    }

    LogFinding kelvin(String name, double value) {
        return with(name, value, Quantity.TEMPERATURE_DIFFERENCE);
    }
}
