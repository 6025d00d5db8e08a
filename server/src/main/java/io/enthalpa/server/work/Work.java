package io.enthalpa.server.work;

import io.enthalpa.server.problem.BusyException;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Computations that a page waits for, as many at a time as the machine has processors. What a page asks anew takes the place of what it
 * asked before, and a page that is left drops all it asked: both stop in the middle. When too many wait, the next is refused with the
 * reason, never kept waiting without end.
 */
@Component
public class Work {
    /** Header in which a page says its name. */
    public static final String PAGE = "X-Page";

    static final int MOST_WAITING = 256;
    private final ThreadPoolExecutor threads;
    private final ConcurrentHashMap<Question, FutureTask<?>> running = new ConcurrentHashMap<>();
    private final List<Consumer<String>> whenLeft = new CopyOnWriteArrayList<>();

    private record Question(String page, String kind) {}

    Work() {
        int processors = Runtime.getRuntime().availableProcessors();
        threads = new ThreadPoolExecutor(
                processors, processors, 0, TimeUnit.SECONDS, new ArrayBlockingQueue<>(MOST_WAITING), work -> {
                    Thread thread = new Thread(work, "work");
                    thread.setDaemon(true);
                    return thread;
                });
    }

    /**
     * @param page which page asks; null for one that does not say
     * @param kind what of: a newer question of the same page and kind takes the place of an older one
     * @return the answer
     * @throws CancellationException when a newer question took its place, or the page was left
     * @throws BusyException         when too many wait already
     */
    public <T> T now(@Nullable String page, String kind, Callable<T> question) {
        FutureTask<T> task = new FutureTask<>(question);
        Question asked = new Question(page == null ? "" : page, kind);
        if (page != null) {
            drop(running.put(asked, task));
        }
        try {
            threads.execute(task);
            return task.get();
        } catch (RejectedExecutionException full) {
            throw new BusyException(MOST_WAITING + " questions are waiting already. Ask again in a moment.");
        } catch (ExecutionException e) {
            throw e.getCause() instanceof RuntimeException failure ? failure : new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            task.cancel(true);
            Thread.currentThread().interrupt();
            throw new CancellationException();
        } finally {
            running.remove(asked, task);
        }
    }

    private void drop(@Nullable FutureTask<?> task) {
        if (task != null) {
            task.cancel(true);
            threads.remove(task);
        }
    }

    /** A page is left: nobody reads what it asked. */
    void leave(String page) {
        running.forEach((question, task) -> {
            if (question.page().equals(page)) {
                drop(task);
            }
        });
        whenLeft.forEach(listener -> listener.accept(page));
    }

    /** @return questions that wait for a thread */
    int waiting() {
        return threads.getQueue().size();
    }

    /** @param listener told of every page that is left */
    public void whenLeft(Consumer<String> listener) {
        whenLeft.add(listener);
    }

    @PreDestroy
    void stop() {
        threads.shutdownNow();
    }
}
