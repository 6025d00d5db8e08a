package io.enthalpa.server.answers;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Passable;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
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

    static RibbonView of(BuildOption option, RoomSpec room, String of) {
        return Pipework.of(option, Bodies.of(option)).laid().stream()
                .filter(l -> l.pipe().name().equals(of))
                .findFirst()
                .map(l -> {
                    Passable passable = Passable.of(
                            option,
                            room,
                            room.obstacles().stream().map(Obstacle::solid).toList(),
                            of);
                    return new RibbonView(
                            FitView.mm(l.outside()),
                            Ribbon.of(l.line(), l.outside(), passable.keepouts()).stream()
                                    .map(s -> spot(s, passable))
                                    .toList());
                })
                .orElseGet(() -> new RibbonView(0, List.of()));
    }

    private static SpotView spot(Ribbon.Spot s, Passable passable) {
        return new SpotView(
                FitView.mm(s.along()),
                FitView.mm(s.spare()),
                FitView.mm(s.asked()),
                s.nearest() < 0 ? "" : passable.keepouts().get(s.nearest()).name(),
                FitView.point(s.at()),
                FitView.point(s.on()));
    }
}
