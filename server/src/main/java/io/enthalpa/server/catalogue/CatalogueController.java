package io.enthalpa.server.catalogue;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.CatalogueCsv;
import io.enthalpa.formats.CatalogueItem;
import io.enthalpa.server.problem.NotThereException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
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
    private final Clock clock;

    CatalogueController(CatalogueStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /** Price in the reader's own currency; mass of a pipe for each metre; figures as in a build file. */
    record ItemView(long id, String kind, String name, String note, double price, double mass_kg, JsonNode figures) {
        static ItemView of(StoredItem s) {
            CatalogueItem i = s.item();
            return new ItemView(s.id(), i.kind(), i.name(), i.note(), i.price(), i.mass(), i.figures());
        }
    }

    record ItemRequest(String kind, String name, @Nullable String note, double price, double mass_kg, JsonNode figures) {
        CatalogueItem item() {
            if (!(figures instanceof ObjectNode object)) {
                throw EnthalpaFault.of(FaultKind.MALFORMED, "/figures", "figures", "not an object", "its numbers as in a build file", "");
            }
            return new CatalogueItem(kind, name, note == null ? "" : note, price, mass_kg, object);
        }
    }

    /** @param csv a whole file */
    record ImportRequest(String csv) {
    }

    record ImportAnswer(int added) {
    }

    /**
     * @param kind only this kind; all without
     * @param q    words that must all stand in name, note or figures
     */
    @GetMapping
    List<ItemView> find(@RequestParam(required = false) @Nullable String kind, @RequestParam(required = false) @Nullable String q) {
        return store.all().stream().filter(s -> kind == null || s.item().kind().equals(kind)).filter(s -> matches(s.item(), q)).map(ItemView::of).toList();
    }

    private static boolean matches(CatalogueItem item, @Nullable String words) {
        if (words == null || words.isBlank()) {
            return true;
        }
        String text = (item.kind() + " " + item.name() + " " + item.note() + " " + item.figures()).toLowerCase(Locale.ROOT);
        return List.of(words.toLowerCase(Locale.ROOT).strip().split("\\s+")).stream().allMatch(text::contains);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ItemView add(@RequestBody ItemRequest request) {
        return one(store.add(request.item(), clock.instant()));
    }

    @PutMapping("/{id}")
    ItemView change(@PathVariable long id, @RequestBody ItemRequest request) {
        if (!store.change(id, request.item(), clock.instant())) {
            throw new NotThereException("catalogue item " + id);
        }
        return one(id);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id) {
        if (!store.remove(id)) {
            throw new NotThereException("catalogue item " + id);
        }
    }

    private ItemView one(long id) {
        return store.one(id).map(ItemView::of).orElseThrow(() -> new NotThereException("catalogue item " + id));
    }

    /** The whole catalogue as CSV, to save. */
    @GetMapping(value = "/file", produces = "text/csv")
    ResponseEntity<byte[]> file() {
        return ResponseEntity.ok().contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, ContentDisposition.attachment().filename("catalogue.csv").build().toString())
                .body(CatalogueCsv.write(store.all().stream().map(StoredItem::item).toList()).getBytes(StandardCharsets.UTF_8));
    }

    /** Adds the items of a CSV file: all of them, or none and why. */
    @PostMapping("/file")
    ImportAnswer read(@RequestBody ImportRequest request) {
        List<CatalogueItem> items = CatalogueCsv.read(request.csv());
        store.addAll(items, clock.instant());
        return new ImportAnswer(items.size());
    }
}
