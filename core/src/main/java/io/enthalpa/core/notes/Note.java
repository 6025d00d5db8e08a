package io.enthalpa.core.notes;

import io.enthalpa.core.chargepath.LegResult;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PieceResult;
import io.enthalpa.core.chargepath.Station;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.FuelDemand;
import io.enthalpa.core.engine.MapPoint;
import io.enthalpa.core.exchanger.FinFlow;
import io.enthalpa.core.exchanger.FinnedCore;
import io.enthalpa.core.exchanger.RatedCore;
import io.enthalpa.core.exchanger.ScalingLaw;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.source.ValidityRange;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.util.ArrayList;
import java.util.List;

/**
 * Something a user should know about a steady answer.
 *
 * @param kind    what
 * @param subject what it is about
 * @param value   found
 * @param limit   that it passed
 */
public record Note(Kind kind, Subject subject, double value, double limit) {
    private static final double MACH_COSTLY = 0.3;
    private static final double MACH_LIMIT = 0.4;
    private static final double AREA_STEP = 0.15;
    private static final double IMBALANCE = 0.05;
    private static final double SURGE_MARGIN = 0.05;
    private static final double UNEVEN = 0.25;
    private static final double MISFIT = 0.05;
    /** Condensate worth a word, kg/s: a drop a second or so. */
    private static final double DRIPS = 5e-5;

    /** What a note is about. */
    public enum Kind {
        /** Mach number above 0.3: losses grow steeply. */
        MACH_COSTLY,
        /** Mach number above 0.4: beyond the loss formulas. */
        MACH_BEYOND_FORMULAS,
        /** Area steps by more than 15 % into this piece without a cone. */
        AREA_STEP,
        /** Bends less than five bores apart: they disturb each other. Value and limit in bores. */
        BENDS_CLOSE,
        /** Two pipes side by side with less area than the one they replace. Value and limit in m2. */
        PAIR_TOO_SMALL,
        /** The two legs carry unequal flow; value is the deviation from half, as a share. */
        LEGS_UNEQUAL,
        /** Charge flow in the core outside what its rating card can be scaled to. */
        CHARGE_FLOW_BEYOND_CARD,
        /** Cooling flow outside what the rating card can be scaled to. */
        COLD_FLOW_BEYOND_CARD,
        /** Core volume outside what the rating card can be scaled to. */
        SIZE_BEYOND_CARD,
        /** The card's points do not agree with each other; value is the largest deviation as a share. */
        CARD_POINTS_DISAGREE,
        /** Reynolds number between the charge fins outside what their correlation was made for. */
        CHARGE_FIN_BEYOND_RANGE,
        /** The same between the cooling fins. */
        COLD_FIN_BEYOND_RANGE,
        /** End tanks feed the passages unevenly; value is the spread as a share. */
        UNEVEN_FEED,
        /** Water comes out of the charge inside the core; value kg/s, limit the dew point in K. */
        CONDENSATE,
        /** Blower efficiency outside the usual span of its type. */
        EFFICIENCY_UNUSUAL,
        /** The blower cannot make the asked pressure; value is the boost reached, limit the boost asked, Pa. */
        BLOWER_LIMITED,
        /** Left of the surge line, or within 5 % of it; value is the margin. */
        SURGE,
        /** Beyond the choke end of the map; value is the margin. */
        CHOKE,
        /** Below the slowest measured line: efficiency is that of the line. */
        BELOW_MAP,
        /** Above the fastest measured line. */
        ABOVE_MAP,
        /** A hose, fitting or core of a water loop is laminar; value is the Reynolds number. */
        LOOP_LAMINAR,
        /** One piece takes more than 30 % of the pump's head; value is its share. */
        LOOP_STRANGLED,
        /** Water faster than 3 m/s; value m/s. */
        LOOP_FAST,
        /** The pump works beyond the last point of its curve; value m3/s. */
        PUMP_BEYOND_CURVE,
        /** The pump moves next to nothing; value m3/s. */
        PUMP_STALLED,
        /** Water ports on the middle of a tank, at one end, or with a boss before the tubes; value is the share of the core that is washed. */
        PORTS_WASH_PART,
        /** A core fed from the top never fills. */
        FED_FROM_TOP,
        /** A piece stands above the header's cap; value m. */
        LOOP_HIGH_SPOT,
        /** A closed loop without a tank: nothing takes air and expansion. */
        LOOP_WITHOUT_TANK,
        /** Outside air is below the coolant's freezing point; value and limit K. */
        COOLANT_FREEZES,
        /** The ice is gone after this long at full load; value s. */
        ICE_LASTS,
        /** The boost cuts the compressor out at full load; value and limit Pa. */
        CHILLER_CUT_OUT,
        /** Nothing takes the heat for good at full load; value K/s that the water warms. */
        LOOP_WARMS,
        /** Hoses and core are colder than the outside dew point; value and limit K. */
        SWEATS,
        /** Less of the opening is free than half; value is the free share. */
        OPENING_WALLED,
        /** More than a quarter of the air goes round the stack; value is the share. */
        AIR_BYPASS,
        /** The fan blows against the road wind. */
        FAN_AGAINST,
        /** The wind presses harder at the exit than at the opening; value Pa. */
        WIND_AGAINST,
        /** The exit takes more pressure than the stack. Value and limit Pa. */
        EXIT_STRANGLES,
        /** Air reaches a core or radiator warmed by what stands before it; value K. */
        AIR_PREHEATED,
        /** Speed-density and the power asked for disagree by more than 15 %; value is power's flow over speed-density's, less one. */
        AIR_DEMANDS_DISAGREE
    }

