package io.enthalpa.core.commission;

import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import java.util.ArrayList;
import java.util.List;

/**
 * A line of a list: something to do, to look at, or to beware of.
 *
 * @param of      what it is about
 * @param to      another thing that it is about
 * @param figures by name
 */
public record Step(Kind kind, String of, String to, List<Figure> figures) {
    /** What a line is for. */
    public enum Part {
        /** Before anything is done. */
        BEWARE,
        /** What is shut and how. */
        CAPS,
        /** In this order. */
        DO,
        /** Where to put soap, likeliest first. */
        SOAP,
        /** What comes of it. */
        RESULT,
        /** How much of what. */
        LITRES,
        /** Air that has to get out. */
        AIR,
        /** Before the engine is started. */
        COLD,
        /** With the engine running. */
        IDLE,
        /** On the road. */
        DRIVE,
        /** After it, hot. */
        HOT,
        /** Each joint. */
        JOINTS
    }

    /** What it says. */
    public enum Kind {
        LEAK_ENERGY(Part.BEWARE),
        LEAK_LIMIT(Part.BEWARE),
        LEAK_LIMIT_OF_JOINT(Part.BEWARE),
        LEAK_NO_RATING(Part.BEWARE),
        LEAK_REGULATOR(Part.BEWARE),
        LEAK_GUARD(Part.BEWARE),
        LEAK_SCALD(Part.BEWARE),
        LEAK_CAP(Part.CAPS),
        LEAK_CAP_RELIEF(Part.CAPS),
        LEAK_CAP_LOOP(Part.CAPS),
        LEAK_PUMP_UP(Part.DO),
        LEAK_SETTLE(Part.DO),
        LEAK_READ(Part.DO),
        LEAK_LET_OUT(Part.DO),
        LEAK_FALLS(Part.DO),
        LEAK_SOAP_JOINT(Part.SOAP),
        LEAK_SOAP_HOSE(Part.SOAP),
        LEAK_SOAP_SEAMS(Part.SOAP),
        LEAK_SOAP_PUMP(Part.SOAP),
        LEAK_GOOD(Part.RESULT),
        LEAK_ACCEPTABLE(Part.RESULT),
        LEAK_TOO_MUCH(Part.RESULT),
        LEAK_OPEN(Part.RESULT),
        LEAK_WATER_GOOD(Part.RESULT),
        LEAK_WATER_ACCEPTABLE(Part.RESULT),
        LEAK_WATER_TOO_MUCH(Part.RESULT),
        LEAK_WATER_OPEN(Part.RESULT),
        LEAK_EMPTIED(Part.RESULT),
        LEAK_COOLED(Part.RESULT),
        LEAK_OVER(Part.RESULT),
        FILL_ALL(Part.LITRES),
        FILL_TANK(Part.LITRES),
        FILL_HOSES(Part.LITRES),
        FILL_REST(Part.LITRES),
        FILL_GLYCOL(Part.LITRES),
        FILL_GROWS(Part.LITRES),
        FILL_NO_ROOM(Part.BEWARE),
        FILL_NO_TANK(Part.BEWARE),
        FILL_DRY(Part.BEWARE),
        FILL_CAP(Part.BEWARE),
        FILL_FED_TOP(Part.AIR),
        FILL_POCKET(Part.AIR),
        FILL_HIGH_SPOT(Part.AIR),
        FILL_HOLDS_AIR(Part.AIR),
        FILL_NO_POCKET(Part.AIR),
        FILL_SLOWLY(Part.DO),
        FILL_SQUEEZE(Part.DO),
        FILL_RUN(Part.DO),
        FILL_WATCH(Part.DO),
        FILL_BUCKET(Part.DO),
        FILL_WARM(Part.DO),
        FILL_OPEN(Part.DO),
        START_BONNET(Part.COLD),
        START_GAP(Part.COLD),
        START_GAP_MOVES(Part.COLD),
        START_TORQUE(Part.COLD),
        START_BRACE(Part.COLD),
        START_CLEAN(Part.COLD),
        START_FAN(Part.COLD),
        START_LEAK(Part.COLD),
        START_PUMP(Part.IDLE),
        START_DRIP(Part.IDLE),
        START_LOG_IDLE(Part.IDLE),
        START_SPRAY(Part.IDLE),
        START_ICE(Part.IDLE),
        START_PULL(Part.DRIVE),
        START_BOOST(Part.DRIVE),
        START_STOP(Part.DRIVE),
        START_CLAMPS(Part.HOT),
        START_HOT_JOINT(Part.HOT),
        START_CHAFE(Part.HOT),
        START_LEVEL(Part.HOT),
        JOINT_HELD(Part.JOINTS),
        JOINT_LOCKED(Part.JOINTS),
        JOINT_WELDED(Part.JOINTS),
        JOINT_SHORT(Part.JOINTS),
        JOINT_RETIGHTEN(Part.HOT),
        JOINT_OUTLET(Part.BEWARE),
        MADE_NOT_MEASURED(Part.RESULT),
        MADE_NOTHING(Part.RESULT),
        MADE_COLDER(Part.RESULT),
        MADE_WARMER(Part.RESULT);

        private final Part part;

        Kind(Part part) {
            this.part = part;
        }

        public Part part() {
            return part;
        }
    }

    public Step {
        figures = List.copyOf(figures);
    }

    static Step of(Kind kind) {
        return new Step(kind, "", "", List.of());
    }

    static Step of(Kind kind, String of) {
        return new Step(kind, of, "", List.of());
    }

    static Step of(Kind kind, String of, String to) {
        return new Step(kind, of, to, List.of());
    }

    Step with(String name, double value, Quantity quantity) {
        List<Figure> more = new ArrayList<>(figures);
        more.add(new Figure(name, value, quantity));
        return new Step(kind, of, to, more);
    }

    Step plain(String name, double value) {
        return with(name, value, Quantity.NUMBER);
    }

    Step pressure(String name, double value) {
        return with(name, value, Quantity.PRESSURE);
    }
}
