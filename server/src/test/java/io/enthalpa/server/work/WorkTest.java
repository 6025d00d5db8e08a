package io.enthalpa.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.server.problem.BusyException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class WorkTest {
    private final Work work = new Work();
    private final ExecutorService pages = Executors.newCachedThreadPool();

    @AfterEach
    void stop() {
        work.stop();
        pages.shutdownNow();
    }

    /** A question that is answered only when it is dropped. */
    private static String endless(CountDownLatch begun, CountDownLatch dropped) {
        begun.countDown();
        try {
            new CountDownLatch(1).await();
        } catch (InterruptedException e) {
            dropped.countDown();
        }
        return "too late";
    }

    @Test
    void aNewerQuestionOfAPageStopsTheOlderInTheMiddle() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch dropped = new CountDownLatch(1);
        Future<String> older = pages.submit(() -> work.now("page", "preview", () -> endless(begun, dropped)));
        begun.await();
        assertThat(work.<String>now("other page", "preview", () -> "theirs")).isEqualTo("theirs");
        assertThat(work.<String>now("page", "preview", () -> "newer")).isEqualTo("newer");
        dropped.await();
        assertThat(older)
                .failsWithin(Duration.ofSeconds(20))
                .withThrowableThat()
                .withCauseInstanceOf(CancellationException.class);
    }

    @Test
    void aPageThatIsLeftDropsAllItAsked() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch dropped = new CountDownLatch(1);
        List<String> told = new ArrayList<>();
        work.whenLeft(told::add);
        Future<String> asked = pages.submit(() -> work.now("page", "changes", () -> endless(begun, dropped)));
        begun.await();
        work.leave("page");
        dropped.await();
        assertThat(asked).failsWithin(Duration.ofSeconds(20));
        assertThat(told).containsExactly("page");
    }

    @Test
    void tooManyWaitingAreRefusedWithTheReason() throws Exception {
        int threads = Runtime.getRuntime().availableProcessors();
        CountDownLatch begun = new CountDownLatch(threads);
        CountDownLatch never = new CountDownLatch(1);
        for (int i = 0; i < threads + Work.MOST_WAITING; i++) {
            pages.submit(() -> work.now(null, "preview", () -> endless(begun, never)));
            if (i < threads) {
                Thread.sleep(1);
            }
        }
        begun.await();
        while (work.waiting() < Work.MOST_WAITING) {
            Thread.onSpinWait();
        }
        assertThatThrownBy(() -> work.now("page", "preview", () -> "one more"))
                .isInstanceOf(BusyException.class)
                .hasMessageContaining("Ask again in a moment");
    }

    @Test
    void aFailureIsTheAskersOwn() {
        assertThatThrownBy(() -> work.now("page", "preview", () -> {
                    throw new IllegalArgumentException("no such core");
                }))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("no such core");
    }
}
