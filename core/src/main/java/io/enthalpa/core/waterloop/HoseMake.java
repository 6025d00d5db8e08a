package io.enthalpa.core.waterloop;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/** How a hose is made, which is how tight it can be bent. */
public enum HoseMake {
    /** Cloth in its wall, bent as it is laid. */
    PLAIN(5),
    /** A spiral of wire in its wall, or ribs round it. */
    WIRED(2.5),
    /** Bought bent: an elbow or a shape. */
    MOULDED(1.5);

    public static final Method METHOD = Method.of(
                    "hose-kink",
                    "How tight a hose bends",
                    "Bent tighter than it bears a hose goes flat at the bend and passes next to nothing, more so warm. Its middle line takes 5 bores where it is plain with cloth in its wall, "
                            + "2.5 with a spiral of wire, 1.5 where it is bought bent. A hard line is bent to twice its outside. Its maker's own figure goes before these.")
            .formula("least radius = bores x bore")
            .source(Citation.commonPractice("hoses that kinked, and what their makers ask"))
            .leavesOut("How warm it is; a hose that is twisted as it is put on; what suction does to a soft one.");

    /** Middle line of the tightest bend of a hard line over its outside; common practice, no source. */
    private static final double LINE = 2;

    private final double bores;

    HoseMake(double bores) {
        this.bores = bores;
    }

    /** @param bore m @return m, of its middle line */
    double least(double bore) {
        return bores * bore;
    }

    /** @param outside m @return m, of the middle line of a hard line */
    static double leastOfLine(double outside) {
        return LINE * outside;
    }
}
