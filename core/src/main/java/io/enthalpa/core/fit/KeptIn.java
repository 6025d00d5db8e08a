package io.enthalpa.core.fit;

import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Way;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What has to come off again and again, and does not: a filter that is drawn along no way as far as it is long.
 *
 * @param body   its number among the bodies
 * @param by     what it strikes first along the freest way
 * @param after  m along that
 * @param wanted m, how long it is that way
 */
public record KeptIn(int body, String by, double after, double wanted) {
    static List<KeptIn> of(Fit fit, RoomSpec room) {
        List<KeptIn> all = new ArrayList<>();
        for (int i = 0; i < fit.bodies().size(); i++) {
            if (fit.bodies().get(i).stand().what() == Stand.What.FILTER) {
                of(i, fit, room).ifPresent(all::add);
            }
        }
        return List.copyOf(all);
    }

    private static Optional<KeptIn> of(int body, Fit fit, RoomSpec room) {
        Bounds own = fit.bodies().get(body).solid().bounds().orElseThrow();
        List<WayOut> ways = WayOut.of(fit, body, room);
        boolean off =
                ways.stream().anyMatch(out -> out.isFree() || out.inWay().get(0).after() >= length(own, out.way()));
        if (off) {
            return Optional.empty();
        }
        WayOut freest = ways.get(0);
        WayOut.InWay first = freest.inWay().get(0);
        return Optional.of(new KeptIn(body, first.name(), first.after(), length(own, freest.way())));
    }

    private static double length(Bounds own, Way way) {
        return way.reach(own) + way.opposite().reach(own);
    }
}
