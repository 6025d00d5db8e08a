package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Pipe;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.Pieces.Placed;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunSpec;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A pipe of the one bank made anew for the other: left and right of the datum's middle line changed over. */
public final class Mirrored {
    public static final Method METHOD = Method.of(
                    "mirrored",
                    "A pipe mirrored for the other bank",
                    "The pipe at the same place of the other leg becomes as thick, as long and as bent; every corner goes as far to the other side of the datum, what sits in the "
                            + "wall looks to the other side, braces stay as far along. An end on a port stays on its own port.")
            .formula("right = -right, clock = -clock")
            .source(Citation.commonPractice("the second bank's pipes are set up as the mirror of the first"))
            .leavesOut("What is not the same on both sides of the car: its gaps are told as of any pipe.");

    private Mirrored() {}

    /** @return name of the pipe at the same place of the other leg; empty where there is none */
    public static Optional<String> other(BuildOption option, String of) {
        return pipes(option).stream()
                .filter(p -> p.piece().name().equals(of))
                .findFirst()
                .flatMap(pipe -> beside(option, pipe))
                .map(p -> p.piece().name());
    }

    /** @return the option with the other leg's pipe as the mirror of this one; empty where there is no other */
    public static Optional<BuildOption> of(BuildOption option, String of) {
        Optional<Placed<Pipe>> pipe =
                pipes(option).stream().filter(p -> p.piece().name().equals(of)).findFirst();
        return pipe.flatMap(p -> beside(option, p).map(other -> mirrored(option, p.piece(), other)));
    }

    private static List<Placed<Pipe>> pipes(BuildOption option) {
        return Pieces.of(Pipe.class, option.path());
    }

    /** As many pipes from its beginning, in the other leg of the pair. */
    private static Optional<Placed<Pipe>> beside(BuildOption option, Placed<Pipe> pipe) {
        List<Placed<Pipe>> own = pipes(option).stream()
                .filter(p -> p.spot().row().equals(pipe.spot().row()))
                .toList();
        return pipes(option).stream()
                .filter(p -> p.spot().row().isBeside(pipe.spot().row()))
                .skip(own.indexOf(pipe))
                .findFirst();
    }

    private static BuildOption mirrored(BuildOption option, Pipe pipe, Placed<Pipe> other) {
        String name = other.piece().name();
        List<PathElement> path =
                Pieces.with(other.spot(), option.path(), p -> new Pipe(name, pipe.spec(), pipe.wall()));
        List<Run> runs = new ArrayList<>(option.runs());
        Optional<Run> laid = runs.stream().filter(r -> r.isOfPipe(pipe.name())).findFirst();
        int at = 0;
        while (at < runs.size() && !runs.get(at).isOfPipe(name)) {
            at++;
        }
        if (at < runs.size()) {
            runs.remove(at);
        }
        int there = at;
        laid.ifPresent(r -> runs.add(Math.min(there, runs.size()), mirrored(r, name)));
        return option.withPath(path).withRuns(runs);
    }

    private static Run mirrored(Run run, String name) {
        List<Run.Corner> corners = run.corners().stream()
                .map(c -> new Run.Corner(RunSpec.mirrored(c.at()), c.radius()))
                .toList();
        List<Brace> braces = run.braces();
        List<Fitting> fittings = run.fittings().stream()
                .map(f -> new Fitting(f.kind(), f.along(), -f.clock(), f.size()))
                .toList();
        List<Oval> ovals = run.ovals().stream()
                .map(o -> new Oval(o.along(), o.length(), o.height(), -o.clock(), o.pressed()))
                .toList();
        return new Run(
                name,
                Optional.empty(),
                run.from().map(RunSpec::mirrored),
                corners,
                run.to().map(RunSpec::mirrored),
                braces,
                fittings,
                ovals);
    }
}
