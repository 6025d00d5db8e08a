package io.enthalpa.server.duties;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyLibrary;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.quantity.Unit;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LoggedLoad;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.DutyCsv;
import io.enthalpa.formats.LogHead;
import io.enthalpa.formats.LogText;
import io.enthalpa.formats.document.DutyDocument;
import io.enthalpa.server.problem.Asked;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Duties: a library fitted to the build, laps, what pieces come to, and logs of any make. 422 names what cannot be. */
@RestController
@RequestMapping("/api/duties")
class DutyController {

    record DutyRequest(JsonNode document) {}

    /** {@code duty} as in a build file. */
    record EntryView(String name, String says, JsonNode duty) {}

    record LibraryView(List<EntryView> entries) {}

    @PostMapping("/library")
    LibraryView library(@RequestBody DutyRequest request) {
        return new LibraryView(library(BuildFile.read(Asked.document(request.document()))).entries().stream()
                .map(e -> new EntryView(e.name(), e.says(), DutyDocument.tree(e)))
                .toList());
    }

    private static DutyLibrary library(Build build) {
        double boost =
                build.options().stream().mapToDouble(o -> o.boost()).max().orElse(0);
        return new DutyLibrary(build.engine().maxSpeed(), boost, build.gearing());
    }

    /** @param corners equal ones @param laps before the one to cool */
    record LapsRequest(JsonNode document, double lap_s, int corners, double fast_km_h, double slow_km_h, int laps) {}

    @PostMapping("/laps")
    EntryView laps(@RequestBody LapsRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        within("lap time", request.lap_s(), 10, 1800, "s");
        within("corners", request.corners(), 1, 40, "");
        within("fastest", request.fast_km_h(), 20, 500, "km/h");
        within("slowest", request.slow_km_h(), 5, request.fast_km_h() - 1, "km/h");
        within("laps", request.laps(), 1, 200, "");
        DutyLibrary.Entry entry = new DutyLibrary.Entry(
                "%d laps of %.0f s".formatted(request.laps(), request.lap_s()),
                "",
                build.duty().startAbove(),
                1,
                0,
                library(build)
                        .laps(
                                request.lap_s(),
                                request.corners(),
                                request.fast_km_h(),
                                request.slow_km_h(),
                                request.laps()));
        entry.duty(build.gearing());
        return new EntryView(entry.name(), entry.says(), DutyDocument.tree(entry));
    }

    private static void within(String label, double value, double min, double max, String unit) {
        EnthalpaFault.within(label, value, min, max, unit);
    }

    /** The duty row by row, straight between: what the pieces come to. One run of it, boost as in the document. */
    record DutyView(
            double length_s,
            double whole_s,
            double[] time_s,
            double[] engineSpeed_rpm,
            double[] boost_kPa,
            double[] roadSpeed_km_h,
            double[] pieceEnds_s) {}

    @PostMapping("/rows")
    DutyView rows(@RequestBody DutyRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        Duty duty = build.duty();
        List<DutyPoint> rows = duty.rows();
        List<Double> ends = new ArrayList<>();
        for (int i = 0; i < duty.pieces().size(); i++) {
            List<DutyPoint> until =
                    io.enthalpa.core.duty.DutyPlan.rows(duty.pieces().subList(0, i + 1), build.gearing());
            ends.add(until.get(until.size() - 1).time());
        }
        return new DutyView(
                duty.runLength(),
                duty.length(),
                rows.stream().mapToDouble(DutyPoint::time).toArray(),
                rows.stream().mapToDouble(r -> r.speed() * 30 / Math.PI).toArray(),
                rows.stream().mapToDouble(r -> r.boost() / 1000).toArray(),
                rows.stream().mapToDouble(r -> r.roadSpeed() * 3.6).toArray(),
                ends.stream().mapToDouble(Double::doubleValue).toArray());
    }

    /** @param start the first lines of a log */
    record LogHeadRequest(String start) {}

    /** What a column of a log can be taken for; {@code column} from 0 and {@code unit} as its heading says, null where none fits. */
    record LogRoleView(
            Channel role,
            String words,
            List<String> units,
            @Nullable Integer column,
            @Nullable String unit) {}

    record LogHeadView(List<String> headings, List<LogRoleView> roles) {}

    @PostMapping("/log-columns")
    LogHeadView head(@RequestBody LogHeadRequest request) {
        LogHead head = LogHead.of(Asked.text(request.start(), "start"));
        Map<Channel, LogHead.Column> guessed = head.guess(Channel.OF_DUTY).columns();
        List<LogRoleView> roles = new ArrayList<>();
        for (Channel role : Channel.values()) {
            if (!Channel.OF_DUTY.contains(role)) {
                continue;
            }
            LogHead.Column column = guessed.get(role);
            roles.add(new LogRoleView(
                    role,
                    role.words(),
                    role.quantity().units().stream().map(Unit::symbol).toList(),
                    column == null ? null : column.index(),
                    column == null || column.unit() == null
                            ? null
                            : column.unit().symbol()));
        }
        return new LogHeadView(head.headings(), roles);
    }

    record GapView(long line, double from_s, double seconds) {}

    /** {@code rows} as in a build file; {@code tolerance} times wider than usual. */
    record LogView(
            JsonNode rows,
            int kept,
            long read,
            long repeated,
            List<GapView> gaps,
            double tolerance,
            double length_s,
            double highestBoost_kPa) {}

    /**
     * The body is the log itself, read as it comes.
     *
     * @param columns  as "TIME:0:s,ENGINE_SPEED:3:rpm"; empty to take them by their headings
     * @param ratios   of the gears, first to top; with the other four of the gearing, or none
     */
    @PostMapping(path = "/log", consumes = "text/csv")
    LogView log(
            HttpServletRequest body,
            @RequestParam(defaultValue = "") String columns,
            @RequestParam double outside_kPa,
            @RequestParam double boost_kPa,
            @RequestParam double limiter_rpm,
            @RequestParam(required = false) @Nullable List<Double> ratios,
            @RequestParam(defaultValue = "0") double tyre_mm,
            @RequestParam(defaultValue = "0") double finalDrive,
            @RequestParam(defaultValue = "0") double changeUp_rpm,
            @RequestParam(defaultValue = "0") double idle_rpm)
            throws IOException {
        if (ratios != null && ratios.contains(null)) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED,
                    "/ratios",
                    "gear ratios",
                    "one of them empty",
                    "numbers with commas between, as in 3.4,2,1.35,1",
                    "");
        }
        Optional<Gearing> gearing = ratios == null || ratios.isEmpty()
                ? Optional.empty()
                : Optional.of(new Gearing(
                        tyre_mm / 1000, finalDrive, ratios, changeUp_rpm * Math.PI / 30, idle_rpm * Math.PI / 30));
        DutyCsv.Imported log = DutyCsv.read(
                LogText.reader(body.getInputStream()),
                LogHead.chosen(columns),
                new LoggedLoad(gearing, outside_kPa * 1000, boost_kPa * 1000, limiter_rpm * Math.PI / 30));
        double highest = log.rows().stream().mapToDouble(DutyPoint::boost).max().orElse(0);
        return new LogView(
                DutyDocument.tree(log.rows()),
                log.rows().size(),
                log.read(),
                log.repeated(),
                log.gaps().stream()
                        .map(g -> new GapView(g.line(), g.from(), g.seconds()))
                        .toList(),
                log.tolerance(),
                log.rows().get(log.rows().size() - 1).time(),
                highest / 1000);
    }
}
