package io.enthalpa.core.trial;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement.Core;
import io.enthalpa.core.chargepath.Pieces.Placed;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.loss.StandardSizes;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.UnaryOperator;

/** The next larger core in each direction: what is tried wherever a larger one is asked about, so that all places say the same. */
public final class MoreCore {
    private static final double FIN_IN = 10e-3;

    private MoreCore() {}

    /** Ways to make a core larger or denser. */
    public enum Step {
        /** The height of one more charge layer, up to the next millimetre. */
        CHARGE_ROW,
        /** One more fin in 10 mm of a charge layer. */
        CHARGE_FIN,
        /** One more fin in 10 mm of a cooling layer. */
        COLD_FIN,
        /** A fifth deeper, up to the next 5 mm. */
        DEEPER,
        /** About a seventh higher, up to the next 10 mm. */
        HIGHER,
        /** About a seventh wider, up to the next 10 mm. */
        WIDER
    }

    /** @return the option with each; rows and fins only of a core that is known by its geometry */
    static Map<Step, BuildOption> of(BuildOption option, Placed<Core> core) {
        Map<Step, BuildOption> all = new EnumMap<>(Step.class);
        CoreSize size = core.piece().spec().size();
        if (core.piece().spec().basis() instanceof FinnedBlock block) {
            double row = StandardSizes.upTo(size.height() + block.step(), 1e-3);
            all.put(Step.CHARGE_ROW, sized(option, core, size.withHeight(row)));
            all.put(Step.CHARGE_FIN, based(option, core, b -> b.withCharge(denser(b.charge()))));
            all.put(Step.COLD_FIN, based(option, core, b -> b.withCold(denser(b.cold()))));
        }
        all.put(Step.DEEPER, sized(option, core, size.withDepth(StandardSizes.upTo(size.depth() * 1.2, 5e-3))));
        all.put(Step.HIGHER, sized(option, core, size.withHeight(StandardSizes.upTo(size.height() * 1.15, 10e-3))));
        all.put(Step.WIDER, sized(option, core, size.withWidth(StandardSizes.upTo(size.width() * 1.15, 10e-3))));
        return all;
    }

    private static FinSpec denser(FinSpec fin) {
        return fin.withPitch(StandardSizes.round(1 / (1 / fin.pitch() + 1 / FIN_IN), 0.01e-3));
    }

    private static BuildOption sized(BuildOption option, Placed<Core> core, CoreSize size) {
        return option.with(core, c -> c.withSpec(c.spec().withSize(size)));
    }

    private static BuildOption based(BuildOption option, Placed<Core> core, UnaryOperator<FinnedBlock> change) {
        return option.with(
                core,
                c -> c.withSpec(
                        c.spec().withBasis(change.apply((FinnedBlock) c.spec().basis()))));
    }
}
