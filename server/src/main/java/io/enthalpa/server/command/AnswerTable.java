package io.enthalpa.server.command;

import io.enthalpa.server.answers.AirWayView;
import io.enthalpa.server.answers.CoreView;
import io.enthalpa.server.answers.FitView;
import io.enthalpa.server.answers.JointsView;
import io.enthalpa.server.answers.LaidPipeView;
import io.enthalpa.server.answers.LoopView;
import io.enthalpa.server.answers.PathView;
import io.enthalpa.server.answers.PipeWaysView;
import io.enthalpa.server.answers.SoakView;
import io.enthalpa.server.answers.SteadyView;
import java.util.List;

/** The answers as plain tables for a terminal. */
final class AnswerTable {
    private AnswerTable() {}

    static String steady(List<SteadyView> answers) {
        StringBuilder out = new StringBuilder();
        for (SteadyView a : answers) {
            out.append("Option %s: %s%n".formatted(a.option(), a.optionName()));
            out.append("  %-20s %9s %9s %8s %7s%n".formatted("station", "°C", "kPa abs", "m/s", "Mach"));
            stations(out, "  ", a.stations());
            for (PathView.PieceView piece : a.pieces()) {
                for (PathView.LegView leg : piece.legs()) {
                    out.append(
                            "    %s, %s: %.1f %% of the flow%n".formatted(piece.name(), leg.name(), leg.share_pct()));
                    stations(out, "    ", leg.stations());
                }
            }
            out.append("  flow %.4f kg/s, pressure ratio %.3f, shaft power %.1f kW, loss %.2f kPa%n"
                    .formatted(a.flow_kg_s(), a.pressureRatio(), a.shaftPower_kW(), a.totalLoss_kPa()));
            for (CoreView core : a.cores()) {
                out.append(
                        "  %s: %.1f kW, brings the charge %.0f %% of the way down to outside air, cooled by %.1f -> %.1f °C%n"
                                .formatted(
                                        core.name(),
                                        core.heat_kW(),
                                        100 * core.recovered(),
                                        core.coldIn_C(),
                                        core.coldOut_C()));
            }
            for (LoopView loop : a.loops()) {
                out.append("  %s, water: %.1f L/min, all losses %.1f kPa%n"
                        .formatted(loop.core(), loop.flow_L_min(), loop.head_kPa()));
                for (LoopView.OnLoopView core :
                        loop.cores().size() > 1 ? loop.cores() : List.<LoopView.OnLoopView>of()) {
                    out.append("    %-28s %8.1f L/min %8.1f kW %12.1f -> %.1f °C%n"
                            .formatted(core.name(), core.flow_L_min(), core.heat_kW(), core.in_C(), core.out_C()));
                }
                for (LoopView.LoopPieceView piece : loop.pieces()) {
                    out.append("    %-28s %8.2f kPa %5.0f %% %6.2f m/s %8.1f °C%n"
                            .formatted(
                                    piece.name(),
                                    piece.loss_kPa(),
                                    piece.share_pct(),
                                    piece.velocity_m_s(),
                                    piece.out_C()));
                }
            }
            for (AirWayView way : a.airWays()) {
                out.append("  %s: %.0f m3/h of air, %.0f %% of it round the stack%n"
                        .formatted(way.name(), way.flow_m3_h(), way.bypass_pct()));
                for (AirWayView.LayerView layer : way.layers()) {
                    out.append("    %-28s %6.2f m/s %7.1f -> %.1f °C %8.1f kW%n"
                            .formatted(
                                    layer.name(),
                                    layer.faceSpeed_m_s(),
                                    layer.airIn_C(),
                                    layer.airOut_C(),
                                    layer.heat_kW()));
                }
            }
            a.notes().forEach(note -> out.append("  %s%n".formatted(note.says())));
            a.joints().forEach(joint -> out.append("  %s%n".formatted(joint.says())));
        }
        return out.toString().stripTrailing();
    }

    private static void stations(StringBuilder out, String indent, List<PathView.StationView> stations) {
        for (PathView.StationView s : stations) {
            out.append("%s%-20s %9.1f %9.1f %8.1f %7.3f%n"
                    .formatted(indent, s.name(), s.temperature_C(), s.totalPressure_kPa(), s.velocity_m_s(), s.mach()));
        }
    }

    static String soak(List<SoakView> answers) {
        StringBuilder out = new StringBuilder();
        out.append("%-8s %-28s %9s %9s %9s %12s %12s %8s"
                .formatted("option", "", "worst °C", "at s", "mean °C", "s > target", "s > timing", "audit"));
        for (SoakView a : answers) {
            SoakView.VerdictView v = a.verdict();
            out.append("%n%-8s %-28s %9s %9.0f %9s %12.0f %12.0f %7.3f%%"
                    .formatted(
                            a.option(),
                            a.optionName(),
                            figure(v.worst_C()),
                            v.worstTime_s(),
                            figure(v.mean_C()),
                            v.overTarget_s(),
                            v.overTiming_s(),
                            a.audit().error_pct()));
            v.findings().forEach(finding -> out.append("%n  ".formatted()).append(finding.says()));
        }
        return out.toString();
    }

