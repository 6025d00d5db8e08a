package io.enthalpa.server.jobs;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.server.problem.FaultView;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Work in equal parts that any thread may do in any order, with what came of it. Parts not yet begun are dropped on cancel.
 */
final class Job {
    private static final Logger LOG = LoggerFactory.getLogger(Job.class);
    private static final String FAILED =
            "Something went wrong inside Enthalpa; this was not computed. Details are in the file enthalpa.log in the data folder.";

    /** How it stands. */
    enum State {
        RUNNING,
        DONE,
        CANCELLED,
        REFUSED
    }

    /** Does one part. */
    @FunctionalInterface
    interface Part {
        void run(int part);
    }

    private final String id;
    private final @Nullable String page;
    private final String kind;
    private final int parts;
    private final Part work;
    private final Supplier<Object> harvest;
    private final AtomicInteger done = new AtomicInteger();
    private volatile boolean cancelled;
    private volatile @Nullable FaultView fault;

    /**
     * @param page    which page asked
     * @param kind    what of
     * @param harvest what the parts done so far come to
     */
    Job(String id, @Nullable String page, String kind, int parts, Part work, Supplier<Object> harvest) {
        this.id = id;
        this.page = page;
        this.kind = kind;
        this.parts = parts;
        this.work = work;
        this.harvest = harvest;
    }

    String id() {
        return id;
    }

    /** @param what null for any kind */
    boolean isOf(String asker, @Nullable String what) {
        return asker.equals(page) && (what == null || what.equals(kind));
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
        } catch (CancellationException dropped) {
            cancelled = true;
        } catch (RuntimeException failure) {
            // Else it would run for ever in the eyes of who watches it.
            LOG.error("a part of {} failed", kind, failure);
            fault = new FaultView(FaultKind.NO_SOLUTION, "", kind, "failed", "", null, FAILED);
        }
        done.incrementAndGet();
    }

    void cancel() {
        cancelled = done.get() < parts;
    }

    State state() {
        return fault != null
                ? State.REFUSED
                : cancelled ? State.CANCELLED : done.get() >= parts ? State.DONE : State.RUNNING;
    }

    @Nullable
    FaultView fault() {
        return fault;
    }

    Object harvest() {
        return harvest.get();
    }
}
