package io.enthalpa.server.answers;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.envelope.Facing;
import io.enthalpa.core.envelope.LargestCore;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.space.Way;
import io.enthalpa.core.trial.Change;
import io.enthalpa.core.trial.RoomForCore;
import io.enthalpa.formats.document.OptionEdits;
import io.enthalpa.server.problem.FaultView;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The largest core that passes at a place, stood one way.
 *
 * @param width_mm  of its block as it is described, along the charge
 * @param more_pct  volume of its block over that of the core in hand
 * @param stops     what stops it, by the side of the car
 * @param edits     what to write into the option; empty where a file could not say it
 * @param worst_K   change of the worst intake over the duty; null where it has no answer
 * @param why       it has none
 */
record LargestCoreView(
        Facing facing,
        boolean onEnd,
        double width_mm,
        double height_mm,
        double depth_mm,
        double more_pct,
        boolean certain,
        List<StopView> stops,
        List<EditView> edits,
        @Nullable Double worst_K,
        @Nullable Double loss_kPa,
        @Nullable FaultView why) {
    record StopView(Way side, String name) {}

    /**
     * @param way    it goes; null for out of the way altogether
     * @param words  what it takes
     */
    record MovedView(
            String place,
            String name,
            @Nullable Way way,
            double by_mm,
            double hours,
            double price,
            String words,
            LargestCoreView core) {}

    record LargestAnswer(List<LargestCoreView> places, List<MovedView> moved) {}

    static LargestAnswer of(BuildOption now, RoomForCore.Found found, RoomSpec room) {
        return new LargestAnswer(
                found.places().stream().map(p -> of(now, p)).toList(),
                found.moved().stream().map(m -> moved(now, m, room)).toList());
    }

    private static MovedView moved(BuildOption now, RoomForCore.Moved m, RoomSpec room) {
        Obstacle o = room.obstacles().get(m.obstacle());
        Obstacle.Moving cost = o.moving().orElseThrow();
        return new MovedView(
                FitView.place(m.obstacle()),
                o.name(),
                m.way().orElse(null),
                FitView.mm(m.by()),
                cost.hours(),
                cost.price(),
                cost.words(),
                of(now, m.place()));
    }

    private static LargestCoreView of(BuildOption now, RoomForCore.Place place) {
        LargestCore core = place.core();
        OptionEdits edits = OptionEdits.between(now, place.option());
        return new LargestCoreView(
                core.facing(),
                core.towards() == PortSide.UP || core.towards() == PortSide.DOWN,
                FitView.mm(core.size().width()),
                FitView.mm(core.size().height()),
                FitView.mm(core.size().depth()),
                100 * (place.more() - 1),
                core.certain(),
                core.stops().stream().map(s -> new StopView(s.side(), s.name())).toList(),
                edits.areAllowed() ? EditView.of(edits) : List.of(),
                place.change().map(Change::worst).orElse(null),
                place.change().map(c -> c.loss() / 1000).orElse(null),
                place.why().map(FaultView::of).orElse(null));
    }
}
