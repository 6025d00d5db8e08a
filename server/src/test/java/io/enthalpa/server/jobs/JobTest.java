package io.enthalpa.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

class JobTest {
    private static Job of(RuntimeException thrown) {
        return new Job(
                "j1",
                null,
                "band",
                2,
                part -> {
                    throw thrown;
                },
                () -> "all of it");
    }

    @Test
    void whatFailsInsideIsNotWaitedForForEver() {
        Job job = of(new IllegalStateException("a fault of ours"));
        job.run(0);
        assertThat(job.state()).isEqualTo(Job.State.REFUSED);
        assertThat(job.fault()).isNotNull();
        assertThat(job.fault().sentence())
                .startsWith("Something went wrong inside Enthalpa")
                .contains("enthalpa.log");
        job.run(1);
        assertThat(job.done()).as("no part is begun any more").isEqualTo(1);
    }

    @Test
    void whatWasDroppedIsCancelled() {
        Job job = of(new CancellationException());
        job.run(0);
        assertThat(job.state()).isEqualTo(Job.State.CANCELLED);
    }
}
