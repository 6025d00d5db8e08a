package io.enthalpa.server.jobs;

import io.enthalpa.server.problem.NotThereException;
import jakarta.annotation.PreDestroy;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Runs long computations beside the quick ones, on as many threads as the machine has, at low priority so that the screen stays live. Keeps the newest. */
@Component
class Jobs {
    private static final int KEPT = 20;
    private final ExecutorService threads = Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors(), work -> {
        Thread thread = new Thread(work, "job");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    });
    private final Map<String, Job> jobs = new LinkedHashMap<>();

    /** Begins at once. */
    Job start(int parts, Job.Part work, Supplier<Object> harvest) {
        Job job = new Job(UUID.randomUUID().toString(), parts, work, harvest);
        synchronized (jobs) {
            jobs.put(job.id(), job);
            while (jobs.size() > KEPT) {
                String oldest = jobs.keySet().iterator().next();
                jobs.remove(oldest).cancel();
            }
        }
        for (int part = 0; part < parts; part++) {
            int mine = part;
            threads.submit(() -> job.run(mine));
        }
        return job;
    }

    /** @throws NotThereException when there is none, or it is too old */
    Job job(String id) {
        synchronized (jobs) {
            Job job = jobs.get(id);
            if (job == null) {
                throw new NotThereException("this computation; it may be too old. Ask again.");
            }
            return job;
        }
    }

    @PreDestroy
    void stop() {
        threads.shutdownNow();
    }
}
