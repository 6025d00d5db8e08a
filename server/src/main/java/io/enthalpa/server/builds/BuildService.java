package io.enthalpa.server.builds;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.builds.BuildStore.Draft;
import io.enthalpa.server.builds.BuildStore.Head;
import io.enthalpa.server.builds.BuildStore.Revision;
import io.enthalpa.server.problem.NotThereException;
import io.enthalpa.server.problem.StaleRevisionException;
import io.enthalpa.server.problem.StoreFault;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Keeps builds: every change a revision, undo and redo, history, refusal of stale changes. */
@Service
public class BuildService {
    private static final int LONGEST_LABEL = 400;
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_EDIT = 64;
    private final BuildStore store;
    private final Clock clock;

    BuildService(BuildStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    List<BuildCard> all() {
        return store.heads().stream()
                .map(head -> BuildCard.of(head, unreadable(head)))
                .toList();
    }

    /** One build that cannot be read hides no other. */
    private @Nullable String unreadable(Head head) {
        try {
            store.document(head.id(), head.revision().number());
            return null;
        } catch (StoreFault damaged) {
            return damaged.getMessage() + " Its history may hold a version that can be read.";
        }
    }

    /** @return the newest version of a build */
    public BuildState get(long id) {
        return state(head(id));
    }

    /** @return the newest versions of builds of this name */
    public List<BuildState> called(String name) {
        return store.heads().stream()
                .filter(head -> head.name().equals(name))
                .map(this::state)
                .toList();
    }

    /**
     * Reads a build file and keeps it as a new build.
     *
     * @param uid that of the new build; null to give it one. One sent twice is kept once.
     */
    BuildState create(String text, String change, @Nullable UUID uid) {
        return get(store.create(
                uid == null ? UUID.randomUUID() : uid, draft(BuildFile.normal(BuildFile.parse(text)), change, null)));
    }

    /** Keeps several build files in one step. */
    void createAll(List<String> texts, String change) {
        store.createAll(texts.stream()
                .map(text -> draft(BuildFile.normal(BuildFile.parse(text)), change, null))
                .toList());
    }

    boolean isEmpty() {
        return store.heads().isEmpty();
    }

    /**
     * @param revision the revision that the change was made on
     * @param edit     the change's own identity; sent twice, it is kept once
     * @throws StaleRevisionException when that is no longer the newest
     */
    BuildKept change(long id, int revision, JsonNode document, String change, @Nullable String edit) {
        if (edit != null && (edit.isBlank() || edit.length() > LONGEST_EDIT)) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED,
                    "edit",
                    "edit",
                    edit.length() + " characters",
                    "1 to " + LONGEST_EDIT + " characters",
                    "");
        }
        Head head = head(id);
        OptionalInt before = edit == null ? OptionalInt.empty() : store.madeBy(id, edit);
        if (before.isPresent()) {
            return kept(store.revision(id, before.getAsInt()).orElseThrow());
        }
        Draft draft = draft(BuildFile.normal(document), change, edit);
        if (head.revision().number() != revision) {
            throw stale(id, document);
        }
        OptionalInt number = store.append(id, revision, draft);
        if (number.isEmpty()) {
            throw stale(id, document);
        }
        return kept(store.revision(id, number.getAsInt()).orElseThrow());
    }

    /** Steps back to the revision that the newest was made from; at the first one nothing happens. */
    BuildState undo(long id, int revision) {
        Revision head = head(id).revision();
        return step(
                id,
                revision,
                head.parent().isEmpty()
                        ? Optional.empty()
                        : Optional.of(head.parent().getAsInt()));
    }

    /** Steps forward to the youngest revision made from this one; without one nothing happens. */
    BuildState redo(long id, int revision) {
        return step(
                id,
                revision,
                store.youngestChild(id, head(id).revision().number()).map(Revision::number));
    }

    private BuildState step(long id, int revision, Optional<Integer> to) {
        if (head(id).revision().number() != revision) {
            throw stale(id, null);
        }
        if (to.isPresent()) {
            JsonNode document = BuildFile.parse(store.document(id, to.get()));
            if (!store.moveHead(id, revision, to.get(), name(document), summary(document))) {
                throw stale(id, null);
            }
        }
        return get(id);
    }

    List<Revision> history(long id, int below, int most) {
        head(id);
        return store.history(id, below, Math.max(1, Math.min(most, 500)));
    }

    /** @return a revision as it was; undo and redo do not apply to it */
    BuildState revision(long id, int number) {
        Head head = head(id);
        Revision revision = store.revision(id, number)
                .orElseThrow(() -> new NotThereException("Build " + id + " has no revision " + number + "."));
        return new BuildState(
                id,
                head.uid(),
                number,
                revision.change(),
                revision.createdAt(),
                null,
                null,
                shown(store.document(id, number)));
    }

    /** @param name blank to take it away */
    void name(long id, int number, String name) {
        String line = oneLine(name);
        if (line.length() > LONGEST_NAME) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED,
                    "name",
                    "name of the version",
                    line.length() + " characters",
                    "at most " + LONGEST_NAME + " characters",
                    "");
        }
        if (store.revision(id, number).isEmpty()) {
            throw new NotThereException("Build " + id + " has no revision " + number + ".");
        }
        store.name(id, number, line.isEmpty() ? null : line);
    }

    BuildCard putAway(long id, boolean away) {
        head(id);
        store.putAway(id, away ? clock.instant() : null);
        Head head = head(id);
        return BuildCard.of(head, unreadable(head));
    }

    /** A new build that begins with the newest version of this one. */
    BuildState duplicate(long id, @Nullable UUID uid) {
        ObjectNode document = (ObjectNode) BuildFile.parse(document(id));
        document.put("name", cut("Copy of " + name(document), LONGEST_NAME / 2));
        return create(BuildFile.write(document), "copied from " + name(BuildFile.parse(document(id))), uid);
    }

    /** Removes a build with its history, for good. */
    void delete(long id) {
        head(id);
        store.delete(id);
    }

    /** @return the newest version as it is kept, whether or not it can be understood */
    String document(long id) {
        return store.document(id, head(id).revision().number());
    }

    private StaleRevisionException stale(long id, @Nullable JsonNode yours) {
        return new StaleRevisionException(get(id), yours);
    }

    private Head head(long id) {
        return store.head(id)
                .orElseThrow(() ->
                        new NotThereException("There is no build number " + id + ". Go back to the list of builds."));
    }

    private BuildState state(Head head) {
        Revision revision = head.revision();
        return new BuildState(
                head.id(),
                head.uid(),
                revision.number(),
                revision.change(),
                revision.createdAt(),
                undo(revision),
                redo(revision),
                shown(store.document(head.id(), revision.number())));
    }

    private BuildKept kept(Revision revision) {
        return new BuildKept(
                revision.number(), revision.change(), revision.createdAt(), undo(revision), redo(revision));
    }

    private static @Nullable String undo(Revision revision) {
        return revision.parent().isPresent() ? revision.change() : null;
    }

    private @Nullable String redo(Revision revision) {
        return store.youngestChild(revision.build(), revision.number())
                .map(Revision::change)
                .orElse(null);
    }

    /** What earlier releases wrote is shown as this one would write it. */
    private static JsonNode shown(String document) {
        return BuildFile.normal(BuildFile.parse(document));
    }

    private Draft draft(ObjectNode document, @Nullable String change, @Nullable String edit) {
        return new Draft(
                BuildFile.write(document), name(document), summary(document), label(change), edit, clock.instant());
    }

    private static String name(JsonNode document) {
        return document.path("name").asString("");
    }

    private static String summary(JsonNode document) {
        return document.path("summary").asString("");
    }

    private static String label(@Nullable String change) {
        String line = oneLine(change == null ? "" : change);
        return line.isEmpty() ? "change" : cut(line, LONGEST_LABEL);
    }

    private static String oneLine(String text) {
        return text.strip().replaceAll("\\s+", " ");
    }

    private static String cut(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }
}
