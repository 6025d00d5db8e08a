package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.CompressorMapCsv;
import io.enthalpa.formats.TraceFile;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.problem.FaultView;
import io.enthalpa.server.problem.NotThereException;
import io.enthalpa.server.work.Work;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Answers for a document that need not be saved: the screen asks after every edit. Stateless. */
@RestController
@RequestMapping("/api/preview")
class AnswersController {
    private final Work work;
    private final KnownAnswers known;

    AnswersController(Work work, KnownAnswers known) {
        this.work = work;
        this.known = known;
    }

    /**
     * @param document a whole build file
     * @param options  letters to answer for; null for all
     * @param part     which part of the answer; null for all
     */
    record PreviewRequest(
            JsonNode document,
            @Nullable List<String> options,
            @Nullable Part part) {}

    /**
     * The charge line takes a millisecond, the duty some tens: the screen asks for one after the other, and ahead of both for the fit alone
     * where the reader looks at the room; the fit without the obstacles where those are drawn already. A line brings the fit with it.
     */
    enum Part {
        BODIES,
        FIT,
        LINE,
        DUTY
    }

    /** An option's answers, fit beside its line, or why there are none. */
    record OptionAnswer(
            String option,
            @Nullable SteadyView steady,
            @Nullable SoakView soak,
            @Nullable FitView fit,
            @Nullable FaultView fault) {}

    record PreviewAnswer(List<OptionAnswer> answers) {}

    /** @param option the letter to advise on */
    record ChangesRequest(JsonNode document, String option) {}

    record ChangesAnswer(List<ChangeView> changes) {}

