package io.enthalpa.core.notes;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.Intake;
import io.enthalpa.core.chargepath.LegResult;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PieceResult;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.Station;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.FuelDemand;
import io.enthalpa.core.engine.MapPoint;
import io.enthalpa.core.exchanger.FinFlow;
import io.enthalpa.core.exchanger.FinMeasure;
import io.enthalpa.core.exchanger.FinnedCore;
import io.enthalpa.core.exchanger.RatedCore;
import io.enthalpa.core.exchanger.ScalingLaw;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.notes.Note.Kind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.source.ValidityRange;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.util.List;
import java.util.stream.Collectors;

/** What a user should know about path, blower and cores at a steady point. */
final class PathNotes {
    private static final double MACH_COSTLY = 0.3;
    private static final double MACH_LIMIT = 0.4;
    private static final double AREA_STEP = 0.15;
    private static final double IMBALANCE = 0.05;
    private static final double SURGE_MARGIN = 0.05;
    private static final double UNEVEN = 0.25;
    private static final double MISFIT = 0.05;
    /** Condensate worth a word, kg/s: a drop a second or so. */
    private static final double DRIPS = 5e-5;

    /** Share by which pressures and flows may disagree in the end. */
    private static final double AGREED = 1e-6;

    private static final double LEAST_PAIR = 0.95;
    /** s. */
    private static final double AN_HOUR = 3600;

    private PathNotes() {}

    static void about(List<Note> notes, ChargeSystem system, SteadyResult result) {
        system.path()
                .engine()
                .fuel()
                .ifPresent(fuel -> fuel(notes, fuel, result.path().flow()));
        if (result.unsettled() > 0) {
            notes.add(new Note(Kind.NOT_SETTLED, Subject.Whole.PATH, "full load", result.unsettled(), 0));
        }
        if (result.path().residual() > AGREED) {
            notes.add(new Note(
                    Kind.NOT_AGREED,
                    Subject.Whole.PATH,
                    "full load",
                    result.path().residual(),
                    AGREED));
        }
        row(notes, Spot.Row.PATH, result.path().stations(), result.path().pieces(), false);
        sweating(notes, system.path().ambient(), result);
        if (result.path().blowerLimited()) {
            double ambient = system.path().ambient().pressure();
            notes.add(new Note(
                    Kind.BLOWER_LIMITED,
                    Subject.Whole.PATH,
                    blowers(system),
                    result.path().manifoldPressure() - ambient,
                    result.path().askedPressure() - ambient));
        }
        for (CoreResult core : result.cores()) {
            core(notes, core);
        }
    }

    /** Bare pipes that the charge keeps under the outside dew point: water drips off them on what is below. */
    private static void sweating(List<Note> notes, Ambient outside, SteadyResult result) {
        double dew = outside.air().dewPoint(outside.pressure());
        List<PieceResult> pieces = result.path().pieces();
        for (int i = 0; i < pieces.size(); i++) {
            double charge = result.path().stations().get(i + 1).temperature();
            if (pieces.get(i).element() instanceof PathElement.Pipe pipe
                    && pipe.wall().wrap() == 0
                    && charge < dew) {
                notes.add(new Note(Kind.PIPE_SWEATS, Spot.Row.PATH.at(i), pipe.name(), charge, dew));
            }
        }
    }

    private static void fuel(List<Note> notes, FuelDemand fuel, double flow) {
        double disagreement = fuel.airDemand() / flow - 1;
        if (Math.abs(disagreement) > FuelDemand.TOLERATED) {
            notes.add(new Note(
                    disagreement > 0 ? Kind.POWER_WANTS_MORE_AIR : Kind.POWER_WANTS_LESS_AIR,
                    Subject.Whole.ENGINE,
                    "engine",
                    Math.abs(disagreement),
                    FuelDemand.TOLERATED));
        }
    }

