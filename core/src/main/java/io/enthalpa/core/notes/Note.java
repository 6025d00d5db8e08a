package io.enthalpa.core.notes;

import io.enthalpa.core.place.Subject;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import java.util.List;

/**
 * Something a user should know about a steady answer, chosen here; the edge words it in the reader's units.
 *
 * @param kind    what
 * @param subject what it is about
 * @param of      its name
 * @param value   found, SI
 * @param limit   that it passed, or another number of the sentence, SI
 */
public record Note(Kind kind, Subject subject, String of, double value, double limit) {
    /** What a note says. */
    public enum Kind {
        /** Mach number above 0.3: losses grow steeply. */
        MACH_COSTLY(Quantity.NUMBER),
        /** Mach number above 0.4: beyond the loss formulas. */
        MACH_BEYOND_FORMULAS(Quantity.NUMBER),
        /** Area grows by more than 15 % into this piece without a cone. */
        AREA_STEPS_UP(Quantity.SHARE),
        /** Area shrinks by more than 15 % into this piece without a cone. */
        AREA_STEPS_DOWN(Quantity.SHARE),
        /** A filter in a wheel arch. */
        FILTER_IN_ARCH(Quantity.NUMBER),
        /** A filter in the engine bay; value the share of its air from there, limit how much warmer it is behind the filter. */
        FILTER_IN_BAY(Quantity.SHARE, Quantity.TEMPERATURE_DIFFERENCE),
        /** A scoop in front of a filter; value the share of what is met that it keeps. */
        FILTER_SCOOPED(Quantity.SHARE),
        /** Bends less than five bores apart: they disturb each other. In bores. */
        BENDS_CLOSE(Quantity.NUMBER),
        /** Two pipes side by side with less area than the one they replace; value is their share of it. */
        PAIR_TOO_SMALL(Quantity.SHARE),
        /** The two legs carry unequal flow; value is the deviation from half. */
        LEGS_UNEQUAL(Quantity.SHARE),
        /** Charge flow in the core below what its rating card can be scaled to; times the card's. */
        CHARGE_FLOW_UNDER_CARD(Quantity.NUMBER),
        /** Above it. */
        CHARGE_FLOW_OVER_CARD(Quantity.NUMBER),
        /** Cooling flow below what the rating card can be scaled to; times the card's. */
        COLD_FLOW_UNDER_CARD(Quantity.NUMBER),
        /** Above it. */
        COLD_FLOW_OVER_CARD(Quantity.NUMBER),
        /** Core volume outside what the rating card can be scaled to; times the card's. */
        SIZE_BEYOND_CARD(Quantity.NUMBER),
        /** The card's points do not agree with each other; value is the largest deviation. */
        CARD_POINTS_DISAGREE(Quantity.SHARE),
        /** Reynolds number between the charge fins outside what their correlation was made for. */
        CHARGE_FIN_BEYOND_RANGE(Quantity.NUMBER),
        /** The same between the cooling fins. */
        COLD_FIN_BEYOND_RANGE(Quantity.NUMBER),
        /** Measures of its charge fins lie beyond those that their formula was fitted over; value is the first of them by number. */
        CHARGE_FIN_UNLIKE(Quantity.NUMBER),
        /** Of its cooling fins. */
        COLD_FIN_UNLIKE(Quantity.NUMBER),
        /** Of a radiator's fins. */
        RADIATOR_FIN_UNLIKE(Quantity.NUMBER),
        /** End tanks feed the passages unevenly; value is the spread. */
        UNEVEN_FEED(Quantity.SHARE),
        /** Water comes out of the charge inside the core; value in an hour, limit its dew point. */
        CONDENSATE(Quantity.MASS, Quantity.TEMPERATURE),
        /** Blower efficiency outside the usual span of its type. */
        EFFICIENCY_UNUSUAL(Quantity.SHARE),
        /** The blower cannot make the asked pressure; value is the boost reached, limit the boost asked. */
        BLOWER_LIMITED(Quantity.PRESSURE),
        /** Left of the surge line; value is how far. */
        SURGES(Quantity.SHARE),
        /** Within 5 % of the surge line; value is the margin. */
        NEAR_SURGE(Quantity.SHARE),
        /** Beyond the choke end of the map; value is the margin. */
        CHOKE(Quantity.SHARE),
        /** Below the slowest measured line: efficiency is that of the line. */
        BELOW_MAP(Quantity.ROTATION),
        /** Above the fastest measured line. */
        ABOVE_MAP(Quantity.ROTATION),
        /** A hose, fitting or core of a water loop is laminar; value is the Reynolds number. */
        LOOP_LAMINAR(Quantity.NUMBER),
        /** One piece takes more than 30 % of the pump's head; value is its share. */
        LOOP_STRANGLED(Quantity.SHARE),
        /** Water faster than 3 m/s. */
        LOOP_FAST(Quantity.SPEED),
        /** The pump works beyond the last point of its curve. */
        PUMP_BEYOND_CURVE(Quantity.VOLUME_FLOW),
        /** The pump moves next to nothing. */
        PUMP_STALLED(Quantity.VOLUME_FLOW),
        /** Water ports on the middle of a tank, at one end, or with a boss before the tubes; value is the share of its passages that see little water. */
        PORTS_WASH_PART(Quantity.SHARE),
        /** A core fed from the top never fills. */
        FED_FROM_TOP(Quantity.SHARE),
        /** A piece stands above the header's cap, little enough to stay full while the pump runs. */
        LOOP_HIGH_SPOT(Quantity.LENGTH),
        /** A piece stands so far above the header's cap that it holds air. */
        LOOP_HOLDS_AIR(Quantity.LENGTH),
        /** A closed loop without a tank: nothing takes air and expansion. */
        LOOP_WITHOUT_TANK(Quantity.NUMBER),
        /** Its water is hotter than it can be; value is how hot, limit where it boils. */
        LOOP_BOILS(Quantity.TEMPERATURE),
        /** Its water is colder than it can be; value is how cold, limit where it freezes. */
        LOOP_FREEZES(Quantity.TEMPERATURE),
        /** Outside air is below the coolant's freezing point. */
        COOLANT_FREEZES(Quantity.TEMPERATURE),
        /** The ice is gone after this long at full load. */
        ICE_LASTS(Quantity.TIME),
        /** The boost cuts the compressor out at full load. */
        CHILLER_CUT_OUT(Quantity.PRESSURE),
        /** Nothing takes the heat for good at full load; value is how much the water warms in a minute. */
        LOOP_WARMS(Quantity.TEMPERATURE_DIFFERENCE, Quantity.NUMBER),
        /** Hoses and core are colder than the outside dew point. */
        SWEATS(Quantity.TEMPERATURE),
        /** The same where every hose is wrapped: the core alone drips. */
        CORE_SWEATS(Quantity.TEMPERATURE),
        /** It reaches out of the space of its way; value is how far, limit is other than 0 when tanks and ports were counted. */
        STANDS_OUTSIDE(Quantity.LENGTH, Quantity.NUMBER),
        /** A charge pipe is colder than the outside dew point; value is its charge, limit the dew point. */
        PIPE_SWEATS(Quantity.TEMPERATURE),
        /** Less of the opening is free than half; value is the free share. */
        OPENING_WALLED(Quantity.SHARE),
        /** More than a quarter of the air goes round the stack; value is the share. */
        AIR_BYPASS(Quantity.SHARE),
        /** The fan blows against the road wind. */
        FAN_AGAINST(Quantity.DRAUGHT),
        /** The wind presses harder at the exit than at the opening; value is by how much. */
        WIND_AGAINST(Quantity.DRAUGHT),
        /** The exit takes more pressure than the stack. */
        EXIT_STRANGLES(Quantity.DRAUGHT),
        /** Air reaches a core or radiator warmed by what stands before it. */
        AIR_PREHEATED(Quantity.TEMPERATURE_DIFFERENCE),
        /** A condenser comes to the most its hot side may: value is what it gives, limit what it has to. */
        CONDENSER_SHORT(Quantity.POWER),
        /** An engine radiator or oil cooler does. */
        COOLER_SHORT(Quantity.POWER),
        /** Temperatures did not come to stand; value is by how much something still moved. */
        NOT_SETTLED(Quantity.TEMPERATURE_DIFFERENCE),
        /** Pressures or flows of the path disagree in the end; value is by which share. */
        NOT_AGREED(Quantity.SHARE),
        /** The power asked for wants more air than speed-density gives, by more than 15 %. */
        POWER_WANTS_MORE_AIR(Quantity.SHARE),
        /** It wants less. */
        POWER_WANTS_LESS_AIR(Quantity.SHARE);

        private final Quantity value;
        private final Quantity limit;

        Kind(Quantity both) {
            this(both, both);
        }

        Kind(Quantity value, Quantity limit) {
            this.value = value;
            this.limit = limit;
        }
    }

    /** @return what its sentence is filled with */
    public List<Figure> figures() {
        return List.of(new Figure("value", value, kind.value), new Figure("limit", limit, kind.limit));
    }
}
