package io.enthalpa.server.builds;

import io.enthalpa.core.build.Build;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.builds.BuildStore.Revision;
import io.enthalpa.server.problem.NotThereException;
import io.enthalpa.server.problem.StaleRevisionException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;

/** Keeps builds: every change a revision, undo and redo, refusal of stale changes. */
@Service
class BuildService {
    private static final int LONGEST_LABEL = 400;
    private final BuildStore store;
    private final Clock clock;

    BuildService(BuildStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    List<BuildState> all() {
        return store.heads().stream().map(this::state).toList();
    }

    BuildState get(long id) {
        return state(head(id));
    }

    /** Reads a build file and keeps it as a new build. */
    BuildState create(String text, String change) {
        Build build = BuildFile.read(text);
        return get(store.create(BuildFile.write(build), label(change), now()));
    }

    /**
     * @param revision the revision that the change was made on
     * @throws StaleRevisionException when that is no longer the newest
     */
    BuildState change(long id, int revision, JsonNode document, String change) {
        Build build = BuildFile.read(document);
        if (head(id).number() != revision) {
            throw stale(id, document);
        }
        OptionalInt number = store.append(id, revision, BuildFile.write(build), label(change), now());
        if (number.isEmpty()) {
            throw stale(id, document);
        }
        return get(id);
    }

    /** Steps back to the revision that the newest was made from; at the first one nothing happens. */
    BuildState undo(long id, int revision) {
        Revision head = head(id);
        return step(id, revision, head.parent().isEmpty() ? Optional.empty() : Optional.of(head.parent().getAsInt()));
    }

    /** Steps forward to the youngest revision made from this one; without one nothing happens. */
    BuildState redo(long id, int revision) {
        return step(id, revision, store.youngestChild(id, head(id).number()).map(Revision::number));
    }

    private BuildState step(long id, int revision, Optional<Integer> to) {
        if (head(id).number() != revision || to.isPresent() && !store.moveHead(id, revision, to.get())) {
            throw stale(id, null);
        }
        return get(id);
    }

    List<Revision> history(long id) {
        head(id);
        return store.history(id);
    }

    private StaleRevisionException stale(long id, JsonNode yours) {
        return new StaleRevisionException(get(id), yours);
    }

    private Revision head(long id) {
        return store.head(id).orElseThrow(gone(id));
    }

    private static Supplier<NotThereException> gone(long id) {
        return () -> new NotThereException("There is no build number " + id + ". Go back to the list of builds.");
    }

    private BuildState state(Revision head) {
        Optional<String> undo = head.parent().isPresent() ? Optional.of(head.change()) : Optional.empty();
        Optional<String> redo = store.youngestChild(head.build(), head.number()).map(Revision::change);
        return new BuildState(head.build(), head.number(), head.change(), head.createdAt(), undo.orElse(null), redo.orElse(null),
                BuildFile.parse(head.document()));
    }

    private static String label(String change) {
        String line = change.strip().replaceAll("\\s+", " ");
        return line.isEmpty() ? "change" : line.length() > LONGEST_LABEL ? line.substring(0, LONGEST_LABEL) : line;
    }

    private Instant now() {
        return clock.instant();
    }
}
