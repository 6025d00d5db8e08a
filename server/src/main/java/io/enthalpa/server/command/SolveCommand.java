package io.enthalpa.server.command;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.answers.Answers;
import io.enthalpa.server.answers.SoakView;
import io.enthalpa.server.answers.SteadyView;
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

/** {@code solve} and {@code soak}: the screen's numbers, from a build file, without a server. */
public final class SolveCommand {
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .changeDefaultPropertyInclusion(i -> i.withValueInclusion(com.fasterxml.jackson.annotation.JsonInclude.Include.NON_NULL))
            .enable(SerializationFeature.INDENT_OUTPUT).build();

    private SolveCommand() {
    }

    public static void solve(String[] args) {
        answer(args, Answers::steady, AnswerTable::steady);
    }

    public static void soak(String[] args) {
        answer(args, Answers::soak, AnswerTable::soak);
    }

    private static <T> void answer(String[] args, BiFunction<Build, String, T> compute, Function<List<T>, String> table) {
        Arguments arguments = new Arguments(args, Set.of("--option"), Set.of("--table"));
        if (arguments.rest().size() != 1) {
            throw new StartFault("give one build file, as in: enthalpa solve my-build.json");
        }
        String file = arguments.rest().get(0);
        try {
            Build build = BuildFile.read(text(file));
            List<T> answers = new ArrayList<>();
            for (String letter : arguments.value("--option").map(List::of).orElseGet(() -> build.options().stream().map(BuildOption::letter).toList())) {
                answers.add(compute.apply(build, letter));
            }
            System.out.println(arguments.has("--table") ? table.apply(answers) : MAPPER.writeValueAsString(answers));
        } catch (EnthalpaFault fault) {
            throw new StartFault(file + ": " + fault.sentence());
        }
    }

    private static String text(String file) {
        try {
            byte[] bytes = file.equals("-") ? System.in.readAllBytes() : Files.readAllBytes(Path.of(file));
            return StandardCharsets.UTF_8.newDecoder().decode(java.nio.ByteBuffer.wrap(bytes)).toString();
        } catch (NoSuchFileException e) {
            throw new StartFault(file + ": there is no such file.");
        } catch (CharacterCodingException e) {
            throw new StartFault(file + ": not a text file in UTF-8, so not a build file.");
        } catch (IOException | java.nio.file.InvalidPathException e) {
            throw new StartFault(file + ": cannot be read (" + e.getMessage() + ").");
        }
    }
}
