package io.enthalpa.core.explain;

import io.enthalpa.core.chargepath.Banks;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.ChargePathSolver;
import io.enthalpa.core.chargepath.Filling;
import io.enthalpa.core.chargepath.Intake;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathWall;
import io.enthalpa.core.chargepath.Price;
import io.enthalpa.core.commission.FillSheet;
import io.enthalpa.core.commission.LeakPlan;
import io.enthalpa.core.commission.SimulatedGauge;
import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.coolingair.OtherExchanger;
import io.enthalpa.core.duty.DutyPlan;
import io.enthalpa.core.duty.DutyThinner;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Sensor;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.CompressorMap;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.engine.FuelDemand;
import io.enthalpa.core.engine.InjectionCooling;
import io.enthalpa.core.envelope.LargestCore;
import io.enthalpa.core.exchanger.ChangWang1997;
import io.enthalpa.core.exchanger.CoreLoss;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.FinEfficiency;
import io.enthalpa.core.exchanger.FinnedCore;
import io.enthalpa.core.exchanger.ManglikBergles1995;
import io.enthalpa.core.exchanger.PlainPassage;
import io.enthalpa.core.exchanger.RatedCore;
import io.enthalpa.core.exchanger.TankEffect;
import io.enthalpa.core.fit.Against;
import io.enthalpa.core.fit.AirBehind;
import io.enthalpa.core.fit.AirSeen;
import io.enthalpa.core.fit.BoxPorts;
import io.enthalpa.core.fit.Buildable;
import io.enthalpa.core.fit.Clocking;
import io.enthalpa.core.fit.Fittings;
import io.enthalpa.core.fit.Fork;
import io.enthalpa.core.fit.Hosework;
import io.enthalpa.core.fit.Mirrored;
import io.enthalpa.core.fit.Ovals;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.fit.ToolRoom;
import io.enthalpa.core.fit.WaterPorts;
import io.enthalpa.core.fit.WayOut;
import io.enthalpa.core.fluid.Atmosphere;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.fluid.WaterVapour;
import io.enthalpa.core.joint.Held;
import io.enthalpa.core.joint.Joint;
import io.enthalpa.core.joint.Joints;
import io.enthalpa.core.joint.Making;
import io.enthalpa.core.leak.LeakTest;
import io.enthalpa.core.loss.BendLoss;
import io.enthalpa.core.loss.DiameterChange;
import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.loss.FrictionFactor;
import io.enthalpa.core.loss.JointLoss;
import io.enthalpa.core.loss.JunctionLoss;
import io.enthalpa.core.loss.MitreLoss;
import io.enthalpa.core.loss.OvalSection;
import io.enthalpa.core.loss.PerformanceCurve;
import io.enthalpa.core.loss.ThrottleLoss;
import io.enthalpa.core.mount.Mounting;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.plant.WaterSide;
import io.enthalpa.core.room.AskedGap;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.TurnList;
import io.enthalpa.core.router.Ribbon;
import io.enthalpa.core.router.Router;
import io.enthalpa.core.school.TraceCase;
import io.enthalpa.core.sizing.Bill;
import io.enthalpa.core.sizing.MethodSizing;
import io.enthalpa.core.sizing.NewJob;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.telemetry.Averager;
import io.enthalpa.core.telemetry.BeforeAfter;
import io.enthalpa.core.telemetry.Beside;
import io.enthalpa.core.telemetry.ChannelChecks;
import io.enthalpa.core.telemetry.FaultSearch;
import io.enthalpa.core.telemetry.LogBand;
import io.enthalpa.core.telemetry.LogFit;
import io.enthalpa.core.telemetry.LogParts;
import io.enthalpa.core.telemetry.Marks;
import io.enthalpa.core.telemetry.MeasuredDuty;
import io.enthalpa.core.telemetry.MeasuredRun;
import io.enthalpa.core.telemetry.Segments;
import io.enthalpa.core.telemetry.SimulatedLog;
import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.uncertainty.MonteCarlo;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.verdict.RunFigures;
import io.enthalpa.core.verdict.RunShape;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.CoresOnLoop;
import io.enthalpa.core.waterloop.HoseMake;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopHeights;
import io.enthalpa.core.waterloop.LoopHydraulics;
import io.enthalpa.core.waterloop.LoopSinks;
import io.enthalpa.core.waterloop.Radiator;
import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Collectors;

