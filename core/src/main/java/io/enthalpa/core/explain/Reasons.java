package io.enthalpa.core.explain;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.ChargePathSolver;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.Filling;
import io.enthalpa.core.chargepath.Intake;
import io.enthalpa.core.chargepath.LegResult;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.PathWall;
import io.enthalpa.core.chargepath.PieceResult;
import io.enthalpa.core.chargepath.Station;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.CompressorMap;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.engine.FuelDemand;
import io.enthalpa.core.engine.InjectionCooling;
import io.enthalpa.core.fluid.Atmosphere;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.WaterVapour;
import io.enthalpa.core.loss.BendLoss;
import io.enthalpa.core.loss.DiameterChange;
import io.enthalpa.core.loss.FrictionFactor;
import io.enthalpa.core.loss.JointLoss;
import io.enthalpa.core.loss.JunctionLoss;
import io.enthalpa.core.loss.MitreLoss;
import io.enthalpa.core.loss.OvalSection;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.loss.ThrottleLoss;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import java.util.ArrayList;
import java.util.List;

/** Opens a steady answer: for each result the method, the numbers that went in, and what came out. */
public final class Reasons {
    private final List<Reason> reasons = new ArrayList<>();
    private final HumidAir air;
    private final double outside;
    private boolean walled;

    private Reasons(Ambient ambient) {
        this.air = ambient.air();
        this.outside = ambient.pressure();
    }

    /** @return in the order of the path, after climate and engine */
    public static List<Reason> of(Build build, ChargePath path, SteadyResult result) {
        Reasons reasons = new Reasons(path.ambient());
        reasons.climate(build, path.ambient());
        reasons.engine(build, path.engine(), result.path());
        reasons.bay(build, path);
        reasons.whole(result.path());
        reasons.walled = path.bay().isPresent();
        reasons.row(Spot.Row.PATH, result.path().stations(), result.path().pieces());
        for (CoreResult core : result.cores()) {
            reasons.reasons.addAll(CoreReasons.of(core, path.ambient()));
            boolean byOthers = core.slot().element().cooling() instanceof CoolingSide.Shared;
            if (!byOthers && !result.inWay(core)) {
                reasons.reasons.add(ColdReasons.faceShare(core));
            }
        }
        for (LoopResult loop : result.loops()) {
            reasons.reasons.addAll(ColdReasons.ofLoop(loop));
        }
        for (int w = 0; w < result.ways().size(); w++) {
            reasons.reasons.addAll(ColdReasons.ofWay(result.ways().get(w), w));
        }
        return reasons.reasons;
    }

    private void add(Subject subject, Figure result, Method method, Figure... numbers) {
        reasons.add(new Reason(subject, result, method, List.of(numbers)));
    }

    static Figure temperature(String name, double k) {
        return new Figure(name, k, Quantity.TEMPERATURE);
    }

    static Figure pressure(String name, double pa) {
        return new Figure(name, pa, Quantity.PRESSURE);
    }

    static Figure flow(String name, double kgs) {
        return new Figure(name, kgs, Quantity.MASS_FLOW);
    }

    static Figure length(String name, double m) {
        return new Figure(name, m, Quantity.LENGTH);
    }

    static Figure share(String name, double part) {
        return new Figure(name, part, Quantity.SHARE);
    }

    private void climate(Build build, Ambient ambient) {
        add(
                Subject.Whole.CLIMATE,
                pressure("outside pressure", ambient.pressure()),
                Atmosphere.METHOD,
                length("altitude", build.climate().altitude()));
        add(
                Subject.Whole.CLIMATE,
                temperature("dew point outside", ambient.air().dewPoint(ambient.pressure())),
                WaterVapour.METHOD,
                temperature("outside air", ambient.temperature()),
                share("humidity", build.climate().humidity()),
                share("water in the air, by mass", air.waterMassFraction()));
        add(
                Subject.Whole.CLIMATE,
                new Figure("density outside", air.density(ambient.pressure(), ambient.temperature()), Quantity.DENSITY),
                HumidAir.METHOD,
                pressure("pressure", ambient.pressure()),
                temperature("temperature", ambient.temperature()));
    }

    private void bay(Build build, ChargePath path) {
        path.bay()
                .ifPresent(bay -> add(
                        Subject.Whole.BAY,
                        temperature(
                                "bay at full load, settled",
                                path.ambient().temperature()
                                        + bay.rise(build.fullLoad().roadSpeed())),
                        BaySpec.METHOD,
                        temperature("outside air", path.ambient().temperature()),
                        new Figure("over it, standing", bay.standing(), Quantity.TEMPERATURE_DIFFERENCE),
                        new Figure("over it at 60 km/h", bay.rolling(), Quantity.TEMPERATURE_DIFFERENCE),
                        new Figure("road speed", build.fullLoad().roadSpeed(), Quantity.SPEED)));
    }