    /** @return what the user should know about an answer, in the order of the path */
    public static List<Note> about(ChargeSystem system, SteadyResult result) {
        List<Note> notes = new ArrayList<>();
        system.path()
                .engine()
                .fuel()
                .ifPresent(fuel -> fuel(notes, fuel, result.path().flow()));
        row(notes, Spot.Row.PATH, result.path().stations(), result.path().pieces(), false);
        if (result.path().blowerLimited()) {
            double ambient = system.path().ambient().pressure();
            notes.add(new Note(
                    Kind.BLOWER_LIMITED,
                    Subject.Whole.PATH,
                    result.path().manifoldPressure() - ambient,
                    result.path().askedPressure() - ambient));
        }
        for (CoreResult core : result.cores()) {
            core(notes, core);
        }
        ColdNotes.about(notes, result, system.path().ambient());
        return notes;
    }

    private static void fuel(List<Note> notes, FuelDemand fuel, double flow) {
        double disagreement = fuel.airDemand() / flow - 1;
        if (Math.abs(disagreement) > FuelDemand.TOLERATED) {
            notes.add(new Note(Kind.AIR_DEMANDS_DISAGREE, Subject.Whole.ENGINE, disagreement, FuelDemand.TOLERATED));
        }
    }

    private static void row(
            List<Note> notes, Spot.Row row, List<Station> stations, List<PieceResult> pieces, boolean blown) {
        boolean behind = blown;
        for (int i = 0; i < pieces.size(); i++) {
            PieceResult piece = pieces.get(i);
            Spot here = row.at(i);
            if (piece.mach() > MACH_LIMIT) {
                notes.add(new Note(Kind.MACH_BEYOND_FORMULAS, here, piece.mach(), MACH_LIMIT));
            } else if (piece.mach() > MACH_COSTLY) {
                notes.add(new Note(Kind.MACH_COSTLY, here, piece.mach(), MACH_COSTLY));
            }
            if (behind && i > 0) {
                areaStep(notes, pieces.get(i - 1).element(), piece.element(), here);
            }
            if (piece.element() instanceof PathElement.Blower blower) {
                behind = true;
                blower(notes, here, blower.spec(), piece);
            } else if (piece.element() instanceof PathElement.Pipe pipe
                    && pipe.spec().apart() < PipeSpec.APART) {
                notes.add(new Note(Kind.BENDS_CLOSE, here, pipe.spec().apart(), PipeSpec.APART));
            } else if (piece.element() instanceof PathElement.Parallel pair) {
                pair(notes, here, pair, piece, stations.get(i).bore(), i == 0, behind);
                behind |= pair.legs().get(0).path().stream().anyMatch(PathElement.Blower.class::isInstance);
            }
        }
    }

    private static void pair(
            List<Note> notes,
            Spot here,
            PathElement.Parallel pair,
            PieceResult piece,
            double bore,
            boolean ownAir,
            boolean behind) {
        double replaced = ownAir ? pair.mergedBore() : bore;
        double area = 0;
        for (int k = 0; k < 2; k++) {
            LegResult leg = piece.legs().get(k);
            double narrowest = leg.pieces().stream()
                    .map(PieceResult::element)
                    .filter(e -> e instanceof PathElement.Pipe
                            || e instanceof PathElement.Joint
                            || e instanceof PathElement.Reducer)
                    .mapToDouble(PathElement::bore)
                    .min()
                    .orElse(leg.stations().get(0).bore());
            area += Math.PI / 4 * narrowest * narrowest;
        }
        double one = Math.PI / 4 * replaced * replaced;
        if (!(ownAir && pair.endsInBanks()) && area < 0.95 * one) {
            notes.add(new Note(Kind.PAIR_TOO_SMALL, here, area, one));
        }
        double off = Math.abs(piece.legs().get(0).share() - 0.5) / 0.5;
        if (off > IMBALANCE) {
            notes.add(new Note(Kind.LEGS_UNEQUAL, here, off, IMBALANCE));
        }
        for (int k = 0; k < 2; k++) {
            row(
                    notes,
                    here.leg(k),
                    piece.legs().get(k).stations(),
                    piece.legs().get(k).pieces(),
                    behind);
        }
    }

