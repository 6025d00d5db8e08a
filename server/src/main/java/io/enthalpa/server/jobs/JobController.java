package io.enthalpa.server.jobs;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.OptionMonteCarlo;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.router.Taste;
import io.enthalpa.core.sizing.CoolingMethod;
import io.enthalpa.core.sizing.MethodSizing;
import io.enthalpa.core.telemetry.FaultSearch;
import io.enthalpa.core.telemetry.LogBand;
import io.enthalpa.core.telemetry.LogFit;
import io.enthalpa.core.telemetry.MeasuredDuty;
import io.enthalpa.core.telemetry.MeasuredRun;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.answers.PipeWaysView;
import io.enthalpa.server.logs.LogService;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.problem.FaultView;
import io.enthalpa.server.work.Work;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.atomic.AtomicReferenceArray;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.JsonNode;

/**
 * Computations that take seconds: begun here, watched by their events or by asking, cancelled at any time. 422 when the document
 * cannot be read, 404 for a job that is not known any more.
 */
@RestController
@RequestMapping("/api/jobs")
class JobController {
    private static final long SEED = 20_260_101;
    private static final long EVERY_MS = 200;
    private static final long LONGEST_WATCH_MS = 10 * 60_000;
    private final Jobs jobs;
    private final LogService logs;
    /** Watched ones, to be ended when the program ends: an open stream would hold it up. */
    private final Set<SseEmitter> open = ConcurrentHashMap.newKeySet();

    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "job-events");
        thread.setDaemon(true);
        return thread;
    });

    JobController(Jobs jobs, LogService logs) {
        this.jobs = jobs;
        this.logs = logs;
    }

    /**
     * @param option the letter asked about
     * @param every  also methods that say nothing new for the option; null for not
     */
    record JobRequest(
            JsonNode document, String option, @Nullable Boolean every) {}

    /** {@code spread}, {@code methods}, {@code routes}, {@code fit}, {@code faults} or {@code band}: what has come of it so far. */
    record JobView(
            String id,
            Job.State state,
            int done,
            int of,
            @Nullable FaultView fault,
            @Nullable SpreadView spread,
            @Nullable List<ComparedView> methods,
            @Nullable PipeWaysView routes,
            @Nullable LogFitView fit,
            @Nullable FaultsView faults,
            @Nullable LogBandView band) {}

    /**
     * @param of    name of the pipe
     * @param taste what is liked best of a way
     */
    /** @param loop name of the core on whose water the hose is; none of a pipe */
    record RoutesRequest(
            JsonNode document,
            String option,
            String of,
            @Nullable String loop,
            Taste taste) {}

    /** Ways that a pipe can take: {@link io.enthalpa.core.router.Router}. */
    @PostMapping("/routes")
    @ResponseStatus(HttpStatus.ACCEPTED)
    JobView routes(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody RoutesRequest request) {
        AtomicReference<@Nullable Job> begun = new AtomicReference<>();
        RouteSearch search = new RouteSearch(
                BuildFile.read(Asked.document(request.document())),
                Asked.text(request.option(), "option"),
                new RunName(Asked.text(request.of(), "of"), Optional.ofNullable(request.loop())),
                request.taste(),
                () -> {
                    Job job = begun.get();
                    return job != null && job.state() == Job.State.CANCELLED;
                });
        Job job = jobs.start(page, "routes", search.parts(), search::run, search::view);
        begun.set(job);
        return view(job, false);
    }

    /** @param log that the option is fitted to */
    record FitRequest(
            JsonNode document, String option, @Nullable Long log) {}

    /** What is not known exactly of an option, fitted to a log of its build: {@link LogFit}. */
    @PostMapping("/fit")
    @ResponseStatus(HttpStatus.ACCEPTED)
    JobView fit(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page, @RequestBody FitRequest request) {
        Drive drive = drive(request);
        String name = logs.name(drive.log());
        AtomicReference<@Nullable Job> begun = new AtomicReference<>();
        LogFit fit = new LogFit(drive.driven(), drive.letter(), drive.run(), () -> {
            Job job = begun.get();
            return job != null && job.state() != Job.State.RUNNING;
        });
        Job job = jobs.start(
                page, "fit", fit.runs(), fit::run, () -> fit.result().map(r -> LogFitView.of(r, drive.letter(), name)));
        begun.set(job);
        return view(job, false);
    }

    /** @param driven the build, by the log */
    private record Drive(long log, String letter, MeasuredRun run, MeasuredDuty driven) {}

    private Drive drive(FitRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        String letter = Asked.text(request.option(), "option");
        long id = (long) Asked.number(request.log() == null ? null : Double.valueOf(request.log()), "log");
        MeasuredRun run = MeasuredRun.of(logs.steps(id), build, letter);
        return new Drive(id, letter, run, MeasuredDuty.of(build, run));
    }

    /** How far what is predicted for a log may be off: {@link LogBand}. */
    @PostMapping("/band")
    @ResponseStatus(HttpStatus.ACCEPTED)
    JobView band(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page, @RequestBody FitRequest request) {
        Drive drive = drive(request);
        LogBand band = new LogBand(drive.driven(), drive.letter(), drive.run());
        return view(
                jobs.start(
                        page, "band", band.runs(), band::run, () -> band.band().map(LogBandView::of)),
                false);
    }

    /** Which single fault explains a log best: {@link FaultSearch}. */
    @PostMapping("/faults")
    @ResponseStatus(HttpStatus.ACCEPTED)
    JobView faults(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page, @RequestBody FitRequest request) {
        Drive drive = drive(request);
        FaultSearch search = new FaultSearch(drive.driven(), drive.letter(), drive.run());
        return view(
                jobs.start(
                        page,
                        "faults",
                        search.parts(),
                        search::run,
                        () -> search.ranking().map(FaultsView::of)),
                false);
    }

    /** How far the option's answer can be off: {@link OptionMonteCarlo}. */
    @PostMapping("/spread")
    @ResponseStatus(HttpStatus.ACCEPTED)
    JobView spread(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page, @RequestBody JobRequest request) {
        OptionMonteCarlo spread = new OptionMonteCarlo(
                BuildFile.read(Asked.document(request.document())),
                Asked.text(request.option(), "option"),
                OptionMonteCarlo.USUAL_SAMPLES,
                SEED);
        return view(
                jobs.start(page, "spread", spread.samples(), spread::run, () -> SpreadView.of(spread.result())), false);
    }

    /** All options and every method of cooling on the same duty: {@link MethodSizing} from the option given. */
    @PostMapping("/methods")
    @ResponseStatus(HttpStatus.ACCEPTED)
    JobView methods(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page, @RequestBody JobRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        MethodSizing sizing = new MethodSizing(build, Asked.text(request.option(), "option"));
        List<BuildOption> options = build.options();
        List<CoolingMethod> methods = Arrays.stream(CoolingMethod.values())
                .filter(m -> Boolean.TRUE.equals(request.every()) || sizing.applies(m))
                .toList();
        AtomicReferenceArray<ComparedView> lines = new AtomicReferenceArray<>(options.size() + methods.size());
        return view(
                jobs.start(
                        page,
                        "methods",
                        lines.length(),
                        part -> {
                            try {
                                lines.set(
                                        part,
                                        part < options.size()
                                                ? ComparedView.of(new Answer(
                                                        build, options.get(part).letter()))
                                                : ComparedView.of(sizing.propose(methods.get(part - options.size()))));
                            } catch (EnthalpaFault noAnswer) {
                                // The line stays out; the others tell.
                            }
                        },
                        () -> java.util.stream.IntStream.range(0, lines.length())
                                .mapToObj(lines::get)
                                .filter(Objects::nonNull)
                                .toList()),
                false);
    }

    @GetMapping("/{id}")
    JobView job(@PathVariable String id) {
        return view(jobs.job(id), true);
    }

    /** Drops what has not begun. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void cancel(@PathVariable String id) {
        jobs.job(id).cancel();
    }

    /** Events named {@code progress} with the job's state, the last one with what came of it. */
    @GetMapping(path = "/{id}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(@PathVariable String id) {
        Job job = jobs.job(id);
        SseEmitter events = new SseEmitter(LONGEST_WATCH_MS);
        open.add(events);
        ScheduledFuture<?>[] ticking = new ScheduledFuture<?>[1];
        synchronized (ticking) {
            ticking[0] = watch.scheduleWithFixedDelay(
                    () -> {
                        synchronized (ticking) {
                            tell(job, events, ticking[0]);
                        }
                    },
                    0,
                    EVERY_MS,
                    TimeUnit.MILLISECONDS);
        }
        events.onCompletion(() -> {
            open.remove(events);
            ticking[0].cancel(false);
        });
        events.onError(gone -> ticking[0].cancel(false));
        events.onTimeout(events::complete);
        return events;
    }

    @EventListener(ContextClosedEvent.class)
    void end() {
        watch.shutdownNow();
        open.forEach(SseEmitter::complete);
    }

    private static void tell(Job job, SseEmitter events, ScheduledFuture<?> ticking) {
        try {
            boolean over = job.state() != Job.State.RUNNING;
            events.send(SseEmitter.event().name("progress").data(view(job, over), MediaType.APPLICATION_JSON));
            if (over) {
                ticking.cancel(false);
                events.complete();
            }
        } catch (IOException | IllegalStateException gone) {
            ticking.cancel(false);
        }
    }

    private static JobView view(Job job, boolean withResult) {
        Object result = withResult && job.state() != Job.State.REFUSED ? job.harvest() : null;
        return new JobView(
                job.id(),
                job.state(),
                job.done(),
                job.parts(),
                job.fault(),
                result instanceof SpreadView s ? s : null,
                result instanceof List<?> lines
                        ? lines.stream().map(ComparedView.class::cast).toList()
                        : null,
                result instanceof PipeWaysView routes ? routes : null,
                once(result, LogFitView.class),
                once(result, FaultsView.class),
                once(result, LogBandView.class));
    }

    /** @return what there is only once all parts are done */
    private static <T> @Nullable T once(@Nullable Object result, Class<T> kind) {
        return result instanceof Optional<?> there && kind.isInstance(there.orElse(null))
                ? kind.cast(there.get())
                : null;
    }
}
