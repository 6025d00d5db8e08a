package io.enthalpa.formats.document;

import io.enthalpa.core.build.BuildOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a file would say otherwise of an option with a change in it. What tries changes works on options; this makes the edits of a file of
 * it that a page can show and make.
 *
 * @param edits in the order of the file
 */
public record OptionEdits(List<Edit> edits) {
    /**
     * @param pointer within the option, "/path/4/bore_mm"
     * @param before  what stands there; empty when nothing does
     * @param value   what would
     * @param field   of a number; empty for anything else
     */
    public record Edit(String pointer, Optional<JsonNode> before, JsonNode value, Optional<DocumentField> field) {
        private boolean isAllowed() {
            return field.isEmpty()
                    || value.doubleValue() >= field.get().min()
                            && value.doubleValue() <= field.get().max();
        }
    }

    public OptionEdits {
        edits = List.copyOf(edits);
    }

    /** @return what makes the second of the first; names of options are not told */
    public static OptionEdits between(BuildOption from, BuildOption to) {
        ObjectNode before = BuildDocument.tree(from);
        ObjectNode after = BuildDocument.tree(to);
        List<Edit> edits = new ArrayList<>();
        objects("", Shape.of(BuildOptionDocument.class), before, after, edits);
        return new OptionEdits(edits);
    }

    /** @return whether every number lies in the range of its field: one that does not is nothing to offer */
    public boolean areAllowed() {
        return edits.stream().allMatch(Edit::isAllowed);
    }

    /** @return the number that the change is about, the first that stood there before; empty when it is about none */
    public Optional<Edit> main() {
        return edits.stream()
                .filter(edit -> edit.before().isPresent() && edit.field().isPresent())
                .findFirst();
    }

    private static void objects(
            String pointer, @Nullable Shape shape, JsonNode before, JsonNode after, List<Edit> edits) {
        for (var entry : after.properties()) {
            String key = entry.getKey();
            Shape.Item item = shape == null ? null : shape.item(key);
            JsonNode was = before.path(key);
            JsonNode is = entry.getValue();
            String here = pointer + "/" + key;
            if (was.equals(is)) {
                continue;
            }
            if (is instanceof ObjectNode && was instanceof ObjectNode && !isOtherKind(was, is)) {
                objects(here, inside(item, is), was, is, edits);
            } else if (is instanceof ArrayNode
                    && was.size() == is.size()
                    && is.path(0).isObject()) {
                for (int i = 0; i < is.size(); i++) {
                    if (isOtherKind(was.get(i), is.get(i))) {
                        edits.add(new Edit(here + "/" + i, Optional.of(was.get(i)), is.get(i), Optional.empty()));
                    } else {
                        objects(here + "/" + i, inside(item, is.get(i)), was.get(i), is.get(i), edits);
                    }
                }
            } else {
                Optional<DocumentField> field = item == null || item.figure() == null
                        ? Optional.empty()
                        : Optional.of(DocumentField.of(shape, item));
                edits.add(new Edit(here, was.isMissingNode() ? Optional.empty() : Optional.of(was), is, field));
            }
        }
    }

    /** What is of another kind is put in whole. */
    private static boolean isOtherKind(JsonNode was, JsonNode is) {
        return !was.path("kind").equals(is.path("kind"));
    }

    private static @Nullable Shape inside(Shape.@Nullable Item item, JsonNode object) {
        if (item == null || item.inside() == void.class) {
            return null;
        }
        return item.inside().isInterface()
                ? Shape.kinds(item.inside()).get(object.path("kind").asString())
                : Shape.of(item.inside());
    }
}
