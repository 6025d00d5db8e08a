package io.enthalpa.server.command;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.route.RunName;
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
                (build, letter) -> runs(build.option(letter), only).stream()
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

    /** Pipes first, then hoses; what is asked for by a name that neither has is refused as a pipe. */
    private static List<RunName> runs(BuildOption option, Optional<String> only) {
        List<RunName> all = Pipework.names(option);
        return only.map(name -> {
                    List<RunName> called =
                            all.stream().filter(r -> r.of().equals(name)).toList();
                    return called.isEmpty() ? List.of(RunName.ofPipe(name)) : called;
                })
                .orElse(all);
    }

    private static Routing routing(Build build, String letter, RunName pipe, Taste taste) {
        try {
            PipeWays ways = new PipeWays(build, letter, pipe, taste, () -> false);
            PipeWays.Found found = ways.find();
            List<PipeWays.Tried> tried = new ArrayList<>();
            if (found.ways().isEmpty()) {
                IntStream.range(0, ways.tries()).forEach(i -> tried.add(ways.attempt(i)));
            }
            return new Routing(
                    letter, pipe.of(), PipeWaysView.of(pipe.of(), build.option(letter), ways, found, tried), null);
        } catch (EnthalpaFault fault) {
            return new Routing(letter, pipe.of(), null, FaultView.of(fault));
        }
    }
}
