package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PieceResult;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.exchanger.ScalingLaw;
import java.util.ArrayList;
import java.util.List;

/**
 * Something a user should know about a steady answer.
 *
 * @param kind  what
 * @param piece index of the piece it is about
 * @param value found
 * @param limit that it passed
 */
public record Note(Kind kind, int piece, double value, double limit) {
    private static final double MACH_COSTLY = 0.3;
    private static final double MACH_LIMIT = 0.4;
    private static final double AREA_STEP = 0.15;

    /** What a note is about. */
    public enum Kind {
        /** Mach number above 0.3: losses grow steeply. */
        MACH_COSTLY,
        /** Mach number above 0.4: beyond the loss formulas. */
        MACH_BEYOND_FORMULAS,
        /** Area steps by more than 15 % into this piece without a cone. */
        AREA_STEP,
        /** Charge flow in the core outside what its rating card can be scaled to. */
        CHARGE_FLOW_BEYOND_CARD,
        /** Cooling flow outside what the rating card can be scaled to. */
        COLD_FLOW_BEYOND_CARD,
        /** Core volume outside what the rating card can be scaled to. */
        SIZE_BEYOND_CARD,
        /** Blower efficiency outside the usual span of its type. */
        EFFICIENCY_UNUSUAL,
        /** The blower cannot make the asked pressure; value is the boost reached, limit the boost asked, Pa. */
        BLOWER_LIMITED
    }

    /** @return what the user should know about an answer, in the order of the path */
    public static List<Note> about(ChargeSystem system, SteadyResult result) {
        List<Note> notes = new ArrayList<>();
        List<PieceResult> pieces = result.path().pieces();
        int blower = system.path().blowerIndex();
        for (int i = 0; i < pieces.size(); i++) {
            double mach = pieces.get(i).mach();
            if (mach > MACH_LIMIT) {
                notes.add(new Note(Kind.MACH_BEYOND_FORMULAS, i, mach, MACH_LIMIT));
            } else if (mach > MACH_COSTLY) {
                notes.add(new Note(Kind.MACH_COSTLY, i, mach, MACH_COSTLY));
            }
            if (i > blower) {
                areaStep(notes, pieces.get(i - 1).element(), pieces.get(i).element(), i);
            }
        }
        blower(notes, system, result);
        if (result.core() != null) {
            card(notes, system, result.core());
        }
        return notes;
    }

    private static void areaStep(List<Note> notes, PathElement from, PathElement to, int piece) {
        double ratio = Math.pow(to.bore() / from.bore(), 2);
        if (Math.abs(ratio - 1) > AREA_STEP) {
            notes.add(new Note(Kind.AREA_STEP, piece, ratio - 1, AREA_STEP));
        }
    }

    private static void blower(List<Note> notes, ChargeSystem system, SteadyResult result) {
        int index = system.path().blowerIndex();
        BlowerSpec spec = system.path().blower();
        if (spec.efficiency() > spec.type().usualHigh() + 1e-9) {
            notes.add(new Note(Kind.EFFICIENCY_UNUSUAL, index, spec.efficiency(), spec.type().usualHigh()));
        } else if (spec.efficiency() < spec.type().usualLow() - 1e-9) {
            notes.add(new Note(Kind.EFFICIENCY_UNUSUAL, index, spec.efficiency(), spec.type().usualLow()));
        }
        if (result.path().blowerLimited()) {
            double ambient = system.path().ambient().pressure();
            notes.add(new Note(Kind.BLOWER_LIMITED, index, result.path().manifoldPressure() - ambient, result.path().askedPressure() - ambient));
        }
    }

    private static void card(List<Note> notes, ChargeSystem system, CoreResult core) {
        int index = system.path().coreIndex();
        if (!ScalingLaw.FLOW.contains(core.chargeFlowRatio())) {
            notes.add(new Note(Kind.CHARGE_FLOW_BEYOND_CARD, index, core.chargeFlowRatio(), edge(core.chargeFlowRatio(), ScalingLaw.FLOW.min(), ScalingLaw.FLOW.max())));
        }
        if (!ScalingLaw.FLOW.contains(core.coldFlowRatio())) {
            notes.add(new Note(Kind.COLD_FLOW_BEYOND_CARD, index, core.coldFlowRatio(), edge(core.coldFlowRatio(), ScalingLaw.FLOW.min(), ScalingLaw.FLOW.max())));
        }
        double volume = system.path().cooler().exchanger().volumeRatio();
        if (!ScalingLaw.VOLUME.contains(volume)) {
            notes.add(new Note(Kind.SIZE_BEYOND_CARD, index, volume, edge(volume, ScalingLaw.VOLUME.min(), ScalingLaw.VOLUME.max())));
        }
    }

    private static double edge(double value, double min, double max) {
        return value < min ? min : max;
    }
}
