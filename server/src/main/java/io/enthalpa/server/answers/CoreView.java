package io.enthalpa.server.answers;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.exchanger.FinFlow;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.FinnedCore;
import io.enthalpa.core.exchanger.RatedCore;
import io.enthalpa.core.exchanger.TankEffect;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.formats.document.Pointers;
import org.jspecify.annotations.Nullable;

/** What a core does at full load; one of {@code card} and {@code geometry} is there. */
public record CoreView(
        String place,
        String name,
        String cooledBy,
        double chargeFlow_kg_s,
        double chargeIn_C,
        double chargeOut_C,
        double effectiveness,
        double recovered,
        double ntu,
        double heat_kW,
        double coldIn_C,
        double coldOut_C,
        double faceSpeed_m_s,
        double metalMass_kg,
        double chargeVolume_L,
        SteadyView.SharesView shares,
        CondensateView condensate,
        @Nullable CardTrustView card,
        @Nullable GeometryView geometry) {

    /** Water that comes out of the charge inside. */
    public record CondensateView(double dewPoint_C, double flow_g_s, double latent_kW) {}

    /** How far the core is from what its card was measured at. */
    public record CardTrustView(
            double chargeFlowRatio,
            double chargeFlowMin,
            double chargeFlowMax,
            double coldFlowRatio,
            double coldFlowMin,
            double coldFlowMax,
            double volumeRatio,
            double misfit_pct,
            boolean filmsSeparated) {}

    /** What the fins do, and how evenly the tanks feed them. */
    public record GeometryView(
            int layers,
            double chargeArea_m2,
            double coldArea_m2,
            double chargeFilm_W_m2K,
            double coldFilm_W_m2K,
            double chargeReynolds,
            double coldReynolds,
            double layerStep_mm,
            double coldLoss_Pa,
            double spread_pct,
            double jetSpread_pct,
            double tankSpread_pct) {}

    static CoreView of(CoreResult core) {
        PathElement.Core element = core.slot().element();
        return new CoreView(
                Pointers.of(core.slot().spot()),
                element.name(),
                element.isCooledByAir() ? "air" : "water",
                core.flow(),
                core.in() - 273.15,
                core.out() - 273.15,
                core.transfer().effectiveness(),
                core.recovered(),
                core.transfer().ntu(),
                core.heat() / 1000,
                core.coldIn() - 273.15,
                core.coldOut() - 273.15,
                core.faceSpeed(),
                core.slot().cooler().model().metalMass(),
                core.slot().cooler().model().chargeVolume() * 1000,
                SteadyView.SharesView.of(core.shares()),
                new CondensateView(
                        Math.max(core.condensate().dewPoint() - 273.15, -99),
                        core.condensate().flow() * 1000,
                        core.condensate().latentHeat() / 1000),
                core.slot().cooler().model() instanceof RatedCore rated ? card(core, rated) : null,
                core.slot().cooler().model() instanceof FinnedCore finned ? geometry(core, finned) : null);
    }

    private static CardTrustView card(CoreResult core, RatedCore rated) {
        return new CardTrustView(
                rated.hotFlowRatio(core.flow()),
                rated.hotFlows().min(),
                rated.hotFlows().max(),
                rated.coldFlowRatio(core.coldFlow()),
                rated.coldFlows().min(),
                rated.coldFlows().max(),
                rated.volumeRatio(),
                100 * rated.misfit(),
                rated.filmsSeparated());
    }

    private static GeometryView geometry(CoreResult core, FinnedCore finned) {
        double mean = (core.in() + core.out()) / 2;
        double coldMean = (core.coldIn() + core.coldOut()) / 2;
        FinFlow charge = finned.chargeFlow(core.flow(), mean);
        FinFlow cold = finned.coldFlow(core.coldFlow(), coldMean);
        TankEffect tanks = finned.tankEffect(core.flow(), mean);
        FinnedBlock block = (FinnedBlock) core.slot().element().spec().basis();
        return new GeometryView(
                finned.layers(),
                finned.chargeArea(),
                finned.coldArea(),
                charge.film(),
                cold.film(),
                charge.reynolds(),
                cold.reynolds(),
                block.step() * 1000,
                core.coldLoss().orElseThrow(),
                100 * tanks.spread(),
                100 * tanks.jetSpread(),
                100 * tanks.headerSpread());
    }
}
