package io.enthalpa.server.fields;

import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;
import io.enthalpa.formats.Sentences;
import io.enthalpa.formats.document.DocumentField;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What every number is: the screen reads names, units, ranges, defaults and their sources from the core. */
@RestController
@RequestMapping("/api/fields")
class FieldsController {

    record UnitView(String symbol, double factor, double offset, List<String> alsoWritten) {
        static UnitView of(Unit u) {
            return new UnitView(u.symbol(), u.factor(), u.offset(), u.alsoWritten());
        }
    }

    record QuantityView(Quantity quantity, String si, List<UnitView> units) {}

    /** Range and default in the unit of the key's suffix. */
    record FieldView(
            String part,
            String key,
            String label,
            Quantity quantity,
            String unit,
            double min,
            double max,
            double usual,
            String source) {
        static FieldView of(DocumentField f) {
            return new FieldView(
                    f.part(),
                    f.key(),
                    f.label(),
                    f.quantity(),
                    f.unit().symbol(),
                    f.min(),
                    f.max(),
                    f.usual(),
                    f.source());
        }
    }

    /** {@code sentences}: what a run can say, each by the kind of its finding. */
    record FieldCatalogue(List<QuantityView> quantities, List<FieldView> fields, Map<String, String> sentences) {}

    @GetMapping
    FieldCatalogue catalogue() {
        return new FieldCatalogue(
                Arrays.stream(Quantity.values())
                        .map(q -> new QuantityView(
                                q, q.si(), q.units().stream().map(UnitView::of).toList()))
                        .toList(),
                DocumentField.all().stream().map(FieldView::of).toList(),
                Sentences.all());
    }
}
