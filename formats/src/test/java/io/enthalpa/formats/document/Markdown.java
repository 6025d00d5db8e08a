package io.enthalpa.formats.document;

import io.enthalpa.formats.document.Shape.Form;
import io.enthalpa.formats.document.Shape.Item;
import java.util.List;
import java.util.stream.Collectors;

/** The tables of docs/build-file.md. */
final class Markdown {
    private final StringBuilder text = new StringBuilder();

    static String of(Shape root) {
        Markdown made = new Markdown();
        root.all().forEach(made::shape);
        return made.text.toString();
    }

    /** @return a figure in one line: label, unit, range, default, help */
    static String figure(Item item) {
        Figure f = item.figure();
        String unit = item.suffix().unit().symbol();
        return "%s%s, %s to %s, usually %s: %s"
                .formatted(
                        f.label(),
                        unit.isEmpty() ? "" : ", " + unit,
                        Place.plain(f.min()),
                        Place.plain(f.max()),
                        Place.plain(f.usual()),
                        f.help());
    }

    private void shape(Shape shape) {
        List<String> kinds = shape.items().stream()
                .filter(Item::isKind)
                .flatMap(i -> i.words().stream())
                .toList();
        String heading = TypeScript.name(shape.type());
        text.append("\n### ")
                .append(heading)
                .append("\n\n")
                .append(shape.part().says().substring(0, 1).toUpperCase(java.util.Locale.ROOT))
                .append(shape.part().says().substring(1))
                .append(".\n");
        if (kinds.size() == 1) {
            text.append("`\"")
                    .append("kind".equals(kindKey(shape)) ? "kind" : kindKey(shape))
                    .append("\": \"")
                    .append(kinds.get(0))
                    .append("\"`\n");
        }
        text.append("\n| key | what | |\n|---|---|---|\n");
        for (Item item : shape.items()) {
            if (!(item.isKind() && kinds.size() == 1) && !item.key().equals("id")) {
                text.append("| `")
                        .append(item.key())
                        .append("` | ")
                        .append(what(item))
                        .append(" | ")
                        .append(item.optional() ? "may be left out" : "")
                        .append(" |\n");
            }
        }
    }

    private static String kindKey(Shape shape) {
        return shape.items().stream()
                .filter(Item::isKind)
                .findFirst()
                .orElseThrow()
                .key();
    }

    private static String what(Item item) {
        return switch (item.form()) {
            case NUMBER, COUNT -> figure(item) + (item.form() == Form.COUNT ? "; a whole number" : "");
            case NUMBERS -> "list of numbers, at most " + item.most() + ": " + figure(item);
            case TEXT -> item.blank() ? "text, or empty" : "text";
            case FLAG -> "`true` or `false`";
            case WORD -> item.words().stream().map(w -> "`" + w + "`").collect(Collectors.joining(", "));
            case OBJECT -> link(item.inside());
            case ROWS ->
                "list of "
                        + (item.inside().isInterface()
                                ? Shape.kinds(item.inside()).values().stream()
                                        .distinct()
                                        .map(s -> link(s.type()))
                                        .collect(Collectors.joining(", "))
                                : link(item.inside()))
                        + (item.most() > 0 ? "; at most " + item.most() : "");
            default -> throw new IllegalStateException(item.toString());
        };
    }

    private static String link(Class<?> type) {
        String name = TypeScript.name(type);
        return "[" + name + "](#" + name.toLowerCase(java.util.Locale.ROOT) + ")";
    }
}