    private static void row(
            List<Note> notes, Spot.Row row, List<Station> stations, List<PieceResult> pieces, boolean blown) {
        boolean behind = blown;
        for (int i = 0; i < pieces.size(); i++) {
            PieceResult piece = pieces.get(i);
            Spot here = row.at(i);
            String name = piece.element().name();
            if (piece.mach() > MACH_LIMIT) {
                notes.add(new Note(Kind.MACH_BEYOND_FORMULAS, here, name, piece.mach(), MACH_LIMIT));
            } else if (piece.mach() > MACH_COSTLY) {
                notes.add(new Note(Kind.MACH_COSTLY, here, name, piece.mach(), MACH_COSTLY));
            }
            if (behind && i > 0) {
                areaStep(notes, pieces.get(i - 1).element(), piece.element(), here);
            }
            if (piece.element() instanceof PathElement.Filter filter) {
                intake(notes, here, filter, piece.temperature());
            }
            if (piece.element() instanceof PathElement.Blower blower) {
                behind = true;
                blower(notes, here, blower.spec(), piece);
            } else if (piece.element() instanceof PathElement.Pipe pipe
                    && pipe.spec().apart() < PipeSpec.APART) {
                notes.add(new Note(Kind.BENDS_CLOSE, here, name, pipe.spec().apart(), PipeSpec.APART));
            } else if (piece.element() instanceof PathElement.Parallel pair) {
                pair(notes, here, pair, piece, stations.get(i).bore(), i == 0, behind);
                behind |= pair.legs().get(0).path().stream().anyMatch(PathElement.Blower.class::isInstance);
            }
        }
    }

    private static void intake(List<Note> notes, Spot here, PathElement.Filter filter, double warmer) {
        if (filter.intake().from() == Intake.From.WHEEL_ARCH) {
            notes.add(new Note(Kind.FILTER_IN_ARCH, here, filter.name(), 0, 0));
        } else if (filter.intake().from() == Intake.From.BAY) {
            notes.add(new Note(Kind.FILTER_IN_BAY, here, filter.name(), filter.bayShare(), warmer));
        } else if (filter.intake().from() == Intake.From.SCOOP) {
            notes.add(new Note(
                    Kind.FILTER_SCOOPED, here, filter.name(), filter.intake().ram(), 0));
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
            double narrowest = leg.narrowest().orElse(leg.stations().get(0).bore());
            area += Math.PI / 4 * narrowest * narrowest;
        }
        double one = Math.PI / 4 * replaced * replaced;
        if (!(ownAir && pair.endsInBanks()) && area < LEAST_PAIR * one) {
            notes.add(new Note(Kind.PAIR_TOO_SMALL, here, pair.name(), area / one, LEAST_PAIR));
        }
        double off = Math.abs(piece.legs().get(0).share() - 0.5) / 0.5;
        if (off > IMBALANCE) {
            notes.add(new Note(Kind.LEGS_UNEQUAL, here, pair.name(), off, IMBALANCE));
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
            notes.add(new Note(
                    ratio > 1 ? Kind.AREA_STEPS_UP : Kind.AREA_STEPS_DOWN,
                    here,
                    to.name(),
                    Math.abs(ratio - 1),
                    AREA_STEP));
        }
    }

    private static void blower(List<Note> notes, Spot here, BlowerSpec spec, PieceResult piece) {
        if (piece.map().isPresent()) {
            map(notes, here, piece.element().name(), piece.map().get());
        } else if (spec.efficiency() > spec.type().usualHigh() + 1e-9) {
            notes.add(new Note(
                    Kind.EFFICIENCY_UNUSUAL,
                    here,
                    piece.element().name(),
                    spec.efficiency(),
                    spec.type().usualHigh()));
        } else if (spec.efficiency() < spec.type().usualLow() - 1e-9) {
            notes.add(new Note(
                    Kind.EFFICIENCY_UNUSUAL,
                    here,
                    piece.element().name(),
                    spec.efficiency(),
                    spec.type().usualLow()));
        }
    }

