package io.enthalpa.formats.document;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.document.Shape.Item;
import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/**
 * Where an object stands in a build file, and what a reader calls it; refusals are worded here.
 *
 * @param pointer JSON pointer
 * @param words   "hot pipe, wall"; empty for what needs no name
 */
record Place(String pointer, String words, Shape shape) {
    static final Place ROOT = new Place("", "", Shape.of(BuildDocument.class));

    /** @return the object under a key */
    Place to(String key) {
        Item item = shape.item(key);
        return new Place(pointer + "/" + key, inside(item), Shape.of(item.inside()));
    }

    /** @return a row of the list under a key, called by its own name where it has one */
    Place to(String key, int row, Object document) {
        return row(shape.item(key), row, Shape.of(document.getClass())).named(name(document));
    }

    /** @return a row before anything of it is read */
    Place row(Item item, int row, Shape of) {
        return new Place(pointer + "/" + item.key() + "/" + row, inside(item) + " " + (row + 1), of);
    }

    Place named(@Nullable String name) {
        return name == null || !shape.part().named() ? this : new Place(pointer, name, shape);
    }

    private static @Nullable String name(Object document) {
        return document instanceof Named named ? named.name() : null;
    }

    /** @return what a reader calls what is inside */
    String inside(Item item) {
        if (item.called() == null) {
            return words;
        }
        return item.called().alone() || words.isEmpty()
                ? item.called().value()
                : words + ", " + item.called().value();
    }

    String join(String key) {
        return words.isEmpty() ? key : words + ", " + key;
    }

    private String label(Figure figure) {
        return words.isEmpty() || figure.label().startsWith(words) ? figure.label() : words + ", " + figure.label();
    }

    EnthalpaFault malformed(String key, String found, String expected) {
        return malformed(pointer + "/" + key, join(key), found, expected);
    }

    static EnthalpaFault malformed(String pointer, String label, String found, String expected) {
        return EnthalpaFault.of(FaultKind.MALFORMED, pointer, label, found, expected, "");
    }

    /** @param label as a reader knows it, without what it stands in */
    EnthalpaFault contradiction(String key, String label, String found, String allowed, String remedy) {
        return EnthalpaFault.of(FaultKind.CONTRADICTION, pointer + "/" + key, join(label), found, allowed, remedy);
    }

    EnthalpaFault missing(Item item) {
        return EnthalpaFault.of(
                FaultKind.MISSING, pointer + "/" + item.key(), label(item.figure()), "", range(item), "");
    }

    EnthalpaFault notANumber(Item item, String found) {
        String unit = item.suffix().unit().symbol();
        return malformed(
                pointer + "/" + item.key(),
                label(item.figure()),
                found,
                "a number in " + (unit.isEmpty() ? "plain figures" : unit) + " between " + range(item));
    }

    EnthalpaFault outOfRange(Item item, double found) {
        return EnthalpaFault.of(
                FaultKind.OUT_OF_RANGE,
                pointer + "/" + item.key(),
                label(item.figure()),
                withUnit(found, item),
                range(item),
                item.figure().help() + ".");
    }

    EnthalpaFault notWhole(Item item, double found) {
        return EnthalpaFault.of(
                FaultKind.CONTRADICTION,
                pointer + "/" + item.key(),
                label(item.figure()),
                plain(found),
                "a whole number",
                "");
    }

    /** @return the number, which this object cannot do without */
    double need(String key, @Nullable Double number) {
        if (number == null) {
            throw missing(shape.item(key));
        }
        return number;
    }

    /** @throws EnthalpaFault when there is something that an object of this sort has no use for */
    void none(String why, Object... keysAndValues) {
        for (int i = 0; i < keysAndValues.length; i += 2) {
            if (keysAndValues[i + 1] != null) {
                throw malformed((String) keysAndValues[i], "of no use here", why);
            }
        }
    }

    /** @param fault of something inside, its field told by core's names from here, or from what stands under a key here */
    EnthalpaFault inside(EnthalpaFault fault, String key) {
        if (fault.subject().isPresent() || fault.field().startsWith("/")) {
            return fault;
        }
        String names = key.isEmpty() ? fault.field() : key + "/" + fault.field();
        return fault.at(pointer + Pointers.below(shape, names), join(fault.label()));
    }

    private static String range(Item item) {
        return plain(item.figure().min()) + " and " + withUnit(item.figure().max(), item);
    }

    private static String withUnit(double number, Item item) {
        return (plain(number) + " " + item.suffix().unit().symbol()).strip();
    }

    static String plain(double number) {
        return Double.isFinite(number)
                ? new BigDecimal(Double.toString(number)).stripTrailingZeros().toPlainString()
                : Double.toString(number);
    }
}
