package io.enthalpa.formats.document;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.document.Shape.Form;
import io.enthalpa.formats.document.Shape.Item;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * Looks through the tree of a build file before it is bound: every key is known, everything needed is there, every number inside its range.
 * What is wrong is told by its place, its value, what is allowed, and the right key where one was misspelt.
 */
final class Check {
    static final String IDENTITY = "id";
    private static final String IDENTITY_SHAPE = "[A-Za-z0-9_-]{1,24}";
    private static final int LONGEST_TEXT = 200;
    private static final String NAME = "name";

    private Check() {}

    /** @throws EnthalpaFault naming the first thing that is not as it should be */
    static void check(JsonNode node, Place place) {
        if (!node.isObject()) {
            throw Place.malformed(
                    place.pointer(),
                    place.words().isEmpty() ? "build" : place.words(),
                    kindOf(node),
                    "an object { ... }");
        }
        unknown(node, place);
        for (Item item : place.shape().items()) {
            JsonNode value = node.get(item.key());
            if (value != null && !value.isNull()) {
                one(value, item, place);
            } else if (!item.optional()) {
                throw item.form() == Form.NUMBER || item.form() == Form.COUNT
                        ? place.missing(item)
                        : place.malformed(item.key(), "missing", needed(item));
            }
        }
    }

    private static void unknown(JsonNode node, Place place) {
        for (String key : node.propertyNames()) {
            if (!place.shape().has(key)) {
                List<String> known =
                        place.shape().items().stream().map(Item::key).toList();
                String all = String.join(", ", known.stream().sorted().toList());
                throw Nearest.to(key, known)
                        .map(meant -> EnthalpaFault.of(
                                FaultKind.MALFORMED,
                                place.pointer() + "/" + key,
                                place.join(key),
                                "not a known key here",
                                "perhaps " + meant,
                                "All that may stand here: " + all + "."))
                        .orElseGet(() -> place.malformed(key, "not a known key here", "one of " + all));
            }
        }
    }

    private static String needed(Item item) {
        return item.words().isEmpty() ? "it to be there" : "one of " + String.join(", ", item.words());
    }

    private static void one(JsonNode value, Item item, Place place) {
        switch (item.form()) {
            case NUMBER -> number(value, item, place);
            case COUNT -> {
                double number = number(value, item, place);
                if (number != Math.rint(number)) {
                    throw place.notWhole(item, number);
                }
            }
            case TEXT -> text(value, item, place);
            case WORD -> {
                String word = text(value, item, place);
                if (!item.words().contains(word)) {
                    throw place.malformed(item.key(), "\"" + word + "\"", "one of " + String.join(", ", item.words()));
                }
            }
            case FLAG -> {
                if (!value.isBoolean()) {
                    throw place.malformed(item.key(), kindOf(value), "true or false");
                }
            }
            case OBJECT -> check(value, place.to(item.key()));
            case ROWS -> rows(list(value, item, place), item, place);
            case NUMBERS -> numbers(list(value, item, place), item, place);
            default -> throw new IllegalStateException(item.toString());
        }
    }

    private static double number(JsonNode value, Item item, Place place) {
        if (!value.isNumber()) {
            throw place.notANumber(item, kindOf(value));
        }
        double number = finite(value);
        if (!(number >= item.figure().min() && number <= item.figure().max())) {
            throw place.outOfRange(item, number);
        }
        return number;
    }

    /** @return the number; one with hundreds of figures is as good as infinite, and is refused by its range */
    private static double finite(JsonNode value) {
        return value.isDouble() ? value.doubleValue() : value.decimalValue().doubleValue();
    }

    private static String text(JsonNode value, Item item, Place place) {
        boolean identity = item.key().equals(IDENTITY);
        if (identity && !isIdentity(value)) {
            throw place.malformed(item.key(), kindOf(value), "up to 24 letters and figures in quotes");
        }
        if (!value.isString()) {
            throw place.malformed(item.key(), kindOf(value), "text in quotes");
        }
        String text = value.stringValue();
        if (!item.packed() && text.length() > LONGEST_TEXT) {
            throw place.malformed(item.key(), text.length() + " characters", "at most " + LONGEST_TEXT);
        }
        if (!item.optional() && !item.blank() && text.isBlank()) {
            throw place.malformed(item.key(), "empty", "a name");
        }
        return text;
    }

    static boolean isIdentity(JsonNode id) {
        return id.isString() && id.stringValue().matches(IDENTITY_SHAPE);
    }

    private static JsonNode list(JsonNode value, Item item, Place place) {
        if (!value.isArray()) {
            throw Place.malformed(
                    place.pointer() + "/" + item.key(), place.inside(item), kindOf(value), "a list [ ... ]");
        }
        if (item.most() > 0 && value.size() > item.most()) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    place.pointer() + "/" + item.key(),
                    "number of " + place.inside(item) + "s",
                    String.valueOf(value.size()),
                    "at most " + item.most(),
                    "");
        }
        return value;
    }

    private static void rows(JsonNode list, Item item, Place place) {
        Map<String, Shape> kinds = item.inside().isInterface() ? Shape.kinds(item.inside()) : Map.of();
        for (int i = 0; i < list.size(); i++) {
            JsonNode row = list.get(i);
            Shape shape = kinds.isEmpty()
                    ? Shape.of(item.inside())
                    : kinds.get(row.path(kindKey(kinds)).asString(""));
            Place at =
                    place.row(item, i, shape == null ? kinds.values().iterator().next() : shape);
            if (!row.isObject()) {
                check(row, at);
            }
            Place called =
                    row.path(NAME).isString() && !row.path(NAME).stringValue().isBlank()
                            ? at.named(row.path(NAME).stringValue().strip())
                            : at;
            if (shape == null) {
                throw ofNoKind(row, called, kinds);
            }
            check(row, called);
        }
    }

    private static String kindKey(Map<String, Shape> kinds) {
        return kinds.values().iterator().next().items().stream()
                .filter(Item::isKind)
                .findFirst()
                .orElseThrow()
                .key();
    }

    private static EnthalpaFault ofNoKind(JsonNode row, Place at, Map<String, Shape> kinds) {
        JsonNode kind = row.path(kindKey(kinds));
        String found = kind.isMissingNode() || kind.isNull()
                ? "missing"
                : kind.isString() ? "\"" + kind.stringValue() + "\"" : kindOf(kind);
        return at.malformed(kindKey(kinds), found, "one of " + String.join(", ", kinds.keySet()));
    }

    private static void numbers(JsonNode list, Item item, Place place) {
        for (int i = 0; i < list.size(); i++) {
            String label = place.inside(item) + " " + (i + 1);
            String at = place.pointer() + "/" + item.key() + "/" + i;
            String range = Place.plain(item.figure().min()) + " and "
                    + Place.plain(item.figure().max());
            if (!list.get(i).isNumber()) {
                throw Place.malformed(at, label, kindOf(list.get(i)), "a number between " + range);
            }
            double number = finite(list.get(i));
            if (!(number >= item.figure().min() && number <= item.figure().max())) {
                throw EnthalpaFault.of(FaultKind.OUT_OF_RANGE, at, label, Place.plain(number), range, "");
            }
        }
    }

    private static String kindOf(JsonNode node) {
        return switch (node.getNodeType()) {
            case ARRAY -> "a list";
            case BOOLEAN -> node.toString();
            case NUMBER -> "the number " + node;
            case STRING ->
                "the text "
                        + (node.toString().length() > 60 ? node.toString().substring(0, 60) + "..." : node.toString());
            case OBJECT -> "an object";
            default -> "nothing";
        };
    }
}
