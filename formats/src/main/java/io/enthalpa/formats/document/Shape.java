package io.enthalpa.formats.document;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * What may stand in an object of the build file, read from the components of its record. The one description: checks, the field catalogue,
 * the JSON schema, the page's types and the tables of docs/build-file.md are all made from it.
 *
 * @param type  the record
 * @param part  its annotation
 * @param items in the order they are written
 */
record Shape(Class<?> type, Part part, List<Item> items) {
    /** What stands behind a key. */
    enum Form {
        NUMBER,
        COUNT,
        TEXT,
        FLAG,
        WORD,
        OBJECT,
        ROWS,
        NUMBERS
    }

    /**
     * @param optional may be left out
     * @param figure   of a number; null otherwise
     * @param words    that it may be, of a word; empty otherwise
     * @param inside   record or interface of an object or of each row; void otherwise
     * @param called   what a reader calls what is inside; null when that has no name of its own
     * @param isKind   tells which of several objects this is
     * @param blank    a text that may be empty
     * @param packed   a text that may be long
     */
    record Item(
            String key,
            Form form,
            boolean optional,
            @Nullable Figure figure,
            List<String> words,
            Class<?> inside,
            @Nullable Called called,
            boolean isKind,
            boolean blank,
            boolean packed) {
        Suffix suffix() {
            return form == Form.NUMBERS ? Suffix.NONE : Suffix.of(key);
        }

        int most() {
            return called == null ? 0 : called.most();
        }
    }

    private static final Map<Class<?>, Shape> KNOWN = new ConcurrentHashMap<>();

    static Shape of(Class<?> record) {
        Shape known = KNOWN.get(record);
        if (known == null) {
            known = read(record);
            KNOWN.put(record, known);
        }
        return known;
    }

    /** @return whether something may stand under a key */
    boolean has(String key) {
        for (Item item : items) {
            if (item.key().equals(key)) {
                return true;
            }
        }
        return false;
    }

    private static Shape read(Class<?> record) {
        Part part = record.getAnnotation(Part.class);
        if (part == null || !record.isRecord()) {
            throw new IllegalArgumentException(record + " is no record of the build file");
        }
        return new Shape(
                record,
                part,
                Arrays.stream(record.getRecordComponents())
                        .map(c -> item(record, c))
                        .toList());
    }

    private static Item item(Class<?> record, RecordComponent component) {
        String key = component.getName();
        boolean optional = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
        Figure figure = figure(record, component);
        Called called = component.getAnnotation(Called.class);
        Kind kind = component.getAnnotation(Kind.class);
        Class<?> type = component.getType();
        if (List.class.isAssignableFrom(type)) {
            Type row = ((ParameterizedType) component.getGenericType()).getActualTypeArguments()[0];
            return row == Double.class
                    ? new Item(key, Form.NUMBERS, optional, figure, List.of(), void.class, called, false, false, false)
                    : new Item(key, Form.ROWS, optional, null, List.of(), (Class<?>) row, called, false, false, false);
        }
        if (figure != null) {
            boolean whole = type == int.class || type == Integer.class;
            return new Item(
                    key,
                    whole ? Form.COUNT : Form.NUMBER,
                    optional,
                    figure,
                    List.of(),
                    void.class,
                    null,
                    false,
                    false,
                    false);
        }
        if (Words.has(type)) {
            return new Item(
                    key, Form.WORD, optional, null, Words.of(type), void.class, null, kind != null, false, false);
        }
        if (kind != null) {
            return new Item(
                    key, Form.WORD, optional, null, List.of(kind.value()), void.class, null, true, false, false);
        }
        Form form = type == String.class
                ? Form.TEXT
                : type == boolean.class || type == Boolean.class ? Form.FLAG : Form.OBJECT;
        return new Item(
                key,
                form,
                optional,
                null,
                List.of(),
                form == Form.OBJECT ? type : void.class,
                called,
                false,
                component.isAnnotationPresent(Blank.class),
                component.isAnnotationPresent(Packed.class));
    }

    /** Said on the component, by the record it points to, or once for all by an interface that several records share. */
    private static @Nullable Figure figure(Class<?> record, RecordComponent component) {
        Like like = component.getAnnotation(Like.class);
        if (like != null) {
            return of(like.value()).item(component.getName()).figure();
        }
        Figure own = component.getAnnotation(Figure.class);
        if (own != null) {
            return own;
        }
        for (Class<?> shared : record.getInterfaces()) {
            try {
                return shared.getMethod(component.getName()).getAnnotation(Figure.class);
            } catch (NoSuchMethodException notThere) {
                // The next one may have it.
            }
        }
        return null;
    }

    /** @return the records that may stand where an interface does, by the word that tells them apart */
    static Map<String, Shape> kinds(Class<?> sealed) {
        Map<String, Shape> kinds = new LinkedHashMap<>();
        for (Class<?> record : sealed.getPermittedSubclasses()) {
            Shape shape = of(record);
            shape.items().stream()
                    .filter(Item::isKind)
                    .findFirst()
                    .orElseThrow()
                    .words()
                    .forEach(word -> kinds.put(word, shape));
        }
        return kinds;
    }

    /** @return every record from this one on, each once, in the order they are met */
    List<Shape> all() {
        List<Shape> found = new ArrayList<>();
        collect(this, found);
        return found;
    }

    private static void collect(Shape shape, List<Shape> found) {
        if (found.contains(shape)) {
            return;
        }
        found.add(shape);
        for (Item item : shape.items()) {
            if (item.inside().isInterface()) {
                kinds(item.inside()).values().forEach(inner -> collect(inner, found));
            } else if (item.inside() != void.class) {
                collect(of(item.inside()), found);
            }
        }
    }

    Item item(String key) {
        return items.stream()
                .filter(i -> i.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no " + key + " in " + type.getSimpleName()));
    }
}
