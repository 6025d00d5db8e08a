package io.enthalpa.server.answers;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.Passable;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.router.Ribbon;
import java.util.List;

/** What a pipe has to spare of the gaps asked all along it. */
record RibbonView(double outside_mm, List<SpotView> spots) {
    /**
     * @param spare_mm less than 0 what is missing
     * @param asked_mm of what is nearest
     * @param nearest  by name; empty where nothing is near
     * @param at_mm    the middle of the pipe: back, right, up
     * @param on_mm    the nearest place on what is nearest
     */
    record SpotView(
            double along_mm,
            double spare_mm,
            double asked_mm,
            String nearest,
            List<Double> at_mm,
            List<Double> on_mm) {}

    static RibbonView of(BuildOption option, RoomSpec room, RunName of) {
        List<Body> bodies = Bodies.of(option);
        Pipework pipes = Pipework.of(option, bodies);
        return pipes.laid(of)
                .map(l -> {
                    List<Keepout> keepouts = Passable.around(
                            pipes,
                            bodies,
                            l,
                            room,
                            room.obstacles().stream().map(Obstacle::solid).toList());
                    return new RibbonView(
                            FitView.mm(l.outside()),
                            l.ribbon(keepouts).stream()
                                    .map(s -> spot(s, keepouts))
                                    .toList());
                })
                .orElseGet(() -> new RibbonView(0, List.of()));
    }

    private static SpotView spot(Ribbon.Spot s, List<Keepout> keepouts) {
        return new SpotView(
                FitView.mm(s.along()),
                FitView.mm(s.spare()),
                FitView.mm(s.asked()),
                s.nearest() < 0 ? "" : keepouts.get(s.nearest()).name(),
                FitView.point(s.at()),
                FitView.point(s.on()));
    }
}
