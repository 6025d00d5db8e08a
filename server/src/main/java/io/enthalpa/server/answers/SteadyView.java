package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.PieceResult;
import io.enthalpa.core.chargepath.Station;
import io.enthalpa.core.endurance.CoreResult;
import io.enthalpa.core.endurance.Note;
import io.enthalpa.core.endurance.ResistanceShares;
import io.enthalpa.core.endurance.SteadyResult;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.formats.BuildFile;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The charge line of an option at full load, as the screen, the REST interface and the command line show it. */
public record SteadyView(String option, String optionName, List<StationView> stations, List<PieceView> pieces, double flow_kg_s,
                         double pressureRatio, double shaftPower_kW, double boost_kPa, double askedBoost_kPa, double throttleLoss_kPa,
                         boolean blowerLimited, double totalLoss_kPa, double chargeDensity_kg_m3, double residual, int iterations,
                         @Nullable CoreView core, List<NoteView> notes) {

    public record StationView(String name, double totalPressure_kPa, double staticPressure_kPa, double temperature_C, double density_kg_m3,
                              double velocity_m_s, double mach, double bore_mm) {
        static StationView of(Station s) {
            return new StationView(s.name(), s.totalPressure() / 1000, s.staticPressure() / 1000, s.temperature() - 273.15, s.density(),
                    s.velocity(), s.mach(), s.bore() * 1000);
        }
    }

    public record PieceView(String kind, String name, double loss_kPa, double temperatureChange_K, double heat_kW, double velocity_m_s, double mach) {
        static PieceView of(PieceResult p) {
            return new PieceView(BuildFile.kind(p.element()), p.element().name(), p.loss() / 1000, p.temperature(), p.heat() / 1000, p.velocity(), p.mach());
        }
    }

    /** Shares in percent; they add up to 100. */
    public record SharesView(double charge_pct, double wall_pct, double coldFilm_pct, double coldFlow_pct, double radiator_pct) {
        static SharesView of(ResistanceShares s) {
            return new SharesView(100 * s.charge(), 100 * s.wall(), 100 * s.coldFilm(), 100 * s.coldFlow(), 100 * s.radiator());
        }
    }

    public record CoreView(int piece, String cooledBy, double effectiveness, double recovered, double ntu, double heat_kW, double coldIn_C,
                           double coldOut_C, double faceSpeed_m_s, double metalMass_kg, double chargeFlowRatio, double coldFlowRatio,
                           double volumeRatio, SharesView shares) {
    }

    /** Something the user should know: a code, the piece it is about, the value and the limit it passed. */
    public record NoteView(Note.Kind kind, int piece, double value, double limit) {
    }

    static SteadyView of(Answer answer) {
        SteadyResult result = answer.steady();
        PathResult path = result.path();
        BuildOption option = answer.option();
        double ambient = answer.system().path().ambient().pressure();
        Station last = path.stations().get(path.stations().size() - 1);
        HumidAir air = answer.system().path().ambient().air();
        List<NoteView> notes = new ArrayList<>();
        Note.about(answer.system(), result).forEach(n -> notes.add(new NoteView(n.kind(), n.piece(), n.value(), n.limit())));
        return new SteadyView(option.letter(), option.name(), path.stations().stream().map(StationView::of).toList(),
                path.pieces().stream().map(PieceView::of).toList(), path.flow(), path.pressureRatio(), path.shaftPower() / 1000,
                (path.manifoldPressure() - ambient) / 1000, (path.askedPressure() - ambient) / 1000, path.throttleLoss() / 1000,
                path.blowerLimited(), path.totalLoss() / 1000, air.density(last.totalPressure(), last.temperature()), path.residual(),
                path.iterations(), core(answer, result.core()), notes);
    }

    private static @Nullable CoreView core(Answer answer, @Nullable CoreResult core) {
        if (core == null) {
            return null;
        }
        PathElement.Core element = answer.system().path().core();
        return new CoreView(answer.system().path().coreIndex(), element.cooling() instanceof io.enthalpa.core.chargepath.CoolingSide.Air ? "air" : "water",
                core.transfer().effectiveness(), core.recovered(), core.transfer().ntu(), core.heat() / 1000, core.coldIn() - 273.15,
                core.coldOut() - 273.15, core.faceSpeed(), element.spec().metalMass(), core.chargeFlowRatio(), core.coldFlowRatio(),
                answer.system().path().cooler().exchanger().volumeRatio(), SharesView.of(core.shares()));
    }
}