/** Every method of the computation, gathered from where it is computed, in chapters; and the document written from it. */
public final class Methods {
    private static final List<Chapter> CHAPTERS = List.of(
            new Chapter("Air and water", List.of(HumidAir.METHOD, Atmosphere.METHOD, WaterVapour.METHOD, Water.METHOD)),
            new Chapter(
                    "Engine and blower",
                    List.of(EngineSpec.METHOD, FuelDemand.METHOD, BlowerSpec.METHOD, CompressorMap.METHOD)),
            new Chapter(
                    "The charge path",
                    List.of(
                            ChargePathSolver.METHOD,
                            Intake.FILTER_METHOD,
                            Intake.METHOD,
                            FrictionFactor.METHOD,
                            BendLoss.METHOD,
                            MitreLoss.METHOD,
                            DiameterChange.METHOD,
                            OvalSection.METHOD,
                            JointLoss.METHOD,
                            JunctionLoss.SPLIT,
                            JunctionLoss.MERGE,
                            ThrottleLoss.METHOD,
                            PathElement.PLENUM_METHOD,
                            Price.METHOD,
                            Filling.METHOD)),
            new Chapter("Surroundings", List.of(BaySpec.METHOD, PathWall.METHOD)),
            new Chapter(
                    "Cores",
                    List.of(
                            Effectiveness.METHOD,
                            RatedCore.METHOD,
                            FinnedCore.METHOD,
                            PlainPassage.METHOD,
                            ManglikBergles1995.METHOD,
                            ChangWang1997.METHOD,
                            FinEfficiency.METHOD,
                            CoreLoss.METHOD,
                            TankEffect.METHOD)),
            new Chapter("Injection", List.of(InjectionCooling.METHOD)),
            new Chapter(
                    "Water side",
                    List.of(
                            GlycolWater.METHOD,
                            LoopHydraulics.METHOD,
                            PerformanceCurve.METHOD,
                            FittingLoss.METHOD,
                            CorePorts.METHOD,
                            Radiator.METHOD,
                            CoresOnLoop.METHOD,
                            LoopSinks.METHOD,
                            IceSpec.METHOD,
                            ChillerSpec.METHOD,
                            LoopHeights.METHOD)),
            new Chapter("Cooling air", List.of(AirWay.METHOD, FaceAirSpec.METHOD, OtherExchanger.METHOD)),
            new Chapter(
                    "Room",
                    List.of(
                            Gaps.METHOD,
                            AskedGap.METHOD,
                            Against.METHOD,
                            AirBehind.METHOD,
                            AirSeen.METHOD,
                            Mounting.METHOD,
                            ToolRoom.METHOD,
                            WayOut.METHOD,
                            Clocking.METHOD,
                            BoxPorts.METHOD,
                            Buildable.METHOD,
                            Fittings.METHOD,
                            Ovals.METHOD,
                            Mirrored.METHOD,
                            Banks.METHOD,
                            LargestCore.METHOD,
                            Centreline.METHOD,
                            TurnList.METHOD,
                            Pipework.METHOD,
                            Hosework.METHOD,
                            HoseMake.METHOD,
                            WaterPorts.METHOD,
                            Fork.METHOD,
                            Router.METHOD,
                            Ribbon.METHOD,
                            Joints.METHOD,
                            Joint.METHOD,
                            Held.METHOD,
                            Making.METHOD)),
            new Chapter("Duties", List.of(DutyPlan.METHOD, Gearing.METHOD, DutyThinner.METHOD)),
            new Chapter(
                    "Endurance",
                    List.of(
                            EnduranceRun.METHOD,
                            WaterSide.METHOD,
                            Sensor.METHOD,
                            Load.METHOD,
                            RunFigures.METHOD,
                            RunShape.METHOD,
                            MonteCarlo.METHOD,
                            Calibration.METHOD,
                            NewJob.METHOD,
                            MethodSizing.METHOD,
                            Bill.METHOD,
                            ResistanceShares.METHOD)),
            new Chapter(
                    "Logs",
                    List.of(
                            Averager.METHOD,
                            MeasuredRun.METHOD,
                            ChannelChecks.METHOD,
                            Segments.METHOD,
                            Marks.METHOD,
                            LogParts.METHOD,
                            MeasuredDuty.METHOD,
                            LogBand.METHOD,
                            LogFit.METHOD,
                            FaultSearch.METHOD,
                            TraceCase.METHOD,
                            BeforeAfter.METHOD,
                            LeakTest.METHOD,
                            LeakPlan.METHOD,
                            SimulatedGauge.METHOD,
                            FillSheet.METHOD,
                            SimulatedLog.METHOD,
                            Beside.METHOD)));

    private Methods() {}

    /** Methods of one subject. */
    public record Chapter(String title, List<Method> methods) {
        public Chapter {
            methods = List.copyOf(methods);
        }
    }

    public static List<Chapter> chapters() {
        return CHAPTERS;
    }

    /** @return all methods in the order of the chapters */
    public static List<Method> all() {
        return CHAPTERS.stream().flatMap(chapter -> chapter.methods().stream()).toList();
    }

    /** @return docs/methods.md */
    public static String markdown() {
        StringBuilder out = new StringBuilder(
                "# Methods\n\nWhat is computed, by whose formula, where it holds, and what it leaves out. Written from the code's own "
                        + "citations; a test keeps both the same. \"From memory\" marks what was published and written down here without the book at hand; "
                        + "\"common practice\" what has no source.\n");
        for (Chapter chapter : CHAPTERS) {
            out.append("\n## ").append(chapter.title()).append('\n');
            chapter.methods().forEach(method -> out.append(paragraph(method)));
        }
        return out.toString();
    }

    private static String paragraph(Method method) {
        StringBuilder out = new StringBuilder("\n### " + method.title() + "\n" + method.says() + "\n");
        if (!method.formula().isEmpty()) {
            out.append("\n    ")
                    .append(method.formula().replace("; ", "\n    "))
                    .append("\n\n");
        }
        if (!method.ranges().isEmpty()) {
            out.append("*Holds for* ")
                    .append(method.ranges().stream().map(Methods::range).collect(Collectors.joining("; ")))
                    .append(".  \n");
        }
        out.append("*Source:* ")
                .append(method.sources().stream().map(Citation::line).collect(Collectors.joining("; ")))
                .append(".  \n");
        if (!method.leavesOut().isEmpty()) {
            out.append("*Leaves out:* ").append(method.leavesOut()).append('\n');
        }
        return out.toString();
    }

    /** @return "bend radius over bore 0.7 to 20" */
    public static String range(ValidityRange range) {
        return (range.quantity() + " " + plain(range.min()) + " to " + plain(range.max()) + " " + range.unit()).strip();
    }

    private static String plain(double value) {
        return new BigDecimal(Double.toString(value)).stripTrailingZeros().toPlainString();
    }
}