    private void engine(Build build, EngineSpec engine, PathResult path) {
        add(
                Subject.Whole.ENGINE,
                flow("air the engine takes", path.flow()),
                EngineSpec.METHOD,
                pressure("manifold, absolute", path.manifoldPressure()),
                temperature("manifold", path.intakeTemperature()),
                new Figure("displacement", engine.displacement(), Quantity.VOLUME),
                new Figure("engine speed", build.fullLoad().speed(), Quantity.ROTATION),
                share("volumetric efficiency", engine.volumetricEfficiency()));
        engine.fuel()
                .ifPresent(fuel -> add(
                        Subject.Whole.ENGINE,
                        flow("air from power", fuel.airDemand()),
                        FuelDemand.METHOD,
                        new Figure("power", fuel.power(), Quantity.POWER),
                        new Figure("fuel for the power", fuel.fuelRate(), Quantity.FUEL_RATE),
                        Figure.plain("air for the fuel", fuel.airFuelRatio()),
                        share("above speed-density by", fuel.airDemand() / path.flow() - 1)));
    }

    private void whole(PathResult path) {
        add(
                Subject.Whole.PATH,
                Figure.plain("pressure ratio", path.pressureRatio()),
                ChargePathSolver.METHOD,
                pressure("asked in the manifold, absolute", path.askedPressure()),
                pressure("loss of all pieces", path.totalLoss()),
                Figure.plain("residual", path.residual()),
                Figure.plain("rounds of the solver", path.iterations()));
        add(
                Subject.Whole.PATH,
                new Figure("time to fill", path.filling().time(), Quantity.TIME),
                Filling.METHOD,
                new Figure("volume behind the blower", path.filling().volume(), Quantity.VOLUME),
                new Figure("air to bring in", path.filling().mass(), Quantity.MASS),
                flow("full flow", path.flow()));
    }

    private void row(Spot.Row row, List<Station> stations, List<PieceResult> pieces) {
        for (int i = 0; i < pieces.size(); i++) {
            piece(row.at(i), stations.get(i), stations.get(i + 1), pieces.get(i));
        }
    }

    private void piece(Spot here, Station in, Station out, PieceResult piece) {
        PathElement element = piece.element();
        Figure loss = pressure("loss", piece.loss() - piece.stepLoss());
        double head = out.density() * out.velocity() * out.velocity() / 2;
        if (piece.stepLoss() > 0) {
            add(
                    here,
                    pressure("loss of the step of bore in front", piece.stepLoss()),
                    DiameterChange.METHOD,
                    length("bore before", in.bore()),
                    length("bore here", element.inletBore()));
        }
        if (element instanceof PathElement.Pipe pipe) {
            pipe(here, pipe.spec(), out, head);
            wall(here, in, out);
        } else if (element instanceof PathElement.Filter filter) {
            add(
                    here,
                    loss,
                    Intake.FILTER_METHOD,
                    pressure("reading, as dirty as it is", filter.lossNow()),
                    flow("at", filter.flow()),
                    new Figure("density", in.density(), Quantity.DENSITY),
                    new Figure("ram kept", filter.intake().ram(), Quantity.SHARE));
        } else if (element instanceof PathElement.Blower blower) {
            blower(here, blower.spec(), in, out, piece);
        } else if (element instanceof PathElement.Reducer r) {
            double angle = DiameterChange.includedAngle(r.inletBore(), r.bore(), r.length());
            add(
                    here,
                    loss,
                    DiameterChange.METHOD,
                    length("bore in", r.inletBore()),
                    length("bore out", r.bore()),
                    new Figure("included angle", angle, Quantity.ANGLE),
                    Figure.plain("loss coefficient", DiameterChange.coefficient(r.inletBore(), r.bore(), angle)));
        } else if (element instanceof PathElement.Joint joint) {
            add(
                    here,
                    loss,
                    JointLoss.METHOD,
                    length("hose bore", joint.hoseBore()),
                    length("pipe bore", joint.bore()),
                    length("gap", joint.gap()),
                    Figure.plain(
                            "loss coefficient", JointLoss.coefficient(joint.bore(), joint.hoseBore(), joint.gap())),
                    pressure("velocity head", head));
        } else if (element instanceof PathElement.Throttle throttle) {
            add(
                    here,
                    loss,
                    ThrottleLoss.METHOD,
                    length("bore", throttle.bore()),
                    length("shaft", throttle.shaft()),
                    Figure.plain("loss coefficient", ThrottleLoss.coefficient(throttle.bore(), throttle.shaft())),
                    pressure("velocity head", head));
        } else if (element instanceof PathElement.Injection injection) {
            add(
                    here,
                    temperature("charge behind the spray", out.temperature()),
                    InjectionCooling.METHOD,
                    temperature("charge in front", in.temperature()),
                    new Figure(
                            "liquid sprayed",
                            injection.spec().flow(out.totalPressure() - outside),
                            Quantity.VOLUME_FLOW),
                    share("methanol in the mix", injection.spec().alcoholShare()),
                    share("has time to evaporate", injection.spec().evaporated()));
        } else if (element instanceof PathElement.Plenum plenum) {
            if (plenum.wall().isPresent()) {
                wall(here, in, out);
            }
            add(
                    here,
                    loss,
                    PathElement.PLENUM_METHOD,
                    new Figure("speed at its inlet", piece.velocity(), Quantity.SPEED));
        } else if (element instanceof PathElement.Parallel pair) {
            pair(here, pair, piece);
        }
    }

