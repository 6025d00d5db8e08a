package io.enthalpa.core.exchanger;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * What the end tanks do: the loss of their ports, and how unevenly they feed the passages.
 *
 * @param inletK         loss coefficient of the inlet port and tank on the port's velocity head
 * @param outletK        the same for the outlet
 * @param jetSpread      share of spread in passage flow that the inlet jet causes
 * @param headerSpread   the same for the stream along the tank
 * @param spread         both together: root mean square deviation of passage flow from its mean, 0 to 0.8
 */
public record TankEffect(double inletK, double outletK, double jetSpread, double headerSpread, double spread) {
    public static final Method METHOD = Method.of(
                    "end-tanks",
                    "End tanks and uneven feed",
                    "The port's jet meets the passages before it has slowed down, and the stream along the tanks trades speed for pressure on its way: "
                            + "it rises along the inlet's tank and falls along the outlet's, so that ports at the same end even each other out and ports "
                            + "across from each other do not. "
                            + "Either changes the pressure in front of the passages; set against the block's own loss this gives the spread of passage "
                            + "flow. Passages with more flow cool it less, those with less gain little: the conductance that the mean flow would need "
                            + "for the same outlet temperature is the factor. The tighter the block against the port, the less it matters.")
            .formula(
                    "jet: q_port sqrt(a (1 - a)), a port over face; along the tanks: rms of p_in(x) - p_out(x), p_in = -q v(x)^2, "
                            + "p_out = 2 q (w_port^2 - w(x)^2), q head of all the flow through one tank's section, v and w the share of the flow that "
                            + "passes x: 0.30 q for ports at the same end, 0.87 q for ports across from each other, 0.075 q for both in the middle; "
                            + "spread = rms / (1.8 loss of block); "
                            + "ports: (1 - a)^2 in, 0.5 (1 - a) out, end ports one head of the tank's speed each; elbows as any bend, with a friction of 0.02")
            .source(
                    Citation.fromMemory(
                            "Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., flow distribution in headers"),
                    Citation.fromMemory(
                            "Mueller & Chiou",
                            1988,
                            "Review of various types of flow maldistribution in heat exchangers, Heat Transfer Eng. 9"),
                    Citation.fromMemory(
                            "Bajura & Jones",
                            1976,
                            "Flow distribution manifolds, J. Fluids Eng. 98: dividing and combining manifolds by momentum"))
            .leavesOut(
                    "That the charge leaves denser than it came, so that the outlet's tank weighs less than it is taken to; friction along the tanks. The tank's own shape: a well tapered cast tank halves the spread, a square box with an edge in the stream adds to it.");
    /** Passage flow goes with its pressure to 1/1.8. */
    private static final double LOSS_EXPONENT = 1.8;

    private static final double WORST = 0.8;
    /** Of a block that is fed over its whole face. */
    private static final TankEffect NONE = new TankEffect(0, 0, 0, 0, 0);
    /** Film grows as flow to the 0.6: its conductance per flow falls as flow to -0.4. */
    private static final double THINNING = -0.4;

    /**
     * @param stream      along the tanks as built
     * @param blockLoss   loss of the block in passage velocity heads
     * @param passageArea m2, free section of one pass
     */
    static TankEffect of(TankStream stream, double blockLoss, double passageArea) {
        EndTankSpec tanks = stream.spec().tanks();
        CoreSize size = stream.spec().size();
        if (tanks.isOpen()) {
            return NONE;
        }
        double port = tanks.portArea();
        double area = Math.min(port / size.chargeSection(), 0.95);
        double section = tanks.depth() * size.depth();
        double block = blockLoss / (passageArea * passageArea);
        boolean end = tanks.inlet().place() == EndTankSpec.PortPlace.END;
        double jet = end
                ? 0
                : Math.sqrt(area * (1 - area)) / (port * port) / (LOSS_EXPONENT * block) * (tanks.divided() ? 0.5 : 1);
        double header = stream.uneven() / (section * section) / (LOSS_EXPONENT * block);
        double inEnd = end ? Math.pow((tanks.divided() ? 0.5 : 1) * port / section, 2) : 0;
        double outEnd =
                tanks.outlet().place() == EndTankSpec.PortPlace.END ? Math.pow(port / section / tanks.outlets(), 2) : 0;
        return new TankEffect(
                (1 - area) * (1 - area) + inEnd + tanks.inletHeads(),
                tanks.outletHeads(size, tanks.outletArea()) + outEnd + tanks.elbowHeads() - tanks.inletHeads(),
                jet,
                header,
                Math.min(Math.hypot(jet, header), WORST));
    }

    /**
     * Half of the passages carry {@code 1 + spread} of the mean flow, half {@code 1 - spread}.
     *
     * @param ntu conductance over charge capacity rate, evenly fed
     * @return conductance that counts over conductance evenly fed, 0 to 1
     */
    public double conductanceFactor(double ntu) {
        if (spread < 1e-4 || ntu < 1e-6) {
            return 1;
        }
        double rich = 1 + spread;
        double poor = 1 - spread;
        double left =
                (rich * Math.exp(-ntu * Math.pow(rich, THINNING)) + poor * Math.exp(-ntu * Math.pow(poor, THINNING)))
                        / 2;
        return Math.min(-Math.log(left) / ntu, 1);
    }
}
