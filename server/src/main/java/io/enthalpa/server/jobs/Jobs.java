package io.enthalpa.server.jobs;

import io.enthalpa.server.problem.BusyException;
import io.enthalpa.server.problem.NotThereException;
import io.enthalpa.server.work.Work;
import jakarta.annotation.PreDestroy;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Runs long computations beside the quick ones, on as many threads as the machine has, at low priority so that the screen stays live. Keeps the newest. */
@Component
class Jobs {
    private static final int KEPT = 20;
    /** More would only make each of them slow. */
    static final int AT_A_TIME = 6;

    private final ExecutorService threads =
            Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors(), work -> {
                Thread thread = new Thread(work, "job");
                thread.setDaemon(true);
                thread.setPriority(Thread.MIN_PRIORITY);
                return thread;
            });
    private final Map<String, Job> jobs = new LinkedHashMap<>();

    Jobs(Work work) {
        work.whenLeft(this::leave);
    }

    /**
     * Begins at once. What the same page began of the same kind before is cancelled.
     *
     * @param page null for one that does not say
     * @throws BusyException when too many run already; then nothing is begun, and none of those is dropped
     */
    Job start(@Nullable String page, String kind, int parts, Job.Part work, Supplier<Object> harvest) {
        Job job = new Job(UUID.randomUUID().toString(), page, kind, parts, work, harvest);
        synchronized (jobs) {
            if (page != null) {
                jobs.values().stream().filter(j -> j.isOf(page, kind)).forEach(Job::cancel);
            }
            long running = jobs.values().stream().filter(Jobs::isRunning).count();
            if (running >= AT_A_TIME) {
                throw new BusyException(running
                        + " long computations are running already. Wait for one to end, or cancel one, and ask again.");
            }
            Iterator<Job> oldest = jobs.values().iterator();
            while (jobs.size() >= KEPT && oldest.hasNext()) {
                if (!isRunning(oldest.next())) {
                    oldest.remove();
                }
            }
            jobs.put(job.id(), job);
        }
        for (int part = 0; part < parts; part++) {
            int mine = part;
            threads.submit(() -> job.run(mine));
        }
        return job;
    }

    private static boolean isRunning(Job job) {
        return job.state() == Job.State.RUNNING;
    }

    private void leave(String page) {
        synchronized (jobs) {
            jobs.values().stream().filter(j -> j.isOf(page, null)).forEach(Job::cancel);
        }
    }

    /** @throws NotThereException when there is none, or it is too old */
    Job job(String id) {
        synchronized (jobs) {
            Job job = jobs.get(id);
            if (job == null) {
                throw new NotThereException("This computation is not known any more; it may be too old. Ask again.");
            }
            return job;
        }
    }

    @PreDestroy
    void stop() {
        threads.shutdownNow();
    }
}
