package io.enthalpa.server.catalogue;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.CatalogueCsv;
import io.enthalpa.formats.CatalogueItem;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.problem.NotThereException;
import io.enthalpa.server.problem.StaleRevisionException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
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
import tools.jackson.databind.node.ObjectNode;

/** The catalogue of cores, pipes, bends, joints, cones and filters. 422 when an item is refused, 404 when there is none. */
@RestController
@RequestMapping("/api/catalogue")
class CatalogueController {
    private final CatalogueStore store;
    private final CatalogueStock stock;
    private final Clock clock;

    CatalogueController(CatalogueStore store, CatalogueStock stock, Clock clock) {
        this.store = store;
        this.stock = stock;
        this.clock = clock;
    }

    /** Price in the reader's own currency; mass of a pipe for each metre; figures as in a build file. */
    record ItemView(
            long id,
            int version,
            String kind,
            String name,
            String note,
            double price,
            double mass_kg,
            JsonNode figures) {
        static ItemView of(StoredItem s) {
            CatalogueItem i = s.item();
            return new ItemView(s.id(), s.version(), i.kind(), i.name(), i.note(), i.price(), i.mass(), i.figures());
        }
    }

    record ItemRequest(
            String kind, String name, @Nullable String note, double price, double mass_kg, JsonNode figures) {
        CatalogueItem item() {
            Asked.text(kind, "kind");
            Asked.text(name, "name");
            if (!(figures instanceof ObjectNode object)) {
                throw EnthalpaFault.of(
                        FaultKind.MALFORMED,
                        "/figures",
                        "figures",
                        "not an object",
                        "its numbers as in a build file",
                        "");
            }
            return new CatalogueItem(kind, name, note == null ? "" : note, price, mass_kg, object);
        }
    }

    /** @param csv a whole file */
    record ImportRequest(String csv) {}

    /** @param there items of the file that the catalogue had already */
    record ImportAnswer(int added, int there) {}

    /**
     * @param kind only this kind; all without
     * @param q    words that must all stand in name, note or figures
     */
    @GetMapping
    List<ItemView> find(
            @RequestParam(required = false) @Nullable String kind, @RequestParam(required = false) @Nullable String q) {
        return store.all().stream()
                .filter(s -> kind == null || s.item().kind().equals(kind))
                .filter(s -> matches(s.item(), q))
                .map(ItemView::of)
                .toList();
    }

    private static boolean matches(CatalogueItem item, @Nullable String words) {
        if (words == null || words.isBlank()) {
            return true;
        }
        String text =
                (item.kind() + " " + item.name() + " " + item.note() + " " + item.figures()).toLowerCase(Locale.ROOT);
        return List.of(words.toLowerCase(Locale.ROOT).strip().split("\\s+")).stream()
                .allMatch(text::contains);
    }

    /** @param uid of the new item; sent twice, it is kept once */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ItemView add(@RequestBody ItemRequest request, @RequestParam(required = false) @Nullable UUID uid) {
        return one(store.add(request.item(), uid, clock.instant()));
    }

    /** If-Match names the version that the change was made on; 409 with the newest when that is another. */
    @PutMapping("/{id}")
    ItemView change(
            @PathVariable long id,
            @RequestHeader(HttpHeaders.IF_MATCH) String version,
            @RequestBody ItemRequest request) {
        if (store.change(id, Asked.revision(version), request.item(), clock.instant())
                .isEmpty()) {
            throw new StaleRevisionException(
                    "This item was changed in another window. Nothing was overwritten; both versions are in this answer.",
                    one(id),
                    request);
        }
        return one(id);
    }

    /** If-Match as with a change. One that is gone already is gone. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id, @RequestHeader(HttpHeaders.IF_MATCH) String version) {
        if (!store.remove(id, Asked.revision(version))) {
            store.one(id).ifPresent(now -> {
                throw new StaleRevisionException(
                        "This item was changed in another window, so it was not taken out.", ItemView.of(now), null);
            });
        }
    }

    private ItemView one(long id) {
        return store.one(id)
                .map(ItemView::of)
                .orElseThrow(() -> new NotThereException("There is no catalogue item number " + id + "."));
    }

    /** The whole catalogue as CSV, to save. */
    @GetMapping(value = "/file", produces = "text/csv")
    ResponseEntity<byte[]> file() {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("catalogue.csv")
                                .build()
                                .toString())
                .body(stock.csv().getBytes(StandardCharsets.UTF_8));
    }

    /** Adds the items of a CSV file: all of them that are not there yet, or none and why. */
    @PostMapping("/file")
    ImportAnswer read(@RequestBody ImportRequest request) {
        List<CatalogueItem> items = CatalogueCsv.read(Asked.text(request.csv(), "csv"));
        int added = store.addAll(items, clock.instant());
        return new ImportAnswer(added, items.size() - added);
    }
}
