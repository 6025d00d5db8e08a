package io.enthalpa.core;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.Intake;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.chargepath.PlenumWallSpec;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.CoreBasis;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.exchanger.RatingCard;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.waterloop.RadiatorBasis;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Invented systems that the tests share, with one knob turned at a time. */
public final class Systems {
    public static final CoreSize SIZE = new CoreSize(0.5, 0.25, 0.064);
    public static final double RPM = Math.PI / 30;

    public double displacement = 0.0023;
    public double efficiency = 0.70;
    public double maxRatio = 4;
    public double bore = 0.057;
    public double outletBore = 0.051;
    public double portBore = 0.057;
    public double plenumBore = 0.06;
    public double filterLoss = 1500;
    public double filterHeat = 2;
    public double ambientT = 300;
    public double ambientP = 101325;
    public double humidity = 0.4;
    public CoreSize size = SIZE;
    public CoolingSide cooling = new CoolingSide.Air(new FaceAirSpec(0.3, 0.5));
    public boolean core = true;
    /** Instead of the rating card; null for the card. */
    public CoreBasis basis;

    public Effectiveness arrangement = Effectiveness.CROSSFLOW_UNMIXED;
    public BlowerType type = BlowerType.TURBO;
    public List<AirWaySpec> airWays = List.of();
    public Optional<BaySpec> bay = Optional.empty();
    public Optional<PlenumWallSpec> plenumWall = Optional.empty();
    /** Of the pipe behind the core; null for stock in the bay. */
    public PipeWallSpec coldWall;

    public double bayShare;
    public PortSide inletTowards = PortSide.RIGHT;

    public static Systems standard() {
        return new Systems();
    }

    public static Systems water() {
        Systems s = new Systems();
        s.cooling = waterLoop(20e-3 / 60, 6e-3);
        return s;
    }

    public static CoolingSide waterLoop(double flow, double volume) {
        return new CoolingSide.Water(WaterLoopSpec.measured(flow, volume, radiator()));
    }

    public static RadiatorSpec radiator() {
        CoreSize size = new CoreSize(0.4, 0.25, 0.032);
        return new RadiatorSpec(
                size,
                new RadiatorBasis.Card(
                        size, 12e3, 20e-3 / 60, 333.15, 5, 298.15, OptionalDouble.empty(), OptionalDouble.empty()),
                new FaceAirSpec(0.25, 0.5));
    }

    /** One bore from blower to plenum, so that no step is counted. */
    public Systems evenBore(double all) {
        bore = outletBore = portBore = plenumBore = all;
        return this;
    }

    public ChargePath path() {
        List<PathElement> pieces = new ArrayList<>();
        pieces.add(new PathElement.Filter(
                "filter", 0.07, filterLoss, 0.15, filterHeat, 2 * filterLoss, 0, bayShare, Intake.OUTSIDE));
        pieces.add(new PathElement.Blower("blower", new BlowerSpec(type, efficiency, maxRatio, outletBore)));
        pieces.add(new PathElement.Pipe("hot pipe", pipe(1.2, 3)));
        if (core) {
            pieces.add(new PathElement.Core("core", core(), cooling));
        }
        pieces.add(
                coldWall == null
                        ? new PathElement.Pipe("cold pipe", pipe(0.9, 3))
                        : new PathElement.Pipe("cold pipe", pipe(0.9, 3), coldWall));
        pieces.add(new PathElement.Plenum("plenum", plenumBore, 0.003, plenumWall));
        return new ChargePath(
                Ambient.of(ambientT, ambientP, humidity),
                new EngineSpec(displacement, 4, 0.92, 7000 * RPM),
                pieces,
                bay);
    }

    private PipeSpec pipe(double length, int bends) {
        return new PipeSpec(
                PipeMaterial.ALUMINIUM,
                bore,
                length,
                java.util.Collections.nCopies(bends, new PipeSpec.Bend(Math.PI / 2, 1.5 * bore)));
    }

    public CoreSpec core() {
        return new CoreSpec(
                "bar-and-plate",
                size,
                basis == null ? card() : basis,
                arrangement,
                EndTankSpec.usual(portBore),
                inletTowards);
    }

    private RatingCard card() {
        return cooling instanceof CoolingSide.Air
                ? new RatingCard(
                        SIZE,
                        6,
                        Coolant.AIR,
                        List.of(new RatingCard.Point(0.2, 220e3, 413.15, 320.15, 3500, 8, 0, 298.15)),
                        0.35,
                        0.03)
                : new RatingCard(
                        SIZE,
                        4,
                        Coolant.WATER,
                        List.of(new RatingCard.Point(0.2, 220e3, 413.15, 318.15, 3500, 0, 20e-3 / 60, 298.15)),
                        0.75,
                        0.03);
    }

    public ChargeSystem system() {
        return new ChargeSystem(path(), airWays);
    }

    /** @param rpm engine speed @param boost kPa @param roadSpeed m/s */
    public static OperatingPoint point(double rpm, double boost, double roadSpeed) {
        return new OperatingPoint(rpm * RPM, boost * 1000, roadSpeed);
    }

    /** @param startAbove K above the outside air @return one run of a point held */
    public static Duty hold(OperatingPoint point, double startAbove, double seconds) {
        return new Duty(
                "hold",
                true,
                startAbove,
                1,
                0,
                List.of(
                        new DutyPoint(0, point.speed(), point.boost(), point.roadSpeed()),
                        new DutyPoint(seconds, point.speed(), point.boost(), point.roadSpeed())));
    }
}
