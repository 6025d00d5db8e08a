package io.enthalpa.core.fit;

import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import java.util.ArrayList;
import java.util.List;

/**
 * What is found of an option in its room.
 *
 * @param kind    of the finding
 * @param of      the body and its element that it is about; empty where it is about none
 * @param to      what is on the other side
 * @param figures by name
 */
public record FitFinding(Kind kind, String of, String to, List<Figure> figures) {
    /** What can be found. */
    public enum Kind {
        FIT_NOTHING_PLACED,
        FIT_ALONE,
        FIT_FITS,
        FIT_SHORT,
        FIT_SHORT_MOVED,
        FIT_INSIDE,
        FIT_STRIKES,
        FIT_MORE_SHORT,
        FIT_AIR_BEHIND,
        FIT_STACK_ELSEWHERE,
        FIT_NO_TOOL,
        FIT_KEPT_IN,
        PIPE_GONE,
        PIPE_NO_START,
        PIPE_NO_END,
        PIPE_WRONG,
        PIPE_OUT_OF_SQUARE,
        PIPE_TIGHT_BEND,
        PIPE_NO_WELD,
        PIPE_NO_SEAT_START,
        PIPE_NO_SEAT_END,
        HOSE_KINKS,
        FITTING_OFF,
        FITTING_HOLE,
        FITTING_IN_JOINT,
        FITTING_IN_BEND,
        FITTING_MEETS,
        OVAL_FLAT,
        OVAL_ROUND,
        OVAL_OF_HOSE,
        MOUNT_UNWEIGHED,
        MOUNT_INSIDE,
        MOUNT_REACH,
        MOUNT_SWINGS,
        MOUNT_TWICE,
        MOUNT_ELSEWHERE,
        MOUNT_STRAP,
        MOUNT_BOBBIN,
        MOUNT_SHAKEN,
        MOUNT_GROWS,
        MOUNT_SHARED,
        JOINT_MOVES,
        JOINT_STIFF,
        JOINT_PUSHED_OFF,
        JOINT_NO_BEAD,
        JOINT_HOT,
        JOINT_LOOSE,
        PIPE_RINGS,
        PIPE_OVER_HELD,
        PAIR_AREA,
        PAIR_WAYS,
        BANKS_ALIKE,
        BANKS_EVEN,
        BANKS_UNEVEN,
        BANKS_TUBE_WOULD,
        BANKS_TUBE_DOES,
        WAY_START_BLOCKED,
        WAY_END_BLOCKED,
        WAY_NARROW,
        WAY_ACROSS,
        WAY_NONE,
        WAY_DROPPED,
        WAY_TIGHT_BENDS,
        WAY_CLOCKED,
        WAY_NOT_CLOCKED,
        WAY_PORT_TURNED,
        WAY_NO_PORT_TURNED,
        WAY_TURNED_OVER,
        WAY_SMALLER,
        WAY_TWO_TUBES,
        WAY_OVAL,
        WAY_WIRED,
        WAY_MOULDED,
        WAY_MOVED
    }

    /** Share of a face with too little air behind it that is worth a word; common practice, no source. */
    private static final double WORTH_A_WORD = 0.1;

