package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What a blower's housing clocked one way comes to.
 *
 * @param clocked rad, clockwise from straight up seen from its inlet
 * @param worst   the gap with least to spare; empty when nothing stands near
 */
public record Clocking(double clocked, Optional<GapRow> worst) {
    /** Ways that are tried all round. */
    public static final int WAYS = 36;

    public static final Method METHOD = Method.of(
                    "clocking",
                    "Clocking a blower's housing",
                    "The housing is turned about its shaft by ten degrees at a time, all round, and each time the gaps of housing, outlet and its clamp to the room and "
                            + "to all other bodies are taken anew, still and moved. The outlet leaves square off the rim, flush with it, on the side from which "
                            + "the charge comes round.")
            .source(Citation.commonPractice(
                    "the compressor housing is clocked to shorten the way or to clear what is in it"))
            .leavesOut(
                    "Whether bolts or a clamp ring let it stand at any angle, an actuator or a drain that must look one way; the tapered scroll itself, taken as a round housing.");

    public boolean isClear() {
        return worst.filter(GapRow::isShort).isEmpty();
    }

    /** @return m: what is missing of the gap asked, less than 0 where there is some to spare; nothing near leaves as much as is looked for */
    public double missing() {
        return worst.map(GapRow::missing).orElse(-Fit.HORIZON);
    }

    /** @param body number of a blower with a scroll @return all round, from straight up, clockwise */
    public static List<Clocking> of(BuildOption option, RoomSpec room, Fit fit, int body) {
        Stand stand = fit.bodies().get(body).stand();
        Scroll scroll = stand.scroll().orElseThrow();
        int index = fit.bodies().get(body).index();
        List<Solid> solids = fit.solids();
        List<Clocking> all = new ArrayList<>();
        for (int i = 0; i < WAYS; i++) {
            double clocked = 2 * Math.PI * i / WAYS;
            List<Stand> stands = new ArrayList<>(option.stands());
            stands.set(index, stand.scrolled(scroll.clocked(clocked)));
            all.add(new Clocking(
                    clocked,
                    Fit.about(body, Bodies.of(option.withStands(stands)), room, solids).stream()
                            .max(Comparator.comparingDouble(GapRow::missing))));
        }
        return all;
    }

    /** Numbers of the first and last that are clear, the last before the first where the span goes over the top. */
    public record Span(int from, int to) {}

    /** @return the spans that are clear, none of them twice */
    public static List<Span> clear(List<Clocking> all) {
        int size = all.size();
        List<Span> spans = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            boolean begins =
                    all.get(i).isClear() && !all.get((i + size - 1) % size).isClear();
            if (begins) {
                int to = i;
                while (all.get((to + 1) % size).isClear()) {
                    to++;
                }
                spans.add(new Span(i, to % size));
            }
        }
        boolean everywhere = spans.isEmpty() && !all.isEmpty() && all.get(0).isClear();
        return everywhere ? List.of(new Span(0, size - 1)) : spans;
    }

    /** @return number of the one with most to spare */
    public static int best(List<Clocking> all) {
        return IntStream.range(0, all.size())
                .boxed()
                .min(Comparator.comparingDouble(i -> all.get(i).missing()))
                .orElseThrow();
    }
}
