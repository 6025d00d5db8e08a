package io.enthalpa.core.explain;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.exchanger.ChangWang1997;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.CoreLoss;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.FinEfficiency;
import io.enthalpa.core.exchanger.FinFlow;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.FinnedCore;
import io.enthalpa.core.exchanger.ManglikBergles1995;
import io.enthalpa.core.exchanger.PlainPassage;
import io.enthalpa.core.exchanger.RatedCore;
import io.enthalpa.core.exchanger.TankEffect;
import io.enthalpa.core.fluid.WaterVapour;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;

/** Opens what a core does. */
final class CoreReasons {
    private final Subject here;
    private final List<Reason> reasons = new ArrayList<>();

    private CoreReasons(Subject here) {
        this.here = here;
    }

    static List<Reason> of(CoreResult core, Ambient outside) {
        CoreReasons r = new CoreReasons(core.slot().spot());
        r.heat(core);
        if (core.slot().cooler().model() instanceof FinnedCore finned) {
            r.geometry(core, finned, (FinnedBlock) core.slot().element().spec().basis());
        } else if (core.slot().cooler().model() instanceof RatedCore rated) {
            r.card(core, rated);
        }
        r.condensate(core, outside);
        return r.reasons;
    }

    private void add(Figure result, Method method, Figure... numbers) {
        reasons.add(new Reason(here, result, method, List.of(numbers)));
    }

    private static Figure power(String name, double w) {
        return new Figure(name, w, Quantity.POWER);
    }

    private void heat(CoreResult core) {
        add(
                Reasons.temperature("charge out", core.out()),
                Effectiveness.METHOD,
                Reasons.temperature("charge in", core.in()),
                Reasons.temperature("coolant in", core.coldIn()),
                Reasons.flow("charge", core.flow()),
                Reasons.flow("coolant", core.coldFlow()),
                Figure.plain("NTU", core.transfer().ntu()),
                Reasons.share("effectiveness", core.transfer().effectiveness()),
                power("heat moved", core.heat()));
        ResistanceShares s = core.shares();
        add(
                Reasons.share("charge side's share", s.charge()),
                ResistanceShares.METHOD,
                Reasons.share("wall", s.wall()),
                Reasons.share("cooling film", s.coldFilm()),
                Reasons.share("too little coolant", s.coldFlow()),
                Reasons.share("radiator", s.radiator()));
    }

    private void card(CoreResult core, RatedCore rated) {
        Conductances c = core.transfer().conductances();
        add(
                Figure.plain("conductance, W/K", c.overall()),
                RatedCore.METHOD,
                Figure.plain("charge side, W/K", c.hot()),
                Figure.plain("wall, W/K", c.wall()),
                Figure.plain("cooling side, W/K", c.cold()),
                Figure.plain("charge flow over the card's", rated.hotFlowRatio(core.flow())),
                Figure.plain("coolant flow over the card's", rated.coldFlowRatio(core.coldFlow())),
                Figure.plain("volume over the card's", rated.volumeRatio()),
                Figure.plain("loss grows as flow to the", rated.lossExponent()),
                Reasons.share("largest misfit of a point", rated.misfit()));
    }

    private void geometry(CoreResult core, FinnedCore finned, FinnedBlock block) {
        double mean = (core.in() + core.out()) / 2;
        Conductances c = core.transfer().conductances();
        FinFlow charge = finned.chargeFlow(core.flow(), mean);
        FinFlow cold = finned.coldFlow(core.coldFlow(), (core.coldIn() + core.coldOut()) / 2);
        TankEffect tanks = finned.tankEffect(core.flow(), mean);
        double perFlow = c.overall() / (core.heat() / Math.max(core.in() - core.out(), 1e-9));
        add(
                Figure.plain("conductance, W/K", c.overall()),
                FinnedCore.METHOD,
                Figure.plain("charge layers", finned.layers()),
                Figure.plain("surface on the charge side, m2", finned.chargeArea()),
                Figure.plain("surface on the cooling side, m2", finned.coldArea()),
                Figure.plain("charge side, W/K", c.hot()),
                Figure.plain("wall and fouling, W/K", c.wall()),
                Figure.plain("cooling side, W/K", c.cold()));
        fins("between the charge fins", block.charge(), charge, block.conductivity());
        fins("between the cooling fins", block.cold(), cold, block.conductivity());
        add(
                Figure.plain("friction factor in the block", charge.friction()),
                CoreLoss.METHOD,
                Figure.plain("Reynolds number", charge.reynolds()),
                Reasons.length("hydraulic diameter", block.charge().hydraulicDiameter()));
        add(
                Reasons.share("spread of passage flow", tanks.spread()),
                TankEffect.METHOD,
                Reasons.share("from the inlet's jet", tanks.jetSpread()),
                Reasons.share("from the stream along the tanks", tanks.headerSpread()),
                Reasons.share("conductance that counts", tanks.conductanceFactor(perFlow)),
                Figure.plain("inlet port, velocity heads", tanks.inletK()),
                Figure.plain("outlet port, velocity heads", tanks.outletK()));
    }

    private void fins(String where, FinSpec fin, FinFlow flow, double conductivity) {
        Method method = switch (fin.type()) {
            case PLAIN -> PlainPassage.METHOD;
            case OFFSET -> ManglikBergles1995.METHOD;
            case LOUVRED -> ChangWang1997.METHOD;
        };
        add(
                Figure.plain("film " + where + ", W/(m2 K)", flow.film()),
                method,
                Figure.plain("Reynolds number", flow.reynolds()),
                Figure.plain("friction factor", flow.friction()),
                Reasons.length("fin pitch", fin.pitch()),
                Reasons.length("fin height", fin.gap()));
        add(
                Reasons.share("surface efficiency " + where, FinEfficiency.surface(fin, flow.film(), conductivity)),
                FinEfficiency.METHOD,
                Figure.plain("film, W/(m2 K)", flow.film()),
                Reasons.length("fin thickness", fin.thickness()),
                Reasons.length("half the fin height", fin.gap() / 2));
    }

    private void condensate(CoreResult core, Ambient outside) {
        add(
                Reasons.flow("condensate", core.condensate().flow()),
                WaterVapour.METHOD,
                Reasons.temperature(
                        "dew point at the core's pressure", core.condensate().dewPoint()),
                Reasons.temperature("coldest metal", core.condensate().metal()),
                Reasons.share("water in the air, by mass", outside.air().waterMassFraction()),
                power("latent heat", core.condensate().latentHeat()));
    }
}
