package io.enthalpa.server.builds;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.BuildFile;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/**
 * Builds. A changing request names the revision it was made on in If-Match; 409 answers with both sides when that is no longer the
 * newest, 422 when the document is refused, 404 when there is no such build.
 */
@RestController
@RequestMapping("/api/builds")
class BuildController {
    private final BuildService builds;

    BuildController(BuildService builds) {
        this.builds = builds;
    }

    /** @param change what was changed, in the user's words */
    record ChangeRequest(JsonNode document, String change) {
    }

    record RevisionView(int revision, String change, Instant changedAt) {
    }

    @GetMapping
    List<BuildState> all() {
        return builds.all();
    }

    /** The body is a whole build file. */
    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<BuildState> create(@RequestBody String file) {
        BuildState state = builds.create(file, "opened from a file");
        return ResponseEntity.created(URI.create("/api/builds/" + state.id())).eTag(etag(state)).body(state);
    }

    /** A new build on sensible defaults. */
    @PostMapping("/starter")
    ResponseEntity<BuildState> starter() {
        BuildState state = builds.create(DemoBuilds.text("starter"), "new build");
        return ResponseEntity.created(URI.create("/api/builds/" + state.id())).eTag(etag(state)).body(state);
    }

    @GetMapping("/{id}")
    ResponseEntity<BuildState> get(@PathVariable long id) {
        return tagged(builds.get(id));
    }

    @PutMapping("/{id}")
    ResponseEntity<BuildState> change(@PathVariable long id, @RequestHeader(HttpHeaders.IF_MATCH) String revision, @RequestBody ChangeRequest request) {
        return tagged(builds.change(id, number(revision), request.document(), request.change()));
    }

    @PostMapping("/{id}/undo")
    ResponseEntity<BuildState> undo(@PathVariable long id, @RequestHeader(HttpHeaders.IF_MATCH) String revision) {
        return tagged(builds.undo(id, number(revision)));
    }

    @PostMapping("/{id}/redo")
    ResponseEntity<BuildState> redo(@PathVariable long id, @RequestHeader(HttpHeaders.IF_MATCH) String revision) {
        return tagged(builds.redo(id, number(revision)));
    }

    @GetMapping("/{id}/revisions")
    List<RevisionView> history(@PathVariable long id) {
        return builds.history(id).stream().map(r -> new RevisionView(r.number(), r.change(), r.createdAt())).toList();
    }

    /** The build file, to save. */
    @GetMapping(value = "/{id}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> file(@PathVariable long id) {
        BuildState state = builds.get(id);
        String name = state.document().path("name").asString("build").toLowerCase().replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename((name.isEmpty() ? "build" : name) + ".enthalpa.json").build().toString())
                .body(BuildFile.write(state.document()).getBytes(StandardCharsets.UTF_8));
    }

    private static ResponseEntity<BuildState> tagged(BuildState state) {
        return ResponseEntity.ok().eTag(etag(state)).body(state);
    }

    private static String etag(BuildState state) {
        return "\"" + state.revision() + "\"";
    }

    private static int number(String etag) {
        try {
            return Integer.parseInt(etag.replace("\"", "").strip());
        } catch (NumberFormatException e) {
            throw EnthalpaFault.of(FaultKind.MALFORMED, "If-Match", "revision", "\"" + etag + "\"", "the number of a revision in quotes", "");
        }
    }
}