    /**
     * @param firing Hz at which the engine fires at idle, that rubber has to keep away
     * @return what is said of it, the verdict first
     */
    public static List<FitFinding> of(Fit fit, double firing) {
        List<FitFinding> found = new ArrayList<>();
        if (fit.bodies().isEmpty()) {
            found.add(new FitFinding(Kind.FIT_NOTHING_PLACED, "", "", List.of()));
            pipes(fit, found);
            return found;
        }
        if (fit.gaps().isEmpty()) {
            found.add(new FitFinding(Kind.FIT_ALONE, "", "", List.of()));
        } else {
            gaps(fit, found);
        }
        fit.air().stream()
                .filter(air -> air.blocked() > WORTH_A_WORD)
                .map(air -> air(air, fit))
                .forEach(found::add);
        fit.stacks()
                .forEach(stack -> stack.away()
                        .forEach(away -> found.add(new FitFinding(
                                Kind.FIT_STACK_ELSEWHERE,
                                away.name(),
                                stack.name(),
                                List.of(new Figure("off", away.by().getNorm(), Quantity.LENGTH))))));
        fit.clamps()
                .forEach(clamp -> found.add(new FitFinding(
                        Kind.FIT_NO_TOOL,
                        named(clamp.element(), fit.bodies().get(clamp.body()).name()),
                        "",
                        List.of(new Figure("asked", ToolRoom.WANTED, Quantity.LENGTH)))));
        fit.keptIn()
                .forEach(kept -> found.add(new FitFinding(
                        Kind.FIT_KEPT_IN,
                        fit.bodies().get(kept.body()).name(),
                        kept.by(),
                        List.of(
                                new Figure("after", kept.after(), Quantity.LENGTH),
                                new Figure("wanted", kept.wanted(), Quantity.LENGTH)))));
        pipes(fit, found);
        fit.unbuildable().forEach(fault -> found.add(fault.says()));
        fit.unweighed()
                .forEach(i -> found.add(
                        new FitFinding(Kind.MOUNT_UNWEIGHED, fit.bodies().get(i).name(), "", List.of())));
        fit.mountings().forEach(m -> found.addAll(MountFindings.of(fit.bodies().get(m.body()), m.mounting(), firing)));
        return found;
    }

    private static void pipes(Fit fit, List<FitFinding> found) {
        fit.pipes().unlaid().forEach(u -> found.add(new FitFinding(unlaid(u.why()), u.of(), u.detail(), List.of())));
    }

    private static Kind unlaid(Unlaid.Why why) {
        return switch (why) {
            case GONE -> Kind.PIPE_GONE;
            case NO_START -> Kind.PIPE_NO_START;
            case NO_END -> Kind.PIPE_NO_END;
            case WRONG -> Kind.PIPE_WRONG;
        };
    }

    private static FitFinding air(AirBehind air, Fit fit) {
        return new FitFinding(
                Kind.FIT_AIR_BEHIND,
                fit.bodies().get(air.body()).name(),
                air.name(),
                List.of(
                        new Figure("blocked", air.blocked(), Quantity.SHARE),
                        new Figure("free", air.free(), Quantity.LENGTH),
                        new Figure("asked", AirBehind.WANTED, Quantity.LENGTH)));
    }

    private static void gaps(Fit fit, List<FitFinding> found) {
        GapRow worst = fit.gaps().get(0);
        found.add(verdict(fit, worst));
        long more = fit.gaps().stream().filter(GapRow::isShort).count() - 1;
        if (more > 0) {
            found.add(new FitFinding(Kind.FIT_MORE_SHORT, "", "", List.of(Figure.plain("more", (double) more))));
        }
    }

    private static FitFinding verdict(Fit fit, GapRow row) {
        if (!row.isShort()) {
            return finding(
                    Kind.FIT_FITS,
                    fit,
                    row,
                    "spare",
                    -row.missing(),
                    row.asked().still());
        }
        if (row.still() < 0) {
            return finding(
                    Kind.FIT_INSIDE,
                    fit,
                    row,
                    "depth",
                    -row.still(),
                    row.asked().still());
        }
        boolean standing = row.asked().still() - row.still() >= row.missing();
        if (standing) {
            return finding(
                    Kind.FIT_SHORT, fit, row, "gap", row.still(), row.asked().still());
        }
        double moved = row.moved().orElseThrow();
        return moved < 0
                ? finding(
                        Kind.FIT_STRIKES, fit, row, "depth", -moved, row.asked().moved())
                : finding(
                        Kind.FIT_SHORT_MOVED,
                        fit,
                        row,
                        "gap",
                        moved,
                        row.asked().moved());
    }

    private static FitFinding finding(Kind kind, Fit fit, GapRow row, String name, double value, double asked) {
        return new FitFinding(
                kind,
                named(row.element(), fit.bodies().get(row.body()).name()),
                named(row.against(), row.name()),
                List.of(new Figure(name, value, Quantity.LENGTH), new Figure("asked", asked, Quantity.LENGTH)));
    }

    /** @return "the inlet tank of front core"; of what is one piece its name alone */
    public static String named(String element, String name) {
        return element.equals(name) ? name : "the " + element + " of " + name;
    }
}
