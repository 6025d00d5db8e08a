package io.enthalpa.server.command;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.TraceFile;
import io.enthalpa.server.answers.Answers;
import io.enthalpa.server.answers.FitView;
import io.enthalpa.server.answers.JointsView;
import io.enthalpa.server.problem.StartFault;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** {@code solve}, {@code soak}, {@code fit} and {@code joints}: the screen's numbers, from a build file, without a server. */
public final class SolveCommand {
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .changeDefaultPropertyInclusion(
                    i -> i.withValueInclusion(com.fasterxml.jackson.annotation.JsonInclude.Include.NON_NULL))
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();

    private SolveCommand() {}

    public static void solve(String[] args) {
        answer(new Arguments(args, Set.of("--option"), Set.of("--table")), Answers::steady, AnswerTable::steady);
    }

    /** Whether each option fits the room of the build, and every gap. */
    public static void fit(String[] args) {
        answer(new Arguments(args, Set.of("--option"), Set.of("--table")), SolveCommand::fitting, AnswerTable::fit);
    }

    private static Fitting fitting(Build build, String letter) {
        FitView fit = Answers.fit(build, letter);
        if (fit == null) {
            throw EnthalpaFault.of(
                    FaultKind.MISSING,
                    "/room",
                    "the room",
                    "",
                    "a datum and what must be missed",
                    "Measure it on the build's Space page, save the build, and ask again.");
        }
        return new Fitting(letter, build.option(letter).name(), fit);
    }

    /** Where each option's pipes are joined, and what each school takes to make. */
    public static void joints(String[] args) {
        answer(
                new Arguments(args, Set.of("--option"), Set.of("--table")),
                (build, letter) -> new Joined(letter, build.option(letter).name(), JointsView.of(build, letter)),
                AnswerTable::joints);
    }

    /** An option and its joints. */
    record Joined(String option, String optionName, JointsView joints) {}

    /** An option and its fit. */
    record Fitting(String option, String optionName, FitView fit) {}

    /** {@code --csv} and {@code --traces} print every step of one option's run; without them, what the screen shows. */
    public static void soak(String[] args) {
        Arguments arguments = new Arguments(args, Set.of("--option"), Set.of("--table", "--csv", "--traces"));
        if (arguments.has("--csv") || arguments.has("--traces")) {
            trace(arguments, arguments.has("--csv") ? TraceFile::csv : TraceFile::json);
        } else {
            answer(arguments, Answers::soak, AnswerTable::soak);
        }
    }

    private static void trace(Arguments arguments, Function<Trace, String> write) {
        String file = only(arguments);
        try {
            Build build = BuildFile.read(text(file));
            String letter =
                    arguments.value("--option").orElse(build.options().get(0).letter());
            System.out.println(write.apply(new Answer(build, letter).soak()).stripTrailing());
        } catch (EnthalpaFault fault) {
            throw new StartFault(file + ": " + fault.sentence());
        }
    }

    private static String only(Arguments arguments) {
        if (arguments.rest().size() != 1) {
            throw new StartFault("give one build file, as in: enthalpa solve my-build.json");
        }
        return arguments.rest().get(0);
    }

    private static <T> void answer(
            Arguments arguments, BiFunction<Build, String, T> compute, Function<List<T>, String> table) {
        print(arguments, (build, letter) -> List.of(compute.apply(build, letter)), table);
    }

    /** @param compute for an option */
    static <T> void print(
            Arguments arguments, BiFunction<Build, String, List<T>> compute, Function<List<T>, String> table) {
        String file = only(arguments);
        try {
            Build build = BuildFile.read(text(file));
            List<T> answers = new ArrayList<>();
            for (String letter : arguments
                    .value("--option")
                    .map(List::of)
                    .orElseGet(() ->
                            build.options().stream().map(BuildOption::letter).toList())) {
                answers.addAll(compute.apply(build, letter));
            }
            System.out.println(arguments.has("--table") ? table.apply(answers) : MAPPER.writeValueAsString(answers));
        } catch (EnthalpaFault fault) {
            throw new StartFault(file + ": " + fault.sentence());
        }
    }

    /** @return a build file read @throws StartFault naming what is wrong with it */
    static Build build(String file) {
        try {
            return BuildFile.read(text(file));
        } catch (EnthalpaFault fault) {
            throw new StartFault(file + ": " + fault.sentence());
        }
    }

    static String json(Object answer) {
        return MAPPER.writeValueAsString(answer);
    }

    private static String text(String file) {
        try {
            byte[] bytes = file.equals("-") ? System.in.readAllBytes() : Files.readAllBytes(Path.of(file));
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(java.nio.ByteBuffer.wrap(bytes))
                    .toString();
        } catch (NoSuchFileException e) {
            throw new StartFault(file + ": there is no such file.");
        } catch (CharacterCodingException e) {
            throw new StartFault(file + ": not a text file in UTF-8, so not a build file.");
        } catch (IOException | java.nio.file.InvalidPathException e) {
            throw new StartFault(file + ": cannot be read (" + e.getMessage() + ").");
        }
    }
}
