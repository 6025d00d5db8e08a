package io.enthalpa.formats.document;

import java.math.BigDecimal;
import java.math.MathContext;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** How the records of a build file are bound to JSON. */
final class Binding {
    /** Digits kept: twelve hide the rounding of unit conversion and keep far more than anybody measured. */
    private static final MathContext DIGITS = new MathContext(12);

    static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(30)
                            .maxNumberLength(60)
                            .build())
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
            .changeDefaultPropertyInclusion(inclusion ->
                    inclusion.withValueInclusion(com.fasterxml.jackson.annotation.JsonInclude.Include.NON_NULL))
            .addModule(module())
            .build();

    private Binding() {}

    private static SimpleModule module() {
        SimpleModule module = new SimpleModule("build file");
        for (Class<?> type : Words.types()) {
            word(module, type);
        }
        for (Class<?> sealed : new Class<?>[] {
            Piece.class, LoopPieceDocument.class, DutyPieceDocument.class, ObstacleDocument.class, MountDocument.class
        }) {
            kinds(module, sealed);
        }
        module.addDeserializer(String.class, new ValueDeserializer<String>() {
            @Override
            public String deserialize(JsonParser parser, DeserializationContext context) {
                return parser.getString().strip();
            }
        });
        module.addSerializer(Double.class, new Rounded());
        module.addSerializer(double.class, new Rounded());
        return module;
    }

    @SuppressWarnings("unchecked")
    private static <T> void word(SimpleModule module, Class<T> type) {
        module.addDeserializer(type, new ValueDeserializer<T>() {
            @Override
            public T deserialize(JsonParser parser, DeserializationContext context) {
                return (T) Words.value(type, parser.getString());
            }
        });
        module.addSerializer(type, new ValueSerializer<T>() {
            @Override
            public void serialize(T value, JsonGenerator generator, SerializationContext context) {
                generator.writeString(Words.of((Enum<?>) value));
            }
        });
    }

    @SuppressWarnings("unchecked")
    private static <T> void kinds(SimpleModule module, Class<T> sealed) {
        module.addDeserializer(sealed, new ValueDeserializer<T>() {
            @Override
            public T deserialize(JsonParser parser, DeserializationContext context) {
                JsonNode row = context.readTree(parser);
                return (T) context.readTreeAsValue(
                        row,
                        Shape.kinds(sealed).get(row.path("kind").asString()).type());
            }
        });
    }

    private static final class Rounded extends ValueSerializer<Double> {
        @Override
        public void serialize(Double value, JsonGenerator generator, SerializationContext context) {
            BigDecimal rounded = new BigDecimal(value).round(DIGITS).stripTrailingZeros();
            generator.writeNumber(rounded.scale() < 0 ? rounded.setScale(0) : rounded);
        }
    }
}
