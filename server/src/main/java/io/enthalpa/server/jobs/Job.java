package io.enthalpa.server.jobs;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.server.problem.FaultView;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Work in equal parts that any thread may do in any order, with what came of it. Parts not yet begun are dropped on cancel.
 */
final class Job {
    /** How it stands. */
    enum State { RUNNING, DONE, CANCELLED, REFUSED }

    /** Does one part. */
    @FunctionalInterface
    interface Part {
        void run(int part);
    }

    private final String id;
    private final int parts;
    private final Part work;
    private final Supplier<Object> harvest;
    private final AtomicInteger done = new AtomicInteger();
    private volatile boolean cancelled;
    private volatile @Nullable FaultView fault;

    /** @param harvest what the parts done so far come to */
    Job(String id, int parts, Part work, Supplier<Object> harvest) {
        this.id = id;
        this.parts = parts;
        this.work = work;
        this.harvest = harvest;
    }

    String id() {
        return id;
    }

    int parts() {
        return parts;
    }

    int done() {
        return done.get();
    }

    void run(int part) {
        if (state() != State.RUNNING) {
            return;
        }
        try {
            work.run(part);
        } catch (EnthalpaFault refused) {
            fault = FaultView.of(refused);
        }
        done.incrementAndGet();
    }

    void cancel() {
        cancelled = done.get() < parts;
    }

    State state() {
        return fault != null ? State.REFUSED : cancelled ? State.CANCELLED : done.get() >= parts ? State.DONE : State.RUNNING;
    }

    @Nullable FaultView fault() {
        return fault;
    }

    Object harvest() {
        return harvest.get();
    }
}
