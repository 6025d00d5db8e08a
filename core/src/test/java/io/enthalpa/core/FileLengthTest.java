package io.enthalpa.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A file that nobody can keep in the head is parted; ESLint holds the page to the same. */
class FileLengthTest {
    private static final int MOST = 400;

    @ParameterizedTest
    @ValueSource(strings = {"core", "formats", "server", "e2e", "bench"})
    void noFilePassesFourHundredLines(String module) throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("..", module, "src"))) {
            List<Path> sources =
                    files.filter(file -> file.toString().endsWith(".java")).toList();
            assertThat(sources).isNotEmpty();
            for (Path source : sources) {
                assertThat(Files.readAllLines(source))
                        .as(source.toString())
                        .size()
                        .isLessThanOrEqualTo(MOST);
            }
        }
    }
}