    private void wall(Subject here, Station in, Station out) {
        if (walled) {
            add(
                    here,
                    temperature("charge behind its wall", out.temperature()),
                    PathWall.METHOD,
                    temperature("charge in front", in.temperature()));
        }
    }

    private void pipe(Subject here, PipeSpec spec, Station out, double head) {
        double reynolds = out.density() * out.velocity() * spec.bore() / air.viscosity(out.staticTemperature());
        double friction = FrictionFactor.darcy(reynolds, spec.material().roughness() / spec.bore());
        add(
                here,
                pressure("loss of the straight pipe", friction * spec.length() / spec.bore() * head),
                FrictionFactor.METHOD,
                Figure.plain("Reynolds number", reynolds),
                Figure.plain("friction factor", friction),
                length("straight length", spec.length()),
                length("bore", spec.bore()),
                new Figure("speed", out.velocity(), Quantity.SPEED),
                pressure("velocity head", head));
        for (PipeSpec.Bend bend : spec.bends()) {
            Figure angle = new Figure("angle", bend.angle(), Quantity.ANGLE);
            if (bend.isMitre()) {
                double k = MitreLoss.coefficient(bend.angle());
                add(
                        here,
                        pressure("loss of a mitre", k * head),
                        MitreLoss.METHOD,
                        angle,
                        Figure.plain("loss coefficient", k));
            } else {
                double k = BendLoss.coefficient(bend.radius() / spec.bore(), bend.angle(), friction);
                add(
                        here,
                        pressure("loss of a bend", k * head),
                        BendLoss.METHOD,
                        angle,
                        Figure.plain("radius over bore", bend.radius() / spec.bore()),
                        Figure.plain("loss coefficient", k));
            }
        }
        for (OvalSection oval : spec.ovals()) {
            add(
                    here,
                    pressure("what an oval adds", oval.added(spec.bore(), friction) * head),
                    OvalSection.METHOD,
                    length("height inside", oval.height()),
                    length("flats", oval.flat()),
                    Figure.plain("area over the pipe's", oval.area() / spec.area()),
                    length("hydraulic diameter", oval.hydraulicDiameter()));
        }
    }

    private void blower(Subject here, BlowerSpec spec, Station in, Station out, PieceResult piece) {
        double ratio = out.totalPressure() / in.totalPressure();
        double efficiency = piece.map().map(m -> m.efficiency()).orElse(spec.efficiency());
        add(
                here,
                temperature("blower outlet", out.temperature()),
                BlowerSpec.METHOD,
                temperature("blower inlet", in.temperature()),
                Figure.plain("pressure ratio", ratio),
                share("isentropic efficiency", efficiency),
                new Figure("shaft power", piece.heat(), Quantity.POWER));
        piece.map()
                .ifPresent(m -> add(
                        here,
                        share("efficiency on the map", m.efficiency()),
                        CompressorMap.METHOD,
                        new Figure("corrected speed", m.speed(), Quantity.ROTATION),
                        share("surge margin", m.surgeMargin()),
                        share("choke margin", m.chokeMargin())));
    }

    private void pair(Spot here, PathElement.Parallel pair, PieceResult piece) {
        for (int k = 0; k < piece.legs().size(); k++) {
            LegResult leg = piece.legs().get(k);
            if (leg.splitLoss() != 0) {
                add(
                        here,
                        pressure("loss where " + leg.name() + " leaves", leg.splitLoss()),
                        JunctionLoss.SPLIT,
                        share("share of the flow", leg.share()),
                        new Figure("angle", pair.splitAngle(), Quantity.ANGLE));
            }
            if (leg.mergeLoss() != 0) {
                add(
                        here,
                        pressure("loss where " + leg.name() + " joins", leg.mergeLoss()),
                        JunctionLoss.MERGE,
                        share("share of the flow", leg.share()),
                        new Figure("angle", pair.mergeAngle(), Quantity.ANGLE));
            }
            row(here.leg(k), leg.stations(), leg.pieces());
        }
    }
}
