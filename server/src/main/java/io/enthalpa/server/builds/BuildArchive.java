package io.enthalpa.server.builds;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.builds.BuildStore.Draft;
import io.enthalpa.server.builds.BuildStore.Head;
import io.enthalpa.server.builds.BuildStore.Revision;
import io.enthalpa.server.problem.StoreFault;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.PrintWriter;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A build with its whole history as lines of JSON: first the build, then its revisions from the oldest, each with its document. Read twice,
 * it is there once: a revision that is there already, made from the same one by the same change, is not put in again; histories that went
 * different ways since both stay, as branches of one build.
 */
@Component
public class BuildArchive {
    private static final int A_PAGE = 500;
    private final BuildStore store;

    BuildArchive(BuildStore store) {
        this.store = store;
    }

    /** @return ids of all builds */
    public List<Long> builds() {
        return store.heads().stream().map(Head::id).toList();
    }

    /** Writes one build. A revision whose document is damaged is left out with what was made from it alone. */
    public void write(long build, PrintWriter out) {
        Head head = store.head(build).orElseThrow();
        ObjectNode first = JsonMapper.shared().createObjectNode();
        first.put("uid", head.uid().toString())
                .put("name", head.name())
                .put("head", head.revision().number());
        if (head.putAwayAt() != null) {
            first.put("putAwayAt", head.putAwayAt().toString());
        }
        out.println(first);
        List<Revision> all = new ArrayList<>();
        for (List<Revision> page = store.history(build, Integer.MAX_VALUE, A_PAGE);
                !page.isEmpty();
                page = store.history(build, page.get(page.size() - 1).number(), A_PAGE)) {
            all.addAll(page);
        }
        Collections.reverse(all);
        all.forEach(revision -> line(build, revision, out));
    }

    private void line(long build, Revision r, PrintWriter out) {
        ObjectNode line = JsonMapper.shared().createObjectNode();
        line.put("revision", r.number())
                .put("change", r.change())
                .put("at", r.createdAt().toString());
        r.parent().ifPresent(parent -> line.put("parent", parent));
        if (r.name() != null) {
            line.put("name", r.name());
        }
        try {
            line.set("document", BuildFile.parse(store.document(build, r.number())));
            out.println(line);
        } catch (StoreFault damaged) {
            // Told on the build's own page; the rest is saved.
        }
    }

    /** What reading a build came to. @param added revisions that were not there yet */
    public record Taken(boolean made, int added) {}

    /**
     * @param what the file as the reader knows it
     * @throws EnthalpaFault naming the line that is not what it should be; what came before it is kept
     */
    public Taken read(BufferedReader lines, String what) throws IOException {
        JsonNode first = parse(lines.readLine(), what, 1);
        UUID uid = uid(first, what);
        Map<Integer, Integer> numbers = new HashMap<>();
        long build = store.heads().stream()
                .filter(h -> h.uid().equals(uid))
                .map(Head::id)
                .findFirst()
                .orElse(-1L);
        boolean made = build < 0;
        int added = 0;
        int number = 1;
        for (String text = lines.readLine(); text != null; text = lines.readLine()) {
            number++;
            JsonNode line = parse(text, what, number);
            Draft draft = draft(line, what, number);
            int revision = line.path("revision").asInt(0);
            Integer parent = numbers.get(line.path("parent").asInt(0));
            if (build < 0) {
                build = store.create(uid, draft);
                numbers.put(revision, 1);
                added++;
            } else {
                Integer there = same(build, parent, draft);
                if (there == null) {
                    there = store.branch(build, parent == null ? 1 : parent, draft);
                    added++;
                }
                numbers.put(revision, there);
            }
            String name = line.path("name").asString("");
            if (!name.isEmpty()) {
                store.name(build, numbers.get(revision), name);
            }
        }
        if (build < 0) {
            throw malformed(what, 1, "a build without a single version");
        }
        if (made || added > 0) {
            head(build, numbers.get(first.path("head").asInt(0)), made, numbers);
        }
        if (made && first.has("putAwayAt")) {
            store.putAway(build, instant(first.path("putAwayAt").asString(""), what, 1));
        }
        return new Taken(made, added);
    }

    /** The newest of the file becomes the newest here, unless something newer was made here since. */
    private void head(long build, @Nullable Integer wanted, boolean made, Map<Integer, Integer> numbers) {
        int now = store.head(build).orElseThrow().revision().number();
        if (wanted != null && wanted != now && (made || numbers.containsValue(now))) {
            JsonNode document = BuildFile.parse(store.document(build, wanted));
            store.moveHead(
                    build,
                    now,
                    wanted,
                    document.path("name").asString(""),
                    document.path("summary").asString(""));
        }
    }

    /**
     * @param parent null of the first version, and of one whose parent was left out as damaged: that one hangs on the first
     * @return the revision here that this one is; null when there is none
     */
    private @Nullable Integer same(long build, @Nullable Integer parent, Draft draft) {
        List<Revision> candidates = new ArrayList<>(store.children(build, parent == null ? 1 : parent));
        if (parent == null) {
            store.revision(build, 1).ifPresent(candidates::add);
        }
        for (Revision r : candidates) {
            if (r.change().equals(draft.change())
                    && r.createdAt().equals(draft.at())
                    && sameDocument(build, r.number(), draft)) {
                return r.number();
            }
        }
        return null;
    }

    private boolean sameDocument(long build, int number, Draft draft) {
        try {
            return BuildFile.parse(store.document(build, number)).equals(BuildFile.parse(draft.document()));
        } catch (StoreFault damaged) {
            return false;
        }
    }

    private static Draft draft(JsonNode line, String what, int number) {
        JsonNode document = line.path("document");
        if (!document.isObject() || line.path("revision").asInt(0) < 1) {
            throw malformed(what, number, "not a version of a build");
        }
        String change = line.path("change").asString("change");
        return new Draft(
                BuildFile.write(document),
                cut(document.path("name").asString(""), 200),
                cut(document.path("summary").asString(""), 1000),
                cut(change, 400),
                null,
                instant(line.path("at").asString(""), what, number));
    }

    private static String cut(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }

    private static Instant instant(String text, String what, int number) {
        try {
            return Instant.parse(text);
        } catch (DateTimeException e) {
            throw malformed(what, number, "\"" + text + "\" is not a time");
        }
    }

    private static UUID uid(JsonNode first, String what) {
        try {
            return UUID.fromString(Objects.requireNonNull(first.path("uid").asString("")));
        } catch (IllegalArgumentException e) {
            throw malformed(what, 1, "no identity of a build");
        }
    }

    private static JsonNode parse(@Nullable String line, String what, int number) {
        try {
            if (line != null && line.length() <= BuildFile.LARGEST + 10_000) {
                JsonNode node = JsonMapper.shared().readTree(line);
                if (node.isObject()) {
                    return node;
                }
            }
        } catch (JacksonException e) {
            // refused below
        }
        throw malformed(what, number, line == null ? "it ends there" : "not readable as JSON");
    }

    private static EnthalpaFault malformed(String what, int line, String found) {
        return EnthalpaFault.of(
                FaultKind.MALFORMED,
                "",
                what,
                "line %d: %s".formatted(line, found),
                "an archive saved by \"Export all\"",
                "What stands before that line was read; the rest was not.");
    }
}
