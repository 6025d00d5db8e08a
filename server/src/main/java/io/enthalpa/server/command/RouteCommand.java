package io.enthalpa.server.command;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.router.Taste;
import io.enthalpa.core.trial.PipeWays;
import io.enthalpa.server.answers.PipeWaysView;
import io.enthalpa.server.problem.FaultView;
import io.enthalpa.server.problem.StartFault;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** {@code route}: ways for the pipes of a build file through its room, without a server. */
public final class RouteCommand {
    private RouteCommand() {}

    /** Ways for a pipe, or why it cannot be asked. */
    record Routing(
            String option,
            String pipe,
            @Nullable PipeWaysView routes,
            @Nullable FaultView fault) {}

    public static void route(String[] args) {
        Arguments arguments = new Arguments(args, Set.of("--option", "--pipe", "--like"), Set.of("--table"));
        Taste taste = taste(arguments.value("--like"));
        Optional<String> only = arguments.value("--pipe");
        SolveCommand.print(
                arguments,
                (build, letter) -> pipes(build.option(letter), only).stream()
                        .map(pipe -> routing(build, letter, pipe, taste))
                        .toList(),
                AnswerTable::routes);
    }

    private static Taste taste(Optional<String> said) {
        return said.map(word -> Arrays.stream(Taste.values())
                        .filter(t -> word(t).equals(word))
                        .findFirst()
                        .orElseThrow(() -> new StartFault("--like is " + word + "; it must be "
                                + Arrays.stream(Taste.values())
                                        .map(RouteCommand::word)
                                        .collect(Collectors.joining(" or ")))))
                .orElse(Taste.LEAST_LOSS);
    }

    private static String word(Taste taste) {
        return taste.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static List<String> pipes(BuildOption option, Optional<String> only) {
        return only.map(List::of)
                .orElseGet(() -> Pieces.of(PathElement.Pipe.class, option.path()).stream()
                        .map(p -> p.piece().name())
                        .toList());
    }

    private static Routing routing(Build build, String letter, String pipe, Taste taste) {
        try {
            PipeWays ways = new PipeWays(build, letter, pipe, taste, () -> false);
            PipeWays.Found found = ways.find();
            List<PipeWays.Tried> tried = new ArrayList<>();
            if (found.ways().isEmpty()) {
                IntStream.range(0, ways.tries()).forEach(i -> tried.add(ways.attempt(i)));
            }
            return new Routing(letter, pipe, PipeWaysView.of(pipe, build.option(letter), ways, found, tried), null);
        } catch (EnthalpaFault fault) {
            return new Routing(letter, pipe, null, FaultView.of(fault));
        }
    }
}
