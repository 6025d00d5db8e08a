package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.build.Build;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** Files of every earlier version open; what they answer is kept, see {@link KeptTest}. */
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

    /** Written anew by this program and read again, it still says the same. */
    @ParameterizedTest
    @MethodSource("files")
    void fileOfAnEarlierVersionIsWrittenAsOneOfThis(String name) throws IOException {
        Build build = BuildFile.read(Files.readString(CORPUS.resolve(name)));
        JsonNode again = BuildFile.normal(BuildFile.parse(Files.readString(CORPUS.resolve(name))));
        assertThat(again.get("version").intValue()).isEqualTo(BuildFile.VERSION);
        assertThat(BuildFile.tree(BuildFile.read(again))).isEqualTo(BuildFile.tree(build));
    }
}
