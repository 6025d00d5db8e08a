package io.enthalpa.core.waterloop;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

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
                    "The share of a core's tubes that the water really washes. Opposite corners reach all; ports at one end leave the far corner slow; "
                            + "ports on the middle leave cold and hot bands beside them. Fed from the top a core keeps air; a boss close to the tubes shuts off those behind it.")
            .formula("conductance times: corners 1, one end 0.90, middle 0.82; fed from the top 0.80; boss 0.90")
            .source(
                    Citation.commonPractice(
                            "that they matter and which way is known from cores felt and filmed hot; the figures are judgement: measure yours before trusting them"))
            .leavesOut("Everything a thermal picture of your own core would show.");

    /** Where the ports are. */
    public enum Layout {
        OPPOSITE_CORNERS(1),
        ONE_END(0.90),
        MIDDLE(0.82);

        private final double washed;

        Layout(double washed) {
            this.washed = washed;
        }
    }

    /** Which end the water comes in at. */
    public enum Feed {
        BOTTOM(1),
        TOP(0.80);

        private final double filled;

        Feed(double filled) {
            this.filled = filled;
        }
    }

    private static final double BEHIND_BOSS = 0.90;

    /** @return share of the core that works, 0 to 1 */
    public double washed() {
        return layout.washed * feed.filled * (boss ? BEHIND_BOSS : 1);
    }
}