    private static void map(List<Note> notes, Spot here, String name, MapPoint point) {
        boolean near = point.place() == MapPoint.Place.INSIDE && point.surgeMargin() < SURGE_MARGIN;
        if (near || point.place() == MapPoint.Place.SURGE) {
            notes.add(new Note(
                    point.surgeMargin() < 0 ? Kind.SURGES : Kind.NEAR_SURGE,
                    here,
                    name,
                    Math.abs(point.surgeMargin()),
                    SURGE_MARGIN));
        } else if (point.place() == MapPoint.Place.CHOKE) {
            notes.add(new Note(Kind.CHOKE, here, name, point.chokeMargin(), 0));
        } else if (point.place() == MapPoint.Place.BELOW) {
            notes.add(new Note(Kind.BELOW_MAP, here, name, point.speed(), 0));
        } else if (point.place() == MapPoint.Place.ABOVE) {
            notes.add(new Note(Kind.ABOVE_MAP, here, name, point.speed(), 0));
        }
    }

    private static void core(List<Note> notes, CoreResult core) {
        Spot here = core.slot().spot();
        String name = core.slot().element().name();
        if (core.slot().cooler().model() instanceof RatedCore rated) {
            flow(
                    notes,
                    List.of(Kind.CHARGE_FLOW_UNDER_CARD, Kind.CHARGE_FLOW_OVER_CARD),
                    here,
                    name,
                    rated.hotFlowRatio(core.flow()),
                    rated.hotFlows());
            flow(
                    notes,
                    List.of(Kind.COLD_FLOW_UNDER_CARD, Kind.COLD_FLOW_OVER_CARD),
                    here,
                    name,
                    rated.coldFlowRatio(core.coldFlow()),
                    rated.coldFlows());
            beyond(notes, Kind.SIZE_BEYOND_CARD, here, name, rated.volumeRatio(), ScalingLaw.VOLUME);
            beyond(
                    notes,
                    Kind.CARD_POINTS_DISAGREE,
                    here,
                    name,
                    rated.misfit(),
                    new ValidityRange("misfit", 0, MISFIT, ""));
        } else if (core.slot().cooler().model() instanceof FinnedCore finned) {
            double mean = (core.in() + core.out()) / 2;
            fin(notes, Kind.CHARGE_FIN_BEYOND_RANGE, here, name, finned.chargeFlow(core.flow(), mean));
            fin(
                    notes,
                    Kind.COLD_FIN_BEYOND_RANGE,
                    here,
                    name,
                    finned.coldFlow(core.coldFlow(), (core.coldIn() + core.coldOut()) / 2));
            unlike(notes, Kind.CHARGE_FIN_UNLIKE, here, name, finned.chargeBeyond());
            unlike(notes, Kind.COLD_FIN_UNLIKE, here, name, finned.coldBeyond());
            beyond(
                    notes,
                    Kind.UNEVEN_FEED,
                    here,
                    name,
                    finned.tankEffect(core.flow(), mean).spread(),
                    new ValidityRange("spread", 0, UNEVEN, ""));
        }
        if (core.condensate().flow() > DRIPS) {
            notes.add(new Note(
                    Kind.CONDENSATE,
                    here,
                    name,
                    AN_HOUR * core.condensate().flow(),
                    core.condensate().dewPoint()));
        }
    }

    private static void fin(List<Note> notes, Kind kind, Spot here, String name, FinFlow flow) {
        if (!flow.withinRange()) {
            notes.add(new Note(kind, here, name, flow.reynolds(), 0));
        }
    }

    private static void unlike(List<Note> notes, Kind kind, Spot here, String name, List<FinMeasure> measures) {
        if (!measures.isEmpty()) {
            notes.add(new Note(kind, here, name, measures.get(0).place(), measures.size()));
        }
    }

    private static void beyond(List<Note> notes, Kind kind, Spot here, String name, double value, ValidityRange range) {
        if (!range.contains(value)) {
            notes.add(new Note(kind, here, name, value, value < range.min() ? range.min() : range.max()));
        }
    }

    private static void flow(
            List<Note> notes, List<Kind> underAndOver, Spot here, String name, double value, ValidityRange range) {
        beyond(notes, underAndOver.get(value < range.min() ? 0 : 1), here, name, value, range);
    }

    private static String blowers(ChargeSystem system) {
        return Pieces.of(PathElement.Blower.class, system.path().elements()).stream()
                .map(blower -> blower.piece().name())
                .distinct()
                .collect(Collectors.joining(" and "));
    }
}
