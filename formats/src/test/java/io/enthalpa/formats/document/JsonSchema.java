package io.enthalpa.formats.document;

import io.enthalpa.formats.document.Shape.Form;
import io.enthalpa.formats.document.Shape.Item;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The build file as a JSON schema, draft 2020-12, for editors and scripts. */
final class JsonSchema {
    private JsonSchema() {}

    static ObjectNode of(Shape root) {
        ObjectNode schema = Binding.MAPPER.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema")
                .put("title", "Enthalpa build file")
                .put("$ref", "#/$defs/" + TypeScript.name(root.type()));
        ObjectNode all = schema.putObject("$defs");
        root.all().forEach(shape -> shape(shape, all.putObject(TypeScript.name(shape.type()))));
        root.all().stream()
                .flatMap(shape -> shape.items().stream())
                .map(Item::inside)
                .filter(Class::isInterface)
                .distinct()
                .forEach(kind -> {
                    ArrayNode any = all.putObject(TypeScript.name(kind)).putArray("oneOf");
                    Shape.kinds(kind).values().stream()
                            .distinct()
                            .forEach(s -> any.addObject().put("$ref", "#/$defs/" + TypeScript.name(s.type())));
                });
        return schema;
    }

    private static void shape(Shape shape, ObjectNode into) {
        into.put("type", "object").put("description", shape.part().says()).put("additionalProperties", false);
        ObjectNode properties = into.putObject("properties");
        ArrayNode required = into.putArray("required");
        for (Item item : shape.items()) {
            item(item, properties.putObject(item.key()));
            if (!item.optional()) {
                required.add(item.key());
            }
        }
    }

    private static void item(Item item, ObjectNode into) {
        switch (item.form()) {
            case NUMBER, COUNT -> figure(item, into);
            case NUMBERS ->
                figure(
                        item,
                        into.put("type", "array").put("maxItems", item.most()).putObject("items"));
            case TEXT -> into.put("type", "string");
            case FLAG -> into.put("type", "boolean");
            case WORD -> item.words().forEach(into.putArray("enum")::add);
            case OBJECT -> into.put("$ref", "#/$defs/" + TypeScript.name(item.inside()));
            case ROWS -> rows(item, into.put("type", "array"));
            default -> throw new IllegalStateException(item.toString());
        }
    }

    private static void figure(Item item, ObjectNode into) {
        Figure f = item.figure();
        into.put("type", item.form() == Form.COUNT ? "integer" : "number")
                .put("title", f.label())
                .put("description", f.help());
        into.putPOJO("minimum", f.min())
                .putPOJO("maximum", f.max())
                .putArray("examples")
                .addPOJO(f.usual());
        if (!item.suffix().unit().symbol().isEmpty()) {
            into.put("x-unit", item.suffix().unit().symbol());
        }
    }

    private static void rows(Item item, ObjectNode into) {
        if (item.most() > 0) {
            into.put("maxItems", item.most());
        }
        into.putObject("items").put("$ref", "#/$defs/" + TypeScript.name(item.inside()));
    }
}