    /** 422 when the document itself cannot be read; a single option that has no answer says so in its place. */
    @PostMapping
    PreviewAnswer preview(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody PreviewRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        List<String> letters = request.options() == null
                ? build.options().stream().map(BuildOption::letter).toList()
                : request.options();
        if (letters.stream().anyMatch(Objects::isNull)) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED,
                    "/options",
                    "options",
                    "an empty letter",
                    "letters of options of the document",
                    "");
        }
        // What is moved about in a room that nothing is taken from changes nothing of a run.
        boolean bare = request.part() == Part.DUTY && build.options().stream().noneMatch(BuildOption::takesFromRoom);
        JsonNode counts = bare ? withoutRoom(request.document()) : request.document();
        KnownAnswers.About about = known.about(counts);
        Part part = request.part();
        if (part == Part.BODIES || part == Part.FIT) {
            return new PreviewAnswer(letters.stream()
                    .map(letter -> fitAlone(about, build, letter, part == Part.BODIES))
                    .toList());
        }
        Supplier<PreviewAnswer> answers = () -> new PreviewAnswer(letters.stream()
                .map(letter -> about.or(
                        "%s of %s".formatted(part, letter),
                        OptionAnswer.class,
                        () -> answer(about, build, letter, part)))
                .toList());
        return part == Part.LINE ? answers.get() : work.now(page, "preview", answers::get);
    }

    /** @return the same document, shallow, without the room and what stands in it */
    private static JsonNode withoutRoom(JsonNode document) {
        ObjectNode bare = JsonNodeFactory.instance.objectNode();
        bare.setAll((ObjectNode) document);
        bare.remove("room");
        ArrayNode options = bare.putArray("options");
        for (JsonNode option : document.path("options")) {
            ObjectNode other = JsonNodeFactory.instance.objectNode();
            other.setAll((ObjectNode) option);
            other.remove("stands");
            options.add(other);
        }
        return bare;
    }

    private static OptionAnswer answer(KnownAnswers.About about, Build build, String letter, @Nullable Part part) {
        // Whether it fits does not hang on whether the air comes through.
        FitView fit = null;
        try {
            fit = part == Part.DUTY ? null : fit(about, build, letter);
            return new OptionAnswer(
                    letter,
                    part == Part.DUTY ? null : Answers.steady(build, letter),
                    part == Part.LINE ? null : Answers.soak(build, letter),
                    fit,
                    null);
        } catch (EnthalpaFault fault) {
            return new OptionAnswer(letter, null, null, fit, FaultView.of(fault));
        }
    }

    private static OptionAnswer fitAlone(KnownAnswers.About about, Build build, String letter, boolean bodies) {
        try {
            FitView fit = fit(about, build, letter);
            return new OptionAnswer(letter, null, null, fit != null && bodies ? fit.withoutObstacles() : fit, null);
        } catch (EnthalpaFault fault) {
            return new OptionAnswer(letter, null, null, null, FaultView.of(fault));
        }
    }

    /** Asked for ahead of the line, it is there when the line is asked for. */
    private static @Nullable FitView fit(KnownAnswers.About about, Build build, String letter) {
        return build.room().isEmpty()
                ? null
                : about.or("room with " + letter, FitView.class, () -> Answers.fit(build, letter));
    }

    /** @param place pointer of the core within the option */
    record CoreStepsRequest(JsonNode document, String option, String place) {}

    record CoreStepsAnswer(List<CoreStepView> steps) {}

    @PostMapping("/core-steps")
    CoreStepsAnswer coreSteps(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody CoreStepsRequest request) {
        String option = Asked.text(request.option(), "option");
        String place = Asked.text(request.place(), "place");
        return found(
                page,
                "coreSteps",
                request.document(),
                option + place,
                CoreStepsAnswer.class,
                build -> new CoreStepsAnswer(CoreStepView.of(build, option, place)));
    }

    @PostMapping("/water-changes")
    WaterChangesAnswer waterChanges(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody CoreStepsRequest request) {
        String option = Asked.text(request.option(), "option");
        String place = Asked.text(request.place(), "place");
        return found(
                page,
                "waterChanges",
                request.document(),
                option + place,
                WaterChangesAnswer.class,
                build -> new WaterChangesAnswer(WaterChangeView.of(build, option, place)));
    }

    record WaterChangesAnswer(List<WaterChangeView> changes) {}

    /** @param way index of the way of the air within the option */
    record StackOrdersRequest(JsonNode document, String option, int way) {}

    record StackOrdersAnswer(List<OrderView> orders) {}

    @PostMapping("/stack-orders")
    StackOrdersAnswer stackOrders(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody StackOrdersRequest request) {
        String option = Asked.text(request.option(), "option");
        return found(
                page,
                "stackOrders",
                request.document(),
                option + "/" + request.way(),
                StackOrdersAnswer.class,
                build -> new StackOrdersAnswer(OrderView.of(build, option, request.way())));
    }

    /** Every step and column of a run, to save; how is csv or json. */
    @PostMapping("/trace/{how}")
    ResponseEntity<byte[]> trace(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @PathVariable String how,
            @RequestBody ChangesRequest request) {
        Answer answer =
                new Answer(BuildFile.read(Asked.document(request.document())), Asked.text(request.option(), "option"));
        boolean json = how.equals("json");
        if (!json && !how.equals("csv")) {
            throw new NotThereException("a trace as " + how + "; csv and json are there");
        }
        String text = work.now(page, "trace", () -> {
            Trace trace = answer.soak();
            return json ? TraceFile.json(trace) : TraceFile.csv(trace);
        });
        return ResponseEntity.ok()
                .contentType(json ? MediaType.APPLICATION_JSON : new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * @param from_s where the stretch begins
     * @param to_s   where it ends, after that
     */
    record StretchRequest(JsonNode document, String option, double from_s, double to_s) {}

    /** A stretch of a run, closer than the answer tells the whole of it. */
    @PostMapping("/stretch")
    SoakView.TraceView stretch(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody StretchRequest request) {
        if (!(request.from_s() >= 0 && request.to_s() > request.from_s())) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "/to_s",
                    "stretch of the run",
                    "%.2f to %.2f s".formatted(request.from_s(), request.to_s()),
                    "from 0 s or later to a later time",
                    "");
        }
        Answer answer =
                new Answer(BuildFile.read(Asked.document(request.document())), Asked.text(request.option(), "option"));
        return work.now(page, "stretch of " + request.option(), () -> {
            Trace trace = answer.soak();
            return SoakView.TraceView.of(trace, Thinned.of(trace, request.from_s(), request.to_s()));
        });
    }

    /** A compressor map as CSV text; 422 naming column, line or point when it does not make one. */
    record MapRequest(String csv) {}

    record MapAnswer(JsonNode map) {}

    @PostMapping("/map")
    MapAnswer map(@RequestBody MapRequest request) {
        return new MapAnswer(CompressorMapCsv.tree(Asked.text(request.csv(), "csv")));
    }

    @PostMapping("/changes")
    ChangesAnswer changes(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody ChangesRequest request) {
        String option = Asked.text(request.option(), "option");
        return found(
                page,
                "changes",
                request.document(),
                option,
                ChangesAnswer.class,
                build -> new ChangesAnswer(ChangeView.of(build, option)));
    }

    /** What is found out about a document, once. @param of what of it the question is about */
    private <T> T found(
            @Nullable String page, String kind, JsonNode document, String of, Class<T> type, Function<Build, T> find) {
        JsonNode asked = Asked.document(document);
        return work.now(
                page,
                kind,
                () -> known.about(asked).or(kind + " " + of, type, () -> find.apply(BuildFile.read(asked))));
    }
}
