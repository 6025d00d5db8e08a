package io.enthalpa.server.jobs;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.router.Taste;
import io.enthalpa.core.trial.PipeWays;
import io.enthalpa.server.answers.PipeWaysView;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;

/** Ways for a pipe, then, where there is none, one after the other what could open one. */
final class RouteSearch {
    private final RunName of;
    private final BuildOption now;
    private final PipeWays ways;
    private final CompletableFuture<PipeWays.Found> found = new CompletableFuture<>();
    private final AtomicReferenceArray<PipeWays.Tried> tried;

    RouteSearch(Build build, String option, RunName of, Taste taste, BooleanSupplier cancelled) {
        this.of = of;
        this.now = build.option(option);
        this.ways = new PipeWays(build, option, of, taste, cancelled);
        this.tried = new AtomicReferenceArray<>(ways.tries());
    }

    int parts() {
        return 1 + ways.tries();
    }

    /** The first part begins first, so that no other waits for one that waits itself. */
    void run(int part) {
        if (part == 0) {
            try {
                found.complete(ways.find());
            } catch (RuntimeException e) {
                found.completeExceptionally(e);
                throw e;
            }
        } else if (found.join().ways().isEmpty()) {
            tried.set(part - 1, ways.attempt(part - 1));
        }
    }

    /** @return what is known so far */
    PipeWaysView view() {
        PipeWays.Found sofar = found.getNow(new PipeWays.Found(List.of(), Optional.empty(), 0));
        return PipeWaysView.of(
                of.of(),
                now,
                ways,
                sofar,
                IntStream.range(0, tried.length())
                        .mapToObj(tried::get)
                        .filter(Objects::nonNull)
                        .toList());
    }
}
