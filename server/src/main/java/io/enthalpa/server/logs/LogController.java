package io.enthalpa.server.logs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.telemetry.BeforeAfter;
import io.enthalpa.core.telemetry.Beside;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogFinding;
import io.enthalpa.core.telemetry.Marks;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.LogHead;
import io.enthalpa.formats.LogText;
import io.enthalpa.server.answers.DocumentDigest;
import io.enthalpa.server.logs.LogBesideView.Answered;
import io.enthalpa.server.logs.LogBesideView.LogCurvesView;
import io.enthalpa.server.logs.LogStore.Kept;
import io.enthalpa.server.logs.LogView.LogCardView;
import io.enthalpa.server.logs.LogView.LogFindingView;
import io.enthalpa.server.logs.LogView.LogStartView;
import io.enthalpa.server.logs.LogView.Told;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.work.Work;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Logs of drives: taken in from any CSV, kept with their build, laid beside what an option predicts for the same drive. 422 names line and column of what cannot be. */
@RestController
@RequestMapping("/api/logs")
class LogController {
    /** Columns of pixels: those of a screen, and of the long waits that it draws short. */
    private static final int MOST_COLUMNS = 12_000;

    private static final int AT_HAND = 6;

    private final LogService logs;
    private final Work work;
    private final JsonMapper json;
    private final Cache<String, Answered> answers =
            Caffeine.newBuilder().maximumSize(AT_HAND).build();

    LogController(LogService logs, Work work, JsonMapper json) {
        this.logs = logs;
        this.work = work;
        this.json = json;
    }

    /** The body is the beginning of a file, some ten thousand bytes. */
    @PostMapping(path = "/start", consumes = "application/octet-stream")
    LogStartView start(@RequestBody byte[] beginning) {
        LogHead head = LogHead.of(LogText.start(beginning));
        LogHead.Guess guess = head.guess(EnumSet.allOf(Channel.class));
        Optional<Map<Channel, LogHead.Column>> remembered = logs.remembered(head);
        List<LogFinding> notes = remembered.isPresent() ? List.of() : guess.notes();
        return LogStartView.of(head, remembered.orElse(guess.columns()), notes, remembered.isPresent());
    }

    /**
     * The body is the log itself, read as it comes; when the answer comes, it is on the disk.
     *
     * @param build   it belongs to
     * @param uid     its own identity, so that one sent twice is kept once
     * @param columns as "TIME:0:s,INTAKE:3:°C"; empty to take them by their headings
     */
    @PostMapping(consumes = "text/csv")
    @ResponseStatus(HttpStatus.CREATED)
    LogCardView take(
            HttpServletRequest body,
            @RequestParam long build,
            @RequestParam UUID uid,
            @RequestParam String name,
            @RequestParam(defaultValue = "") String columns)
            throws IOException {
        InputStream file = body.getInputStream();
        try {
            return card(logs.take(build, uid, name, columns, new Open(file)));
        } finally {
            // Who still sends would not hear the answer.
            file.skip(Long.MAX_VALUE);
        }
    }

    /** Stays open when its reader is done: what still comes must be taken in. */
    private static final class Open extends FilterInputStream {
        Open(InputStream file) {
            super(file);
        }

        @Override
        public void close() {
            // The request closes it.
        }
    }

    @GetMapping
    List<LogCardView> all(@RequestParam long build) {
        return logs.logs(build).stream().map(this::card).toList();
    }

