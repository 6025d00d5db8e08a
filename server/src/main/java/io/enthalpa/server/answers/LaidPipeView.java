package io.enthalpa.server.answers;

import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.route.TurnList;
import java.util.List;

/**
 * A pipe as it is laid, and as it is cut and put together.
 *
 * @param place       of its run, "/runs/0"
 * @param from_mm     where it begins: back, right, up
 * @param to_mm       where it ends
 * @param outside_mm  that must be clear, wrap included
 * @param length_mm   along its middle
 * @param straight_mm of it without its bends
 * @param last_mm     straight behind the last bend
 */
public record LaidPipeView(
        String place,
        String name,
        List<Double> from_mm,
        List<Double> to_mm,
        double outside_mm,
        double length_mm,
        double straight_mm,
        List<TurnView> turns,
        double last_mm) {
    /**
     * @param straight_mm before it
     * @param turned_deg  from the plane of the bend before it, clockwise in the way of the flow
     * @param angle_deg   of the bend
     * @param radius_mm   of its middle line; 0 of a mitre
     */
    public record TurnView(double straight_mm, double turned_deg, double angle_deg, double radius_mm) {}

    static LaidPipeView of(Pipework.Laid l) {
        TurnList turns = l.turns();
        return new LaidPipeView(
                "/runs/" + l.run(),
                l.pipe().name(),
                FitView.point(l.spec().from()),
                FitView.point(l.spec().to()),
                FitView.mm(l.outside()),
                FitView.mm(l.line().length()),
                FitView.mm(l.line().straight()),
                turns.steps().stream()
                        .map(s -> new TurnView(
                                FitView.mm(s.length()),
                                Math.toDegrees(s.turn()),
                                Math.toDegrees(s.angle()),
                                FitView.mm(s.radius())))
                        .toList(),
                FitView.mm(turns.last()));
    }
}