    static String fit(List<SolveCommand.Fitting> answers) {
        StringBuilder out = new StringBuilder();
        for (SolveCommand.Fitting a : answers) {
            out.append("Option %s: %s%n".formatted(a.option(), a.optionName()));
            a.fit().findings().forEach(finding -> out.append("  %s%n".formatted(finding.says())));
            out.append("  %9s %9s %9s %9s  %s%n".formatted("gap mm", "asked", "moved", "asked", "between"));
            for (FitView.RoomGapView gap : a.fit().gaps()) {
                out.append("  %9.1f %9.1f %9s %9s  %s and %s%s%n"
                        .formatted(
                                gap.gap_mm(),
                                gap.asked_mm(),
                                figure(gap.moved_mm()),
                                figure(gap.movedAsked_mm()),
                                gap.of(),
                                gap.to(),
                                gap.isShort() ? ": short by %.1f".formatted(gap.missing_mm()) : ""));
            }
        }
        return out.toString().stripTrailing();
    }

    static String joints(List<SolveCommand.Joined> answers) {
        StringBuilder out = new StringBuilder();
        for (SolveCommand.Joined a : answers) {
            out.append("Option %s: %s%n".formatted(a.option(), a.optionName()));
            out.append("  %-36s %-13s %22s %22s %16s %12s%n"
                    .formatted("joint", "made as", "moves mm, mm, deg", "bears", "push / hold N", "deg C / most"));
            for (JointsView.JointView j : a.joints().joints()) {
                out.append("  %-36s %-13s %22s %22s %16s %12s%n"
                        .formatted(
                                j.before() + " to " + j.behind(),
                                j.coupling(),
                                j.moved() == null ? "not known" : moved(j.moved()),
                                moved(j.bears()),
                                "%.0f / %s"
                                        .formatted(
                                                j.asked_N(),
                                                j.holds_N() == null ? "locked" : "%.0f".formatted(j.holds_N())),
                                "%.0f / %.0f".formatted(j.temperature_C(), j.most_C())));
                j.findings().forEach(f -> out.append("    %s%n".formatted(f.says())));
            }
            a.joints().held().forEach(h -> h.findings().forEach(f -> out.append("  %s%n".formatted(f.says()))));
            out.append("  %-22s %6s %7s %8s %7s %7s  %s%n"
                    .formatted("made as", "welds", "joints", "kg", "hours", "price", "not borne at"));
            for (JointsView.SchoolView s : a.joints().schools()) {
                out.append("  %-22s %6d %7d %8.2f %7.1f %7.0f  %s%n"
                        .formatted(
                                s.choice() + (s.now() ? " (now)" : ""),
                                s.welds(),
                                s.joints(),
                                s.mass_kg(),
                                s.hours(),
                                s.price(),
                                String.join(", ", s.unsound())));
            }
        }
        return out.toString().stripTrailing();
    }

    private static String moved(JointsView.JointMovedView m) {
        return "%.1f %.1f %.1f".formatted(m.across_mm(), m.along_mm(), m.bend_deg());
    }

    static String routes(List<RouteCommand.Routing> answers) {
        StringBuilder out = new StringBuilder();
        for (RouteCommand.Routing a : answers) {
            out.append("Option %s, %s%n".formatted(a.option(), a.pipe()));
            if (a.routes() == null) {
                out.append("  %s%n".formatted(a.fault().sentence()));
                continue;
            }
            a.routes().says().forEach(s -> out.append("  %s%n".formatted(s.says())));
            a.routes().ways().forEach(way -> way(out, way));
            a.routes().opens().forEach(o -> {
                out.append("  %s%n".formatted(o.says()));
                way(out, o.way());
            });
        }
        return out.toString().stripTrailing();
    }

    private static void way(StringBuilder out, PipeWaysView.WayView way) {
        out.append("  %.0f mm along its middle, %.2f L, %.2f kg, to spare %s mm%s, loss %s kPa, worst %s K%n"
                .formatted(
                        way.laid().length_mm(),
                        way.volume_L(),
                        way.mass_kg(),
                        figure(way.spare_mm()),
                        way.beside() == null ? "" : " beside " + way.beside(),
                        signed(way.loss_kPa()),
                        signed(way.worst_K())));
        for (LaidPipeView.TurnView turn : way.laid().turns()) {
            out.append("    %.1f mm straight, turned %.1f\u00b0, bent by %.1f\u00b0 of radius %.1f mm%n"
                    .formatted(turn.straight_mm(), turn.turned_deg(), turn.angle_deg(), turn.radius_mm()));
        }
        out.append("    %.1f mm straight%n".formatted(way.laid().last_mm()));
        for (PipeWaysView.LaidRunView run : way.runs()) {
            for (LaidPipeView.OvalRowView oval : run.ovals()) {
                out.append("    made flat for %.1f mm about %.1f mm along it, %.1f mm high, a flat looking %.1f\u00b0%n"
                        .formatted(
                                oval.length_mm(),
                                oval.at_mm(),
                                oval.height_mm(),
                                oval.clocked_deg() == null ? 0 : oval.clocked_deg()));
            }
        }
    }

    private static String signed(Double value) {
        return value == null ? "-" : "%+.2f".formatted(value);
    }

    private static String figure(Double value) {
        return value == null ? "-" : "%.1f".formatted(value);
    }
}
