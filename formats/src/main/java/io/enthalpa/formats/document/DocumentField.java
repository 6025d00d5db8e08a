package io.enthalpa.formats.document;

import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;
import io.enthalpa.formats.document.Shape.Item;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A number that a user can edit. Range and default are in the unit of the key's suffix, as in the file.
 *
 * @param part   of a build file it stands in, "core/card"
 * @param key    its key there, unit last, "loss_kPa"
 * @param label  what it is called
 * @param usual  a sensible default
 * @param source where default and range come from, or where to look the number up
 */
public record DocumentField(
        String part,
        String key,
        String label,
        Quantity quantity,
        Unit unit,
        double min,
        double max,
        double usual,
        String source) {
    private static final Map<String, DocumentField> ALL =
            found(Shape.of(BuildDocument.class), Shape.of(TurnsDocument.class));

    static Map<String, DocumentField> found(Shape... roots) {
        Map<String, DocumentField> all = new LinkedHashMap<>();
        List<Shape> trees = List.of(roots);
        for (Shape shape : trees.stream().flatMap(root -> root.all().stream()).toList()) {
            for (Item item : shape.items()) {
                if (item.figure() != null && !trees.contains(shape)) {
                    DocumentField field = of(shape, item);
                    DocumentField before = all.putIfAbsent(field.part + "/" + field.key, field);
                    if (before != null && !before.equals(field)) {
                        throw new IllegalStateException(before + " and " + field + " have one name");
                    }
                }
            }
        }
        return all;
    }

    static DocumentField of(Shape shape, Item item) {
        Figure f = item.figure();
        Suffix suffix = item.suffix();
        return new DocumentField(
                f.part().isEmpty() ? shape.part().value() : f.part(),
                item.key(),
                f.label(),
                suffix.quantity(),
                suffix.unit(),
                f.min(),
                f.max(),
                f.usual(),
                f.help());
    }

    public static List<DocumentField> all() {
        return List.copyOf(ALL.values());
    }

    /** @throws IllegalArgumentException when there is no such field */
    public static DocumentField of(String part, String key) {
        DocumentField field = ALL.get(part + "/" + key);
        if (field == null) {
            throw new IllegalArgumentException("no field " + part + "/" + key);
        }
        return field;
    }
}
