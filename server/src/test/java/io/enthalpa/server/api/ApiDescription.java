package io.enthalpa.server.api;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.JsonNode;

/**
 * Shapes the OpenAPI document that the screen's types are generated from: a fixed server address, sorted parts, build documents
 * as free objects, and every property required unless it is marked {@link Nullable}.
 */
@Configuration(proxyBeanMethods = false)
class ApiDescription {

    @Bean
    ModelConverter records() {
        return new RecordConverter();
    }

    @Bean
    OpenApiCustomizer steadyDocument() {
        return api -> {
            api.setInfo(new Info().title("Enthalpa").version("1"));
            api.setServers(List.of(new Server().url("/")));
            api.getComponents().setSchemas(new TreeMap<>(api.getComponents().getSchemas()));
        };
    }

    private static final class RecordConverter implements ModelConverter {
        @Override
        public Schema<?> resolve(AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            JavaType java = Json.mapper().constructType(type.getType());
            Class<?> raw = java == null ? null : java.getRawClass();
            if (raw != null && JsonNode.class.isAssignableFrom(raw)) {
                return new JsonSchema().types(Set.of("object"));
            }
            Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            if (raw != null && raw.isRecord()) {
                Schema<?> model = context.getDefinedModels().get(raw.getSimpleName());
                if (model != null) {
                    model.setRequired(Arrays.stream(raw.getRecordComponents())
                            .filter(c -> !mayBeAbsent(c))
                            .map(RecordComponent::getName)
                            .sorted()
                            .toList());
                }
            }
            return schema;
        }

        private static boolean mayBeAbsent(RecordComponent component) {
            return component.getAnnotatedType().isAnnotationPresent(Nullable.class);
        }
    }
}
