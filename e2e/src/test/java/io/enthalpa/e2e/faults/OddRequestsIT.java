package io.enthalpa.e2e.faults;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.e2e.RunningProgram;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OddRequestsIT {
    private static final long SEED = 20_261_128;

    @TempDir
    Path folder;

    @Test
    void noneEndsInAFailureOrTakesLong() throws Exception {
        Path data = folder.resolve("store");
        try (RunningProgram program = RunningProgram.demo(data, 0)) {
            assertThat(new OddRequests(program.address()).send(SEED, Integer.getInteger("faults.requests", 1000), 3))
                    .isEmpty();
            assertThat(new Client(program.address()).get("/api/builds").status())
                    .isEqualTo(200);
        }
        assertThat(Files.readString(data.resolve("enthalpa.log")))
                .as("faults of users leave no stack trace")
                .doesNotContain("\tat ");
    }
}