    private static void areaStep(List<Note> notes, PathElement from, PathElement to, Spot here) {
        double ratio = Math.pow(to.inletBore() / from.bore(), 2);
        if (Math.abs(ratio - 1) > AREA_STEP) {
            notes.add(new Note(Kind.AREA_STEP, here, ratio - 1, AREA_STEP));
        }
    }

    private static void blower(List<Note> notes, Spot here, BlowerSpec spec, PieceResult piece) {
        if (piece.map().isPresent()) {
            map(notes, here, piece.map().get());
        } else if (spec.efficiency() > spec.type().usualHigh() + 1e-9) {
            notes.add(new Note(
                    Kind.EFFICIENCY_UNUSUAL,
                    here,
                    spec.efficiency(),
                    spec.type().usualHigh()));
        } else if (spec.efficiency() < spec.type().usualLow() - 1e-9) {
            notes.add(new Note(
                    Kind.EFFICIENCY_UNUSUAL,
                    here,
                    spec.efficiency(),
                    spec.type().usualLow()));
        }
    }

    private static void map(List<Note> notes, Spot here, MapPoint point) {
        if (point.place() == MapPoint.Place.SURGE
                || point.place() == MapPoint.Place.INSIDE && point.surgeMargin() < SURGE_MARGIN) {
            notes.add(new Note(Kind.SURGE, here, point.surgeMargin(), SURGE_MARGIN));
        } else if (point.place() == MapPoint.Place.CHOKE) {
            notes.add(new Note(Kind.CHOKE, here, point.chokeMargin(), 0));
        } else if (point.place() == MapPoint.Place.BELOW) {
            notes.add(new Note(Kind.BELOW_MAP, here, point.speed(), 0));
        } else if (point.place() == MapPoint.Place.ABOVE) {
            notes.add(new Note(Kind.ABOVE_MAP, here, point.speed(), 0));
        }
    }

    private static void core(List<Note> notes, CoreResult core) {
        Spot here = core.slot().spot();
        if (core.slot().cooler().model() instanceof RatedCore rated) {
            beyond(notes, Kind.CHARGE_FLOW_BEYOND_CARD, here, rated.hotFlowRatio(core.flow()), rated.hotFlows());
            beyond(notes, Kind.COLD_FLOW_BEYOND_CARD, here, rated.coldFlowRatio(core.coldFlow()), rated.coldFlows());
            beyond(notes, Kind.SIZE_BEYOND_CARD, here, rated.volumeRatio(), ScalingLaw.VOLUME);
            beyond(notes, Kind.CARD_POINTS_DISAGREE, here, rated.misfit(), new ValidityRange("misfit", 0, MISFIT, ""));
        } else if (core.slot().cooler().model() instanceof FinnedCore finned) {
            double mean = (core.in() + core.out()) / 2;
            fin(notes, Kind.CHARGE_FIN_BEYOND_RANGE, here, finned.chargeFlow(core.flow(), mean));
            fin(
                    notes,
                    Kind.COLD_FIN_BEYOND_RANGE,
                    here,
                    finned.coldFlow(core.coldFlow(), (core.coldIn() + core.coldOut()) / 2));
            beyond(
                    notes,
                    Kind.UNEVEN_FEED,
                    here,
                    finned.tankEffect(core.flow(), mean).spread(),
                    new ValidityRange("spread", 0, UNEVEN, ""));
        }
        if (core.condensate().flow() > DRIPS) {
            notes.add(new Note(
                    Kind.CONDENSATE,
                    here,
                    core.condensate().flow(),
                    core.condensate().dewPoint()));
        }
    }

    private static void fin(List<Note> notes, Kind kind, Spot here, FinFlow flow) {
        if (!flow.withinRange()) {
            notes.add(new Note(kind, here, flow.reynolds(), 0));
        }
    }

    private static void beyond(List<Note> notes, Kind kind, Spot here, double value, ValidityRange range) {
        if (!range.contains(value)) {
            notes.add(new Note(kind, here, value, value < range.min() ? range.min() : range.max()));
        }
    }
}
