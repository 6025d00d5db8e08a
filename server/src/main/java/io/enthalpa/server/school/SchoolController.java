package io.enthalpa.server.school;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.school.TraceCase;
import io.enthalpa.core.school.TraceCase.Grade;
import io.enthalpa.core.school.TraceCase.Level;
import io.enthalpa.core.school.TraceCase.Worth;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.FaultFindings;
import io.enthalpa.core.telemetry.FaultSearch.Found;
import io.enthalpa.core.telemetry.LogFinding;
import io.enthalpa.core.telemetry.LogSeries;
import io.enthalpa.core.telemetry.Suspect;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.builds.DemoFiles;
import io.enthalpa.server.logs.LogView.LogFindingView;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.work.Work;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The trace school: a case with a hidden fault, an answer to it, and the record of one's answers. A case follows from its level and seed. */
@RestController
@RequestMapping("/api/school")
class SchoolController {
    private static final long MOST = 1_000_000;
    private static final int POINTS = 400;
    private static final String NOTHING = "NOTHING";

    private final AnswerStore answers;
    private final Work work;
    private @Nullable List<Build> cars;

    SchoolController(AnswerStore answers, Work work) {
        this.answers = answers;
        this.work = work;
    }

    /** Read when somebody first asks: a start of the program need not wait for them. */
    private synchronized List<Build> cars() {
        List<Build> known = cars;
        if (known == null) {
            known = DemoFiles.all().stream().map(BuildFile::read).toList();
            cars = known;
        }
        return known;
    }

    /** @param seed of a case to see again; null for a new one */
    record CaseRequest(Level level, @Nullable Long seed) {}

    /** What a channel showed, in its usual unit; null where it showed nothing. */
    record CaseCurveView(
            Channel channel,
            String words,
            String unit,
            List<@Nullable Double> shown,
            @Nullable List<@Nullable Double> healthy) {}

    /** Something that it could be, with the first test that would find it. */
    record OfferedView(Suspect suspect, String words, LogFindingView test) {}

    /** Simulated throughout. */
    record CaseView(
            Level level,
            long seed,
            String car,
            String option,
            double target_C,
            double timing_C,
            List<Double> time_s,
            List<CaseCurveView> curves,
            List<OfferedView> offered) {}

    @PostMapping("/cases")
    CaseView next(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody CaseRequest request) {
        Level level = level(request.level());
        long seed = request.seed() == null ? ThreadLocalRandom.current().nextLong(1, MOST) : request.seed();
        return work.now(page, "case", () -> view(level, seed));
    }

