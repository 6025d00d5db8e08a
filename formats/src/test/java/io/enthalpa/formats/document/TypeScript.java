package io.enthalpa.formats.document;

import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.loss.StandardSizes;
import io.enthalpa.formats.document.Shape.Form;
import io.enthalpa.formats.document.Shape.Item;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** The page's types of the build file. */
final class TypeScript {
    private final StringBuilder text = new StringBuilder(
            "/* Made from the records of the build file (formats, package document). Change them there. */\n");

    static String of(Shape root) {
        TypeScript made = new TypeScript();
        Set<Class<?>> choices = new LinkedHashSet<>();
        Set<Class<?>> sealed = new LinkedHashSet<>();
        List<Shape> shapes = new ArrayList<>(root.all());
        shapes.addAll(Shape.of(NewJobDocument.class).all());
        shapes.addAll(Shape.of(TurnsDocument.class).all());
        for (Shape shape : shapes) {
            for (var component : shape.type().getRecordComponents()) {
                if (Words.has(component.getType())) {
                    choices.add(component.getType());
                }
            }
            shape.items().stream().map(Item::inside).filter(Class::isInterface).forEach(sealed::add);
        }
        choices.forEach(made::choice);
        shapes.forEach(made::shape);
        sealed.forEach(made::union);
        made.usual(root);
        made.usualBlowers();
        made.stock();
        return made.text.toString();
    }

    /** What outside this package is called so keeps its name; a record that shares its name with a part of the core is told from it by an ending. */
    static String name(Class<?> type) {
        String name = type.getSimpleName();
        return Modifier.isPublic(type.getModifiers()) ? name : name.replaceFirst("Document$", "");
    }

    private static String choiceName(Class<?> type) {
        return (type.isMemberClass() ? type.getDeclaringClass().getSimpleName().replaceFirst("Spec$", "") : "")
                + type.getSimpleName();
    }

    private void choice(Class<?> type) {
        String name = choiceName(type);
        String list = name.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + name.substring(1) + "Words";
        text.append("\nexport const ")
                .append(list)
                .append(" = [")
                .append(Words.of(type).stream().map(w -> "'" + w + "'").collect(Collectors.joining(", ")))
                .append("] as const\n");
        text.append("export type ")
                .append(name)
                .append(" = (typeof ")
                .append(list)
                .append(")[number]\n");
    }

    private void shape(Shape shape) {
        text.append("\n/** ")
                .append(shape.part().says())
                .append(" */\nexport interface ")
                .append(name(shape.type()))
                .append(" {\n");
        for (int i = 0; i < shape.items().size(); i++) {
            Item item = shape.items().get(i);
            if (item.figure() != null) {
                text.append("  /** ").append(Markdown.figure(item)).append(" */\n");
            }
            text.append("  ")
                    .append(item.key())
                    .append(item.optional() ? "?" : "")
                    .append(": ")
                    .append(type(shape, i, item))
                    .append('\n');
        }
        text.append("}\n");
    }

    private static String type(Shape shape, int component, Item item) {
        Class<?> java = shape.type().getRecordComponents()[component].getType();
        return switch (item.form()) {
            case NUMBER, COUNT -> "number";
            case NUMBERS -> "number[]";
            case TEXT -> "string";
            case FLAG -> "boolean";
            case WORD ->
                Words.has(java)
                        ? choiceName(java)
                        : item.words().stream().map(w -> "'" + w + "'").collect(Collectors.joining(" | "));
            default -> name(item.inside()) + (item.form() == Form.ROWS ? "[]" : "");
        };
    }

    private void union(Class<?> sealed) {
        List<String> names = new ArrayList<>();
        for (Class<?> one : sealed.getPermittedSubclasses()) {
            names.add(name(one));
        }
        text.append("\nexport type ")
                .append(name(sealed))
                .append(" = ")
                .append(String.join(" | ", names))
                .append('\n');
    }

    /** What goes with each type of blower. */
    private void usualBlowers() {
        text.append(
                        "\n/** What a blower of each type is called, and the efficiency a well-matched one shows, by default and from to. */\n")
                .append(
                        "export const usualBlower: Record<BlowerType, { name: string; efficiency_pct: number; low_pct: number; high_pct: number }> = {\n");
        for (BlowerType type : BlowerType.values()) {
            text.append("  '%s': { name: '%s', efficiency_pct: %s, low_pct: %s, high_pct: %s },%n"
                    .formatted(
                            Words.of(type),
                            type.usualName(),
                            percent(type.usualEfficiency()),
                            percent(type.usualLow()),
                            percent(type.usualHigh())));
        }
        text.append("}\n");
    }

    /** What tube and its bends are where nothing is typed. */
    private void stock() {
        text.append(
                        "\n/** Wall of usual stock, mm; of what is sold by its outside diameter, and of hose, sold by its bore. */\n")
                .append("export const stockWall: Record<PipeMaterial, { tube: boolean; wall_mm: number }> = {\n");
        for (PipeMaterial material : PipeMaterial.values()) {
            text.append("  %s: { tube: %s, wall_mm: %s },%n"
                    .formatted(Words.of(material), material.isTube(), Place.plain(Suffix.MM.of(material.usualWall()))));
        }
        text.append("}\n")
                .append("\n/** Centre line radius of a stock bend over the tube's outside or the hose's bore. */\n")
                .append("export const stockBend = %s%n".formatted(Place.plain(PipeSpec.Bend.STOCK)))
                .append("\n/** Tube that is sold, by its outside diameter, and charge hose, by its bore, mm. */\n")
                .append("export const tubeSizes = %s%n".formatted(sizes(StandardSizes.TUBES)))
                .append("export const hoseSizes = %s%n".formatted(sizes(StandardSizes.CHARGE_HOSES)));
    }

    private static String sizes(StandardSizes sizes) {
        return sizes.all().stream()
                .map(size -> Place.plain(Math.rint(1e4 * size) / 10))
                .collect(Collectors.joining(", ", "[", "]"));
    }

    private static String percent(double share) {
        return Place.plain(Math.rint(1000 * share) / 10);
    }

    /** Sensible defaults by part and key, so that the page keeps none of its own. */
    private void usual(Shape root) {
        text.append("\n/** A sensible default of each number, by the part it stands in. */\nexport const usual = {\n");
        Map<String, List<DocumentField>> parts = DocumentField.found(root).values().stream()
                .collect(Collectors.groupingBy(DocumentField::part, LinkedHashMap::new, Collectors.toList()));
        parts.forEach((part, fields) -> text.append("  '")
                .append(part)
                .append("': { ")
                .append(fields.stream()
                        .map(f -> f.key() + ": " + Place.plain(f.usual()))
                        .collect(Collectors.joining(", ")))
                .append(" },\n"));
        text.append("}\n");
    }
}
