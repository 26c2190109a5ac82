package jollytide.server.setup;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The API's own description: record components are required unless they may be null. */
@Configuration
class ApiDocument {
    /** Addresses differ between runs; the document does not. */
    @Bean
    OpenAPI about() {
        return new OpenAPI()
                .addServersItem(new Server().url("/"))
                .info(new Info()
                        .title("Jolly Tide")
                        .version("v1")
                        .description("Every error is a problem document (RFC 9457) with field, value and what "
                                + "is allowed. Scripts send a bearer token from Settings."));
    }

    @Bean
    ModelConverter recordComponents() {
        return new RecordComponents();
    }

    private static final class RecordComponents implements ModelConverter {
        @Override
        public @Nullable Schema<?> resolve(
                AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            JavaType java = Json.mapper().constructType(type.getType());
            if (schema == null || java == null || !java.getRawClass().isRecord()) {
                return schema;
            }
            Schema<?> defined = schema.get$ref() == null
                    ? schema
                    : context.getDefinedModels()
                            .get(schema.get$ref().substring(schema.get$ref().lastIndexOf('/') + 1));
            if (defined != null && defined.getProperties() != null) {
                Arrays.stream(java.getRawClass().getRecordComponents())
                        .filter(component -> defined.getProperties().containsKey(component.getName()))
                        .forEach(component -> describe(defined, component));
            }
            return schema;
        }

        private static void describe(Schema<?> owner, RecordComponent component) {
            if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                if (owner.getRequired() == null || !owner.getRequired().contains(component.getName())) {
                    owner.addRequiredItem(component.getName());
                }
            }
        }
    }
}