    /** Every row of a log as a logger would have written it. */
    @GetMapping(value = "/{id}/rows.csv", produces = "text/csv")
    void rows(@PathVariable long id, HttpServletResponse answer) throws IOException {
        Kept log = logs.kept(id);
        answer.setContentType("text/csv;charset=UTF-8");
        answer.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(log.name() + ".csv", StandardCharsets.UTF_8)
                        .build()
                        .toString());
        logs.write(log, answer.getWriter());
    }

    /** @param name new one */
    record LogNameRequest(String name) {}

    @PutMapping("/{id}/name")
    LogCardView rename(@PathVariable long id, @RequestBody LogNameRequest request) {
        return card(logs.rename(id, Asked.text(request.name(), "name")));
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable long id) {
        logs.delete(id);
    }

    private LogCardView card(Kept kept) {
        return LogCardView.of(kept, json.readValue(kept.told(), Told.class), marks(kept));
    }

    private MarksView marks(Kept kept) {
        return kept.marks().isEmpty() ? MarksView.NONE : json.readValue(kept.marks(), MarksView.class);
    }

    /** Borders between parts that were moved, and where the start line is; kept with the log. */
    @PutMapping("/{id}/marks")
    LogCardView mark(@PathVariable long id, @RequestBody MarksView marks) {
        return card(logs.mark(id, marks.core().isEmpty() ? "" : json.writeValueAsString(marks)));
    }

    /** @param option the letter to predict with */
    record BesideRequest(JsonNode document, String option) {}

    @PostMapping("/{id}/beside")
    LogBesideView beside(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @PathVariable long id,
            @RequestBody BesideRequest request) {
        Kept log = logs.kept(id);
        return work.now(page, "log", () -> {
            Answered answered = answered(log, request.document(), request.option());
            Marks marks = marks(log).core();
            return marks.isEmpty()
                    ? answered.view()
                    : answered.view()
                            .marked(
                                    logs.steps(log),
                                    BuildFile.read(Asked.document(request.document())),
                                    Asked.text(request.option(), "option"),
                                    marks);
        });
    }

    private Answered answered(Kept log, @Nullable JsonNode document, @Nullable String option) {
        JsonNode asked = Asked.document(document);
        String letter = Asked.text(option, "option");
        // With the whole run behind it an answer takes megabytes: only those that are looked at now are at hand.
        return answers.get(
                "%s of %s beside %s".formatted(letter, DocumentDigest.of(asked), log.uid()),
                key -> LogBesideView.of(logs.steps(log), BuildFile.read(asked), letter));
    }

    /** @param before the log of the car as it was */
    record LogChangeRequest(
            JsonNode document, String option, @Nullable Long before) {}

    /** What lies between two logs of a build, weather and boost taken out; temperatures K, {@code looked} as measured. */
    record LogChangeView(double gain_K, double sd_K, double looked_K, List<LogFindingView> findings) {}

    /** This log is the one after the change. */
    @PostMapping("/{id}/change")
    LogChangeView change(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @PathVariable long id,
            @RequestBody LogChangeRequest request) {
        Kept after = logs.kept(id);
        Kept before = logs.kept(
                (long) Asked.number(request.before() == null ? null : Double.valueOf(request.before()), "before"));
        return work.now(page, "change", () -> {
            BeforeAfter change = BeforeAfter.of(
                    predicted(before, request.document(), request.option()),
                    predicted(after, request.document(), request.option()));
            return new LogChangeView(
                    change.gain(),
                    change.sd(),
                    change.looked(),
                    change.findings().stream().map(LogFindingView::of).toList());
        });
    }

    private Beside predicted(Kept log, @Nullable JsonNode document, @Nullable String option) {
        Answered answered = answered(log, document, option);
        return answered.beside().orElseThrow(() -> answered.fault().orElseThrow());
    }

    /**
     * @param document null to see only what was measured
     * @param from_s   of the stretch
     * @param columns  parts it is told in
     * @param channels that are asked for; null for all
     */
    record CurvesRequest(
            @Nullable JsonNode document,
            @Nullable String option,
            @Nullable Double from_s,
            @Nullable Double to_s,
            @Nullable Integer columns,
            @Nullable List<Channel> channels) {}

    @PostMapping("/{id}/curves")
    LogCurvesView curves(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @PathVariable long id,
            @RequestBody CurvesRequest request) {
        Kept log = logs.kept(id);
        double from = Asked.number(request.from_s(), "from_s");
        double to = Asked.number(request.to_s(), "to_s");
        if (to <= from) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "to_s",
                    "end of the stretch",
                    "%.3f s".formatted(to),
                    "after its beginning, %.3f s".formatted(from),
                    "");
        }
        int columns = (int)
                EnthalpaFault.within("columns", request.columns() == null ? 0 : request.columns(), 1, MOST_COLUMNS, "");
        return work.now(page, "curves of a log", () -> {
            Optional<Answered> answered = request.document() == null
                    ? Optional.empty()
                    : Optional.of(answered(log, request.document(), request.option()));
            return LogCurvesView.of(
                    logs.peaks(log, channels(log, request.channels()), from, to, columns),
                    answered.flatMap(Answered::beside),
                    request.channels(),
                    from,
                    to,
                    columns);
        });
    }

    private List<Channel> channels(Kept log, @Nullable List<Channel> asked) {
        List<Channel> channels = new ArrayList<>(logs.steps(log).channels());
        channels.removeIf(channel -> asked != null && !asked.contains(channel));
        return channels;
    }
}
