package io.enthalpa.server.builds;

import io.enthalpa.core.sizing.NewJob;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.document.NewJobDocument;
import io.enthalpa.server.builds.BuildStore.Revision;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.work.Work;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/**
 * Builds. A changing request names the revision it was made on in If-Match; 409 answers with both sides when that is no longer the
 * newest, 422 when the document is refused, 404 when there is no such build, 503 or 507 when the disk refuses and nothing was kept.
 */
@RestController
@RequestMapping("/api/builds")
class BuildController {
    private final BuildService builds;
    private final Work work;

    BuildController(BuildService builds, Work work) {
        this.builds = builds;
        this.work = work;
    }

    /**
     * @param change what was changed, in the user's words
     * @param edit   identity of the change; sent twice, it is kept once
     */
    record ChangeRequest(
            JsonNode document,
            @Nullable String change,
            @Nullable String edit) {}

    /** @param name given by the user; null without */
    record RevisionView(
            int revision,
            @Nullable Integer parent,
            String change,
            @Nullable String name,
            Instant changedAt) {
        static RevisionView of(Revision r) {
            return new RevisionView(
                    r.number(),
                    r.parent().isPresent() ? r.parent().getAsInt() : null,
                    r.change(),
                    r.name(),
                    r.createdAt());
        }
    }

    /**
     * A document that is not kept.
     *
     * @param bare   the same without a cooler: every way of cooling is sized from it
     * @param job    what it was made from
     * @param duties what a job can be for
     */
    record StarterView(JsonNode document, JsonNode bare, JsonNode job, List<DutyChoice> duties) {
        static StarterView of(NewJob job) {
            return new StarterView(
                    BuildFile.normal(BuildFile.tree(job.build())),
                    BuildFile.normal(BuildFile.tree(job.bare())),
                    NewJobDocument.tree(job),
                    job.duties().stream()
                            .map(entry -> new DutyChoice(entry.name(), entry.says()))
                            .toList());
        }
    }

    record DutyChoice(String name, String says) {}

    /** @param name blank to take it away */
    record NameRequest(String name) {}

    /** @param putAway false to bring it back */
    record PutAwayRequest(boolean putAway) {}

    /** Without documents, last changed first; those put away too. */
    @GetMapping
    List<BuildCard> all() {
        return builds.all();
    }

    /**
     * The body is a whole build file.
     *
     * @param uid    of the new build; sent twice, it is kept once
     * @param change what the history says of it
     */
    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<BuildState> create(
            @RequestBody String file,
            @RequestParam(required = false) @Nullable UUID uid,
            @RequestParam(defaultValue = "opened from a file") String change) {
        return created(builds.create(file, change, uid));
    }

    /** A new build for the usual job: what the questions of a new build stand at. */
    @GetMapping("/starter")
    StarterView starter() {
        return StarterView.of(NewJob.USUAL);
    }

    /** A new build for a job; 422 names the answer that cannot be, or why there is no such cooling. */
    @PostMapping("/starter")
    StarterView starter(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page, @RequestBody JsonNode job) {
        NewJob asked = NewJobDocument.read(job);
        return work.now(page, "starter", () -> StarterView.of(asked));
    }

    @GetMapping("/{id}")
    ResponseEntity<BuildState> get(@PathVariable long id) {
        return tagged(builds.get(id));
    }

    @PutMapping("/{id}")
    ResponseEntity<BuildKept> change(
            @PathVariable long id,
            @RequestHeader(HttpHeaders.IF_MATCH) String revision,
            @RequestBody ChangeRequest request) {
        BuildKept kept = builds.change(
                id, Asked.revision(revision), Asked.document(request.document()), request.change(), request.edit());
        return ResponseEntity.ok().eTag(etag(kept.revision())).body(kept);
    }

    /** For good, with its history. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable long id) {
        builds.delete(id);
    }

    @PostMapping("/{id}/undo")
    ResponseEntity<BuildState> undo(@PathVariable long id, @RequestHeader(HttpHeaders.IF_MATCH) String revision) {
        return tagged(builds.undo(id, Asked.revision(revision)));
    }

    @PostMapping("/{id}/redo")
    ResponseEntity<BuildState> redo(@PathVariable long id, @RequestHeader(HttpHeaders.IF_MATCH) String revision) {
        return tagged(builds.redo(id, Asked.revision(revision)));
    }

    @PostMapping("/{id}/put-away")
    BuildCard putAway(@PathVariable long id, @RequestBody PutAwayRequest request) {
        return builds.putAway(id, request.putAway());
    }

    /** @param uid of the copy; sent twice, it is made once */
    @PostMapping("/{id}/duplicate")
    ResponseEntity<BuildState> duplicate(@PathVariable long id, @RequestParam(required = false) @Nullable UUID uid) {
        return created(builds.duplicate(id, uid));
    }

    /**
     * Newest first.
     *
     * @param below only revisions with a smaller number
     */
    @GetMapping("/{id}/revisions")
    List<RevisionView> history(
            @PathVariable long id,
            @RequestParam(defaultValue = "2147483647") int below,
            @RequestParam(defaultValue = "200") int most) {
        return builds.history(id, below, most).stream().map(RevisionView::of).toList();
    }

    @GetMapping("/{id}/revisions/{revision}")
    BuildState revision(@PathVariable long id, @PathVariable int revision) {
        return builds.revision(id, revision);
    }

    @PutMapping("/{id}/revisions/{revision}/name")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void name(@PathVariable long id, @PathVariable int revision, @RequestBody NameRequest request) {
        builds.name(id, revision, Asked.text(request.name(), "name"));
    }

    /** The build file, to save; also of a build that this program cannot understand. */
    @GetMapping(value = "/{id}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> file(@PathVariable long id) {
        String text = builds.document(id);
        String name = BuildFile.parse(text)
                .path("name")
                .asString("build")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename((name.isEmpty() ? "build" : name) + ".enthalpa.json")
                                .build()
                                .toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    private static ResponseEntity<BuildState> tagged(BuildState state) {
        return ResponseEntity.ok().eTag(etag(state.revision())).body(state);
    }

    private static ResponseEntity<BuildState> created(BuildState state) {
        return ResponseEntity.created(URI.create("/api/builds/" + state.id()))
                .eTag(etag(state.revision()))
                .body(state);
    }

    private static String etag(int revision) {
        return "\"" + revision + "\"";
    }
}
