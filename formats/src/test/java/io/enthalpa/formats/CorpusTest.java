package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.endurance.EnergyAudit;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Files of every earlier version open, and say what they said: {@code answers.json} was printed by the program as it was before the document
 * had records. Where the computation itself is bettered, the figures here change with it, in the same commit.
 */
class CorpusTest {
    private static final Path CORPUS = Path.of("src/test/resources/corpus");

    static List<String> files() throws IOException {
        try (Stream<Path> files = Files.list(CORPUS)) {
            return files.map(file -> file.getFileName().toString())
                    .filter(name -> name.startsWith("v"))
                    .sorted()
                    .toList();
        }
    }

    @ParameterizedTest
    @MethodSource("files")
    void fileOfAnEarlierVersionSaysWhatItSaid(String name) throws IOException {
        JsonNode said = JsonMapper.shared()
                .readTree(CORPUS.resolve("answers.json").toFile())
                .get(name);
        Build build = BuildFile.read(Files.readString(CORPUS.resolve(name)));
        assertThat(build.options()).extracting(BuildOption::letter).containsExactlyElementsOf(said.propertyNames());
        for (BuildOption option : build.options()) {
            Answer answer = new Answer(build, option.letter());
            PathResult path = answer.steady().path();
            EnergyAudit audit = answer.soak().audit();
            JsonNode before = said.get(option.letter());
            same(before, "plenum_C", path.intakeTemperature() - 273.15);
            same(before, "loss_kPa", path.totalLoss() / 1000);
            same(before, "flow_kg_s", path.flow());
            same(before, "taken_kJ", audit.taken() / 1000);
            same(before, "rejected_kJ", audit.rejected() / 1000);
        }
    }

    /** Written anew by this program and read again, it still says the same. */
    @ParameterizedTest
    @MethodSource("files")
    void fileOfAnEarlierVersionIsWrittenAsOneOfThis(String name) throws IOException {
        Build build = BuildFile.read(Files.readString(CORPUS.resolve(name)));
        JsonNode again = BuildFile.normal(BuildFile.parse(Files.readString(CORPUS.resolve(name))));
        assertThat(again.get("version").intValue()).isEqualTo(BuildFile.VERSION);
        assertThat(BuildFile.tree(BuildFile.read(again))).isEqualTo(BuildFile.tree(build));
    }

    private static void same(JsonNode before, String what, double now) {
        double then = before.get(what).doubleValue();
        // Of what is nothing but rounding no share can be kept: a thousandth of a joule is nothing.
        assertThat(now).as(what).isCloseTo(then, within(Math.max(1e-8 * Math.abs(then), 1e-6)));
    }
}
