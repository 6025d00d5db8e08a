package io.enthalpa.server.catalogue;

import io.enthalpa.formats.CatalogueCsv;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** The catalogue as a whole: the generic items that a new one starts with, invented and neutral, and all of it as CSV out and in. */
@Component
public class CatalogueStock implements ApplicationRunner {
    private final CatalogueStore store;
    private final Clock clock;

    CatalogueStock(CatalogueStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        store.stockOnce(CatalogueCsv.read(text()), clock.instant());
    }

    /** @return the whole catalogue as CSV */
    public String csv() {
        return CatalogueCsv.write(store.all().stream().map(StoredItem::item).toList());
    }

    /** @return how many items of a CSV file were not there yet and were put in */
    public int take(String csv) {
        return store.addAll(CatalogueCsv.read(csv), clock.instant());
    }

    private static String text() {
        try (InputStream in = CatalogueStock.class.getResourceAsStream("/catalogue/generic.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
