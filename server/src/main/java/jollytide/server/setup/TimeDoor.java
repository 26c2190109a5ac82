package jollytide.server.setup;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import jollytide.core.units.InputException;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.converter.Converter;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** Moments come in between 1970 and 2200: calendars and the database hold no others. */
@Configuration
class TimeDoor implements WebMvcConfigurer {
    private static final Instant FIRST = Instant.EPOCH;
    private static final Instant LAST = Instant.parse("2200-01-01T00:00:00Z");

    private static Instant within(Instant at) {
        if (at.isBefore(FIRST) || at.isAfter(LAST)) {
            throw new InputException(
                    "at",
                    at.getEpochSecond(),
                    "a time between 1970 and 2200",
                    "The time must be between 1970 " + "and 2200.");
        }
        return at;
    }

    @Override
    public void addFormatters(FormatterRegistry registry) {
        // A class, not a lambda: the registry reads its types.
        registry.addConverter(new FromText());
    }

    private static final class FromText implements Converter<String, Instant> {
        @Override
        public Instant convert(String text) {
            return within(Instant.parse(text));
        }
    }

    @Bean
    JacksonModule moments() {
        return new SimpleModule().addDeserializer(Instant.class, new FromJson());
    }

    private static final class FromJson extends StdDeserializer<Instant> {
        FromJson() {
            super(Instant.class);
        }

        @Override
        public Instant deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getValueAsString("");
            try {
                return within(Instant.parse(text));
            } catch (DateTimeParseException e) {
                return (Instant) context.handleWeirdStringValue(Instant.class, text, "no time");
            }
        }
    }
}
