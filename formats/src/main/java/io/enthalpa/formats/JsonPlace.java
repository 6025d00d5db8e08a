package io.enthalpa.formats;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * An object inside a build file, with its JSON pointer and the words that a reader knows it by. Every value read is checked;
 * {@link #nothingElse} refuses keys that nobody asked for, so that a misspelt key is never silently ignored.
 */
final class JsonPlace {
    private static final int LONGEST_TEXT = 200;
    private final JsonNode node;
    private final String pointer;
    private final String words;
    private final Set<String> read = new HashSet<>();
    private boolean row;

    JsonPlace(JsonNode node, String pointer, String words) {
        this.node = node;
        this.pointer = pointer;
        this.words = words;
        if (!node.isObject()) {
            throw malformed(pointer, words.isEmpty() ? "build" : words, kindOf(node), "an object { ... }");
        }
    }

    /** @return the same object under a better name; what was read before does not count as read */
    JsonPlace calledNow(String name) {
        JsonPlace same = new JsonPlace(node, pointer, name);
        same.row = row;
        return same;
    }

    JsonPlace child(String key, String childWords) {
        return new JsonPlace(require(key), pointer + "/" + key, childWords);
    }

    List<JsonPlace> children(String key, String childWords, int most) {
        JsonNode list = require(key);
        if (!list.isArray()) {
            throw malformed(pointer + "/" + key, childWords, kindOf(list), "a list [ ... ]");
        }
        if (list.size() > most) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, pointer + "/" + key, "number of " + childWords + "s",
                    String.valueOf(list.size()), "at most " + most, "");
        }
        List<JsonPlace> children = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            JsonPlace row = new JsonPlace(list.get(i), pointer + "/" + key + "/" + i, childWords + " " + (i + 1));
            row.identity();
            children.add(row);
        }
        return children;
    }

    private void identity() {
        JsonNode id = node.get(RowIdentities.KEY);
        if (id != null && !RowIdentities.isOne(id)) {
            throw malformed(pointer + "/" + RowIdentities.KEY, join(RowIdentities.KEY), kindOf(id), "up to 24 letters and figures in quotes");
        }
        row = true;
    }

    boolean has(String key) {
        return node.hasNonNull(key);
    }

    /** @return the value in SI, inside the field's range */
    double number(Field field) {
        return number(field, label(field));
    }

    /** As {@link #number(Field)}, under another name for the reader. */
    double number(Field field, String label) {
        String at = pointer + "/" + field.key();
        read.add(field.key());
        JsonNode value = node.get(field.key());
        if (value == null || value.isNull()) {
            throw EnthalpaFault.of(FaultKind.MISSING, at, label, "", range(field), "");
        }
        if (!value.isNumber()) {
            throw malformed(at, label, kindOf(value), "a number in " + unitName(field) + " between " + range(field));
        }
        double number = finite(value);
        if (!(number >= field.min() && number <= field.max())) {
            throw EnthalpaFault.of(FaultKind.OUT_OF_RANGE, at, label, withUnit(plain(number), field), range(field), field.source() + ".");
        }
        return field.unit().toSi(number);
    }

    /** A list of plain numbers, each within the limits. */
    List<Double> numbers(String key, String childWords, int most, double min, double max) {
        JsonNode list = require(key);
        if (!list.isArray() || list.size() > most) {
            throw malformed(pointer + "/" + key, childWords + "s", list.isArray() ? String.valueOf(list.size()) : kindOf(list), "a list of at most " + most + " numbers");
        }
        List<Double> numbers = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            String at = pointer + "/" + key + "/" + i;
            if (!list.get(i).isNumber()) {
                throw malformed(at, childWords + " " + (i + 1), kindOf(list.get(i)), "a number between " + plain(min) + " and " + plain(max));
            }
            double number = finite(list.get(i));
            if (!(number >= min && number <= max)) {
                throw EnthalpaFault.of(FaultKind.OUT_OF_RANGE, at, childWords + " " + (i + 1), plain(number), plain(min) + " and " + plain(max), "");
            }
            numbers.add(number);
        }
        return numbers;
    }

    /** @return the number; one with hundreds of figures is as good as infinite, and is refused by its range */
    private static double finite(JsonNode value) {
        return value.isDouble() ? value.doubleValue() : value.decimalValue().doubleValue();
    }

    OptionalDouble optionalNumber(Field field) {
        read.add(field.key());
        return has(field.key()) ? OptionalDouble.of(number(field)) : OptionalDouble.empty();
    }

    int count(Field field) {
        double number = number(field);
        if (number != Math.rint(number)) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, pointer + "/" + field.key(), label(field), plain(number), "a whole number", "");
        }
        return (int) number;
    }

    boolean flag(String key) {
        JsonNode value = require(key);
        if (!value.isBoolean()) {
            throw malformed(pointer + "/" + key, join(key), kindOf(value), "true or false");
        }
        return value.booleanValue();
    }

    String text(String key) {
        JsonNode value = require(key);
        if (!value.isString()) {
            throw malformed(pointer + "/" + key, join(key), kindOf(value), "text in quotes");
        }
        String text = value.stringValue();
        if (text.length() > LONGEST_TEXT) {
            throw malformed(pointer + "/" + key, join(key), text.length() + " characters", "at most " + LONGEST_TEXT);
        }
        return text;
    }

    /** Text that must not be blank. */
    String name(String key) {
        String text = text(key).strip();
        if (text.isEmpty()) {
            throw malformed(pointer + "/" + key, join(key), "empty", "a name");
        }
        return text;
    }

    <T> T oneOf(String key, java.util.Map<String, T> choices) {
        String text = text(key);
        T choice = choices.get(text);
        if (choice == null) {
            throw malformed(pointer + "/" + key, join(key), "\"" + text + "\"", "one of " + String.join(", ", choices.keySet()));
        }
        return choice;
    }

    /** Reads a constant that only says what the object is. */
    void ignore(String key) {
        read.add(key);
    }

    void nothingElse() {
        for (String key : node.propertyNames()) {
            if (!read.contains(key) && !(row && key.equals(RowIdentities.KEY))) {
                throw malformed(pointer + "/" + key, join(key), "not a known key here", "one of " + String.join(", ", read.stream().sorted().toList()));
            }
        }
    }

    String pointer() {
        return pointer;
    }

    private JsonNode require(String key) {
        read.add(key);
        JsonNode value = node.get(key);
        if (value == null || value.isNull()) {
            throw malformed(pointer + "/" + key, join(key), "missing", "it to be there");
        }
        return value;
    }

    private String join(String key) {
        return words.isEmpty() ? key : words + ", " + key;
    }

    private String label(Field field) {
        return words.isEmpty() || field.label().startsWith(words) ? field.label() : words + ", " + field.label();
    }

    static EnthalpaFault malformed(String pointer, String label, String found, String expected) {
        return EnthalpaFault.of(FaultKind.MALFORMED, pointer, label, found, expected, "");
    }

    private static String kindOf(JsonNode node) {
        return switch (node.getNodeType()) {
            case ARRAY -> "a list";
            case BOOLEAN -> node.toString();
            case NUMBER -> "the number " + node;
            case STRING -> "the text " + (node.toString().length() > 60 ? node.toString().substring(0, 60) + "..." : node.toString());
            case OBJECT -> "an object";
            default -> "nothing";
        };
    }

    private static String range(Field field) {
        return plain(field.min()) + " and " + withUnit(plain(field.max()), field);
    }

    private static String unitName(Field field) {
        return field.unit().symbol().isEmpty() ? "plain figures" : field.unit().symbol();
    }

    private static String withUnit(String number, Field field) {
        return (number + " " + field.unit().symbol()).strip();
    }

    private static String plain(double number) {
        return Double.isFinite(number) ? new BigDecimal(Double.toString(number)).stripTrailingZeros().toPlainString() : Double.toString(number);
    }
}
