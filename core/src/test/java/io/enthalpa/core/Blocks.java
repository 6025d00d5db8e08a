package io.enthalpa.core;

import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.exchanger.FinnedBlock;

/** Invented blocks of usual proportions that the tests share. */
public final class Blocks {
    private Blocks() {}

    /** Offset strips inside, louvres outside. */
    public static FinnedBlock barAndPlate() {
        return new FinnedBlock(
                FinnedBlock.Construction.BAR_AND_PLATE,
                Coolant.AIR,
                FinSpec.offset(7.5e-3, 4e-3, 0.2e-3, 8e-3),
                FinSpec.louvred(9e-3, 2.1e-3, 0.12e-3, 1.4e-3, Math.toRadians(24)),
                0.5e-3,
                5e-3,
                180,
                0,
                0);
    }

    /** Offset strips on both sides, water in narrow layers. */
    public static FinnedBlock waterBrick() {
        return new FinnedBlock(
                FinnedBlock.Construction.BAR_AND_PLATE,
                Coolant.WATER,
                FinSpec.offset(8e-3, 2e-3, 0.15e-3, 3.2e-3),
                FinSpec.offset(3e-3, 3e-3, 0.2e-3, 4e-3),
                0.5e-3,
                5e-3,
                180,
                0,
                0);
    }
}
