package io.enthalpa.server.commission;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.commission.ChangeSheet;
import io.enthalpa.core.commission.FillSheet;
import io.enthalpa.core.commission.JointSheet;
import io.enthalpa.core.commission.LeakPlan;
import io.enthalpa.core.commission.StartSheet;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.leak.LeakRecord;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.LeakCsv;
import io.enthalpa.formats.SheetPdf;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.work.Work;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What is done with a build that stands: tried for leaks, filled, driven for the first time. Stateless; records stand in the document. */
@RestController
@RequestMapping("/api/preview")
class CommissionController {
    private static final int MOST_SECTIONS = 60;
    private static final int LONGEST = 2000;

    private final Work work;

    CommissionController(Work work) {
        this.work = work;
    }

    record CommissionRequest(JsonNode document, String option) {}

    /** Of the water loop of a core. */
    record LoopStepsView(String core, List<StepView> steps) {}

    record CommissionView(List<LoopStepsView> fill, List<StepView> start, List<StepView> joints) {}

    /** What each change of the document came to, in its order. */
    record ChangesMadeView(List<StepView> changes) {}

    record ChangesMadeRequest(JsonNode document) {}

    @PostMapping("/changes-made")
    ChangesMadeView changesMade(@RequestBody ChangesMadeRequest request) {
        return new ChangesMadeView(BuildFile.read(Asked.document(request.document())).proofs().changes().stream()
                .map(ChangeSheet::of)
                .map(StepView::of)
                .toList());
    }

    /** Lists from what was built. */
    @PostMapping("/commission")
    CommissionView commission(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody CommissionRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        String letter = Asked.text(request.option(), "option");
        return work.now(
                page,
                "commission",
                () -> new CommissionView(
                        FillSheet.of(build, letter).stream()
                                .map(l -> new LoopStepsView(l.core(), StepView.of(l.steps())))
                                .toList(),
                        StepView.of(StartSheet.of(build, letter)),
                        StepView.of(JointSheet.of(build, letter))));
    }

    /** @param test its number in the document, from 0 */
    record LeakTestRequest(JsonNode document, @Nullable Integer test) {}

    /** @param hammer_m from which one of 1 kg would have to fall */
    record LeakPlanView(
            double volume_L,
            double test_kPa,
            double limit_kPa,
            double energy_J,
            double hammer_m,
            List<StepView> steps) {}

    /** How a leak test of the document is made, and what its readings come to. */
    @PostMapping("/leak-test")
    LeakPlanView leakTest(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody LeakTestRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        List<LeakRecord> tests = build.proofs().leakTests();
        int test = (int) Asked.number(request.test() == null ? null : Double.valueOf(request.test()), "test");
        if (test < 0 || test >= tests.size()) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "/test",
                    "leak test",
                    String.valueOf(test),
                    tests.isEmpty() ? "one that is in the document" : "0 to " + (tests.size() - 1),
                    "");
        }
        return work.now(page, "leak test", () -> {
            LeakPlan plan = LeakPlan.of(build, tests.get(test));
            return new LeakPlanView(
                    1000 * plan.volume(),
                    plan.test() / 1000,
                    plan.limit() / 1000,
                    plan.energy(),
                    plan.hammer(),
                    StepView.of(plan.steps()));
        });
    }

    /** Readings of a leak test from a file: clock, gauge, and a temperature if there is one. */
    @PostMapping(path = "/leak-readings", consumes = "text/csv")
    LeakReadingsView leakReadings(HttpServletRequest body) throws IOException {
        return LeakReadingsView.of(LeakCsv.read(body.getInputStream()));
    }

    /** @param table rows of cells, the first its head; null for none */
    record SheetSectionRequest(
            @Nullable String heading,
            boolean ticked,
            @Nullable List<String> lines,
            @Nullable List<List<String>> table) {}

    record SheetRequest(
            String title, @Nullable String under, @Nullable List<SheetSectionRequest> sections, boolean signed) {}

    /** A list on paper, in the words and units it has on the screen. */
    @PostMapping(path = "/sheet", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> sheet(@RequestBody SheetRequest request) {
        String title = shortEnough(Asked.text(request.title(), "title"));
        List<SheetSectionRequest> sections = orNone(request.sections());
        long lines = sections.stream()
                .mapToLong(
                        s -> orNone(s.lines()).size() + (long) orNone(s.table()).size())
                .sum();
        if (sections.size() > MOST_SECTIONS || lines > SheetPdf.MOST_LINES) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "/sections",
                    "sheet",
                    "%d sections, %d lines".formatted(sections.size(), lines),
                    "at most %d and %d".formatted(MOST_SECTIONS, SheetPdf.MOST_LINES),
                    "");
        }
        byte[] pdf = SheetPdf.of(new SheetPdf.Sheet(
                title,
                shortEnough(request.under() == null ? "" : request.under()),
                sections.stream().map(CommissionController::section).toList(),
                request.signed()));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("sheet.pdf")
                                .build()
                                .toString())
                .body(pdf);
    }

    private static SheetPdf.Section section(SheetSectionRequest s) {
        return new SheetPdf.Section(
                shortEnough(s.heading() == null ? "" : s.heading()),
                s.ticked(),
                orNone(s.lines()).stream()
                        .map(CommissionController::shortEnough)
                        .toList(),
                orNone(s.table()).stream()
                        .map(row -> orNone(row).stream()
                                .map(CommissionController::shortEnough)
                                .toList())
                        .toList());
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }

    private static String shortEnough(@Nullable String text) {
        String words = text == null ? "" : text;
        if (words.length() > LONGEST) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "/sections",
                    "line of a sheet",
                    words.length() + " characters",
                    "at most " + LONGEST,
                    "");
        }
        return words;
    }
}