    private static Level level(@Nullable Level level) {
        if (level == null) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED, "/level", "level", "missing", "one of " + Arrays.toString(Level.values()), "");
        }
        return level;
    }

    private CaseView view(Level level, long seed) {
        TraceCase one = TraceCase.of(cars(), level, seed);
        LogSeries log = one.log();
        int n = Math.min(POINTS, log.length());
        List<Double> time = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            time.add(round(log.time()[at(i, n, log.length())]));
        }
        return new CaseView(
                level,
                seed,
                one.build().name(),
                one.build().option(one.letter()).name(),
                one.build().targets().intake() - 273.15,
                one.build().targets().timingPull() - 273.15,
                time,
                log.channels().stream()
                        .map(c -> new CaseCurveView(
                                c,
                                c.words(),
                                c.usualUnit().symbol(),
                                curve(c, log, n),
                                c.isTemperature() && c != Channel.OUTSIDE
                                        ? one.healthy().map(h -> curve(c, h, n)).orElse(null)
                                        : null))
                        .toList(),
                one.offered().stream()
                        .map(s -> new OfferedView(
                                s,
                                s.words(),
                                LogFindingView.of(new LogFinding(FaultFindings.test(s), "", "", List.of()))))
                        .toList());
    }

    private static int at(int i, int n, int of) {
        return (int) ((long) i * (of - 1) / Math.max(n - 1, 1));
    }

    private static List<@Nullable Double> curve(Channel channel, LogSeries log, int n) {
        double[] values = log.of(channel);
        List<@Nullable Double> curve = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double value = values[at(i, n, values.length)];
            curve.add(
                    Double.isNaN(value)
                            ? null
                            : Double.valueOf(round(channel.usualUnit().fromSi(value))));
        }
        return curve;
    }

    private static double round(double value) {
        return Math.round(value * 100) / 100.0;
    }

    /** @param cause null where the car is held for healthy @param test null where there is nothing to test */
    record SchoolAnswerRequest(
            Level level,
            @Nullable Long seed,
            @Nullable Suspect cause,
            @Nullable Suspect test) {}

    /**
     * @param hidden    null where nothing was wrong
     * @param lines     what it was, what speaks for it and against it, the first test
     * @param likeliest what the log itself puts first; null where it needs no fault
     */
    record GradeView(
            Worth cause,
            boolean test,
            @Nullable Suspect hidden,
            double hiddenOdds_pct,
            @Nullable Suspect likeliest,
            double likeliestOdds_pct,
            List<LogFindingView> lines) {}

    @PostMapping("/answers")
    GradeView answer(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody SchoolAnswerRequest request) {
        Level level = level(request.level());
        long seed = (long) Asked.number(request.seed() == null ? null : Double.valueOf(request.seed()), "seed");
        GradeView grade = work.now(page, "grade", () -> {
            TraceCase one = TraceCase.of(cars(), level, seed);
            return view(one, one.grade(Optional.ofNullable(request.cause()), Optional.ofNullable(request.test())));
        });
        answers.keep(new AnswerStore.Given(
                level,
                seed,
                grade.hidden() == null ? NOTHING : grade.hidden().name(),
                request.cause() == null ? NOTHING : request.cause().name(),
                grade.cause(),
                grade.test(),
                Instant.now()));
        return grade;
    }

    private static GradeView view(TraceCase one, Grade grade) {
        List<Found> found = grade.ranking().found();
        int at = one.hidden()
                .map(h -> found.stream().map(Found::suspect).toList().indexOf(h))
                .orElse(found.size());
        Optional<Found> likeliest = grade.ranking().named().stream().findFirst();
        return new GradeView(
                grade.cause(),
                grade.test(),
                one.hidden().orElse(null),
                100 * grade.ranking().odds()[at],
                likeliest.map(Found::suspect).orElse(null),
                100
                        * likeliest
                                .map(f -> grade.ranking().odds()[0])
                                .orElse(grade.ranking().nothing()),
                one
                        .hidden()
                        .map(h ->
                                FaultFindings.one(found.get(at), grade.ranking().odds()[at]))
                        .orElseGet(List::of)
                        .stream()
                        .map(LogFindingView::of)
                        .toList());
    }

    /** @param hidden and {@code named}: suspects, or NOTHING */
    record GivenView(Level level, long seed, String hidden, String named, Worth worth, boolean tested, Instant at) {}

    /** Of a level; half points for what the log could not tell. */
    record ScoreView(Level level, int cases, double points, int tests) {}

    record SchoolRecordView(List<ScoreView> scores, List<GivenView> latest) {}

    @GetMapping("/record")
    SchoolRecordView record() {
        List<AnswerStore.Given> all = answers.all();
        return new SchoolRecordView(
                Arrays.stream(Level.values())
                        .map(level -> score(
                                level,
                                all.stream().filter(a -> a.level() == level).toList()))
                        .toList(),
                all.stream()
                        .limit(12)
                        .map(a -> new GivenView(
                                a.level(), a.seed(), a.hidden(), a.named(), a.worth(), a.tested(), a.at()))
                        .toList());
    }

    private static ScoreView score(Level level, List<AnswerStore.Given> all) {
        return new ScoreView(
                level,
                all.size(),
                all.stream()
                        .mapToDouble(a -> a.worth() == Worth.RIGHT ? 1 : a.worth() == Worth.AS_GOOD ? 0.5 : 0)
                        .sum(),
                (int) all.stream().filter(AnswerStore.Given::tested).count());
    }

    @DeleteMapping("/record")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void clear() {
        answers.clear();
    }
}
