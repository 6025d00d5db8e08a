package io.enthalpa.server.answers;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Mirrored;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.fit.Relaid;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.trial.PairsTold;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.document.OptionEdits;
import io.enthalpa.formats.document.Pointers;
import io.enthalpa.formats.document.TurnsDocument;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.work.Work;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What can be asked of the pipes of an option: what they have to spare, how they are joined, how they lie when they are cut otherwise. Stateless. */
@RestController
@RequestMapping("/api/preview")
class PipesController {
    private final Work work;
    private final KnownAnswers known;

    PipesController(Work work, KnownAnswers known) {
        this.work = work;
        this.known = known;
    }

    /** @param of name of the pipe */
    /** @param loop name of the core on whose water the hose is; none of a pipe */
    record RibbonRequest(
            JsonNode document,
            String option,
            String of,
            @Nullable String loop) {}

    /** What a laid pipe has to spare along it; empty where it is not laid. */
    @PostMapping("/ribbon")
    RibbonView ribbon(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody RibbonRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        String option = Asked.text(request.option(), "option");
        String of = Asked.text(request.of(), "of");
        return work.now(
                page,
                "ribbon",
                () -> RibbonView.of(
                        build.option(option),
                        FitController.roomOf(build),
                        new RunName(of, Optional.ofNullable(request.loop()))));
    }

    record JointsRequest(JsonNode document, String option) {}

    /**
     * Where its pipes are joined, how they are held, and what each school takes; without a room what does not hang on it; none where full load has no answer, which the
     * preview gives the reason for.
     */
    @PostMapping("/joints")
    JointsView joints(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody JointsRequest request) {
        return now(page, "joints", request, JointsView.class, JointsView::ifThere);
    }

    /** Of a whole option, kept while its document is. */
    private <T> T now(
            @Nullable String page,
            String kind,
            JointsRequest request,
            Class<T> answer,
            BiFunction<Build, String, T> ask) {
        JsonNode document = Asked.document(request.document());
        String option = Asked.text(request.option(), "option");
        return work.now(
                page,
                kind,
                () -> known.about(document)
                        .or(kind + " " + option, answer, () -> ask.apply(BuildFile.read(document), option)));
    }

    /** @param of name of a pipe in a leg of a pair */
    record MirroredRequest(JsonNode document, String option, String of) {}

    /** Within the option. */
    record MirroredAnswer(List<EditView> edits) {}

    /** What makes the pipe of the other leg the mirror of this one. */
    @PostMapping("/mirrored")
    MirroredAnswer mirrored(@RequestBody MirroredRequest request) {
        BuildOption option =
                BuildFile.read(Asked.document(request.document())).option(Asked.text(request.option(), "option"));
        String of = Asked.text(request.of(), "of");
        return Mirrored.of(option, of)
                .map(then -> new MirroredAnswer(EditView.of(OptionEdits.between(option, then))))
                .orElseThrow(() -> FitController.refused("/of", "of", of, "a pipe with one like it in the other leg"));
    }

    /** @param place "/path/3" */
    record PairView(String place, List<FitView.FitFindingView> says) {}

    record PairsAnswer(List<PairView> pairs) {}

    /** What two ways side by side have of area and lose, and how alike two banks are filled; none where full load has no answer. */
    @PostMapping("/pairs")
    PairsAnswer pairs(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody JointsRequest request) {
        return now(page, "pairs", request, PairsAnswer.class, PipesController::told);
    }

    private static PairsAnswer told(Build build, String option) {
        return new PairsAnswer(PairsTold.of(build, option).stream()
                .map(p -> new PairView(
                        Pointers.of(p.pair()),
                        p.says().stream().map(FitView.FitFindingView::of).toList()))
                .toList());
    }

    /** @param of name of a laid pipe @param turns how it shall be cut and put together */
    record TurnedRequest(
            JsonNode document,
            String option,
            String of,
            @Nullable String loop,
            JsonNode turns) {}

    /** Its corners then, and its end where that is typed: back, right, up. */
    record TurnedAnswer(
            List<PipeWaysView.CornerView> corners, @Nullable List<Double> to_mm) {}

    @PostMapping("/turned")
    TurnedAnswer turned(@RequestBody TurnedRequest request) {
        BuildOption option =
                BuildFile.read(Asked.document(request.document())).option(Asked.text(request.option(), "option"));
        String of = Asked.text(request.of(), "of");
        TurnsDocument turns = TurnsDocument.read(request.turns());
        Pipework pipes = Pipework.of(option, Bodies.of(option));
        Run run = pipes.laid(new RunName(of, Optional.ofNullable(request.loop())))
                .map(l -> Relaid.turned(pipes, l, turns.steps(), turns.last()))
                .orElseThrow(() -> FitController.refused("/of", "of", of, "the name of a laid pipe"));
        return new TurnedAnswer(
                run.corners().stream().map(PipeWaysView.CornerView::of).toList(),
                run.to().map(FitView::point).orElse(null));
    }
}
