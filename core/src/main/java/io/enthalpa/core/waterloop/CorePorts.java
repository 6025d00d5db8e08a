package io.enthalpa.core.waterloop;

import io.enthalpa.core.exchanger.WaterSpread;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.List;

/**
 * How the water enters and leaves a core.
 *
 * @param layout where the ports are
 * @param feed   at which end the water comes in
 * @param boss   a boss stands inside the tank close to the tubes
 */
public record CorePorts(Layout layout, Feed feed, boolean boss) {
    public static final CorePorts BEST = new CorePorts(Layout.OPPOSITE_CORNERS, Feed.BOTTOM, false);
    public static final Method METHOD = Method.of(
                    "water-ports",
                    "Water ports of a core",
                    "How the charge passages share the water. From opposite corners all see the same; from ports at one end the far two fifths see a quarter of it; ports on the middle leave "
                            + "two fifths beside them with 15 %. Fed from the top a core keeps air: an eighth of its passages is dry, and what they let through hot costs far more than their share. A boss close to the tubes "
                            + "leaves the tenth behind it three tenths of what others see. Each part is worked out as an exchanger of its own, and the charge mixes behind them. The band counts that all this may be "
                            + "two fifths more or less.")
            .formula("q = sum over parts of e(NTU_i, C_i) C_i (T_in - T_w), film_i ~ (water_i / passages_i)^0.7")
            .source(
                    Citation.commonPractice(
                            "that they matter and which way is known from cores felt and filmed hot; the shares are judgement: measure yours before trusting them"))
            .leavesOut(
                    "Everything a thermal picture of your own core would show; heat along the metal from one part to another.");

    /** Where the ports are. */
    public enum Layout {
        OPPOSITE_CORNERS,
        ONE_END,
        MIDDLE
    }

    /** Which end the water comes in at. */
    public enum Feed {
        BOTTOM,
        TOP
    }

    private static final WaterSpread FROM_ONE_END =
            new WaterSpread(List.of(new WaterSpread.Part(0.6, 0.75), new WaterSpread.Part(0.4, 0.25)));
    private static final WaterSpread FROM_THE_MIDDLE =
            new WaterSpread(List.of(new WaterSpread.Part(0.6, 0.85), new WaterSpread.Part(0.4, 0.15)));
    private static final double BEHIND_BOSS = 0.1;
    private static final double SEEN_BEHIND_BOSS = 0.3;
    private static final double DRY = 0.12;

    /** @return how the passages of the core share the water */
    public WaterSpread spread() {
        WaterSpread spread = switch (layout) {
            case OPPOSITE_CORNERS -> WaterSpread.EVEN;
            case ONE_END -> FROM_ONE_END;
            case MIDDLE -> FROM_THE_MIDDLE;
        };
        WaterSpread behind = boss ? spread.shaded(BEHIND_BOSS, SEEN_BEHIND_BOSS) : spread;
        return feed == Feed.TOP ? behind.shaded(DRY, 0) : behind;
    }
}
