package jollytide.server.logfile;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Channel;
import jollytide.core.logfile.FileRefused;
import jollytide.core.logfile.LogReader;
import jollytide.core.logfile.Meaning;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;

/** Sensor Measurement Lists in JSON: RFC 8428, with the secondary units of RFC 8798. One record after the other. */
final class Senml {
    private static final JsonFactory JSON = new JsonFactory();
    /** The newest version of the format that RFC 8428 defines; a pack of a later one must not be guessed at. */
    private static final double NEWEST_VERSION = 10;
    /** Times below this are relative to the moment of sending (RFC 8428, 4.5.3), which a file does not hold. */
    private static final double ABSOLUTE_FROM = 1 << 28;

    private static final int SAMPLE_RECORDS = 3000;
    private static final int SAMPLES_SHOWN = 5;
    private static final int TOLD_EVERY = 2000;

    private Senml() {}

    private record Base(String name, double time, String unit, double value) {
        static final Base NONE = new Base("", 0, "", 0);
    }

    /** A record with its base values worked in. */
    private record Resolved(
            long number,
            String name,
            double time,
            String unit,
            @Nullable Double value) {

        @Nullable
        Instant at() {
            try {
                return time < ABSOLUTE_FROM ? null : Instant.ofEpochSecond(0, Math.round(time * 1e6) * 1000);
            } catch (ArithmeticException | DateTimeException e) {
                return null;
            }
        }

        String shown() {
            return name + " " + (value == null ? "" : value);
        }
    }

    private interface Handler {
        /** @return whether to go on */
        boolean take(Resolved measured);
    }

    /** The named runs of numbers in a pack. */
    static List<Channel> channels(InputStream in, boolean pressureMatters) {
        Map<String, List<String>> values = new LinkedHashMap<>();
        Map<String, String> units = new LinkedHashMap<>();
        records(in, r -> {
            if (r.value() != null) {
                values.computeIfAbsent(r.name(), n -> new ArrayList<>()).add(Double.toString(r.value()));
                units.putIfAbsent(r.name(), r.unit());
            }
            return r.number() < SAMPLE_RECORDS;
        });
        if (values.isEmpty()) {
            throw new FileRefused("This SenML file has no record with a number.");
        }
        return values.entrySet().stream()
                .map(e -> {
                    String name = e.getKey();
                    String unit = words(units.getOrDefault(name, ""));
                    String label = Meaning.ofName(name).isPresent() ? name : (name + " " + unit).strip();
                    return Channel.of(name, label, e.getValue(), SAMPLES_SHOWN, pressureMatters);
                })
                .toList();
    }

    private static String words(String unit) {
        return unit.equals("Cel") ? "°C" : unit.equals("/100") ? "%" : unit;
    }

    /** Reads a pack under a confirmed plan. */
    static void read(InputStream in, Map<String, Meaning> meanings, Instant now, LogReader.Sink sink) {
        long[] last = {0};
        records(in, r -> {
            last[0] = r.number();
            Meaning meaning = meanings.get(r.name());
            if (meaning != null) {
                Instant at = r.at();
                if (r.value() == null) {
                    sink.bad(r.number(), r.shown(), "the record has no number");
                } else if (at == null) {
                    sink.bad(r.number(), r.shown(), "the time is relative to when it was sent");
                } else {
                    LogReader.check(meaning, at, r.value(), r.number(), r.shown(), now, sink);
                }
            }
            return r.number() % TOLD_EVERY != 0 || sink.goOn(r.number());
        });
        sink.goOn(last[0]);
    }

    private static void records(InputStream in, Handler handler) {
        long number = 0;
        try (JsonParser parser = JSON.createParser(ObjectReadContext.empty(), in)) {
            if (parser.nextToken() != JsonToken.START_ARRAY) {
                throw new FileRefused("This JSON file is not SenML: it does not begin with a list of records.");
            }
            Base base = Base.NONE;
            while (parser.nextToken() == JsonToken.START_OBJECT) {
                Map<String, Object> fields = fields(parser, ++number);
                base = base(base, fields);
                Resolved resolved = new Resolved(
                        number,
                        base.name() + text(fields, "n", ""),
                        base.time() + number(fields, "t", 0),
                        text(fields, "u", base.unit()),
                        value(fields, base));
                if (!handler.take(resolved)) {
                    return;
                }
            }
            if (parser.currentToken() != JsonToken.END_ARRAY) {
                throw new FileRefused("Record " + (number + 1) + " is no SenML record.");
            }
        } catch (JacksonException e) {
            throw new FileRefused("The JSON breaks off or is not valid after record " + number + ".");
        }
    }

    private static Map<String, Object> fields(JsonParser parser, long number) {
        Map<String, Object> fields = new LinkedHashMap<>();
        while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
            String name = parser.currentName();
            JsonToken token = parser.nextToken();
            if (name.endsWith("_")) {
                throw new FileRefused("Record " + number + " requires “" + name + "”, which we don’t support.");
            }
            if (token.isNumeric()) {
                fields.put(name, parser.getDoubleValue());
            } else if (token == JsonToken.VALUE_STRING) {
                fields.put(name, parser.getString());
            } else {
                parser.skipChildren();
            }
        }
        return fields;
    }

    private static Base base(Base old, Map<String, Object> fields) {
        if (number(fields, "bver", NEWEST_VERSION) > NEWEST_VERSION) {
            throw new FileRefused("The file uses a SenML version later than 10.");
        }
        return new Base(
                text(fields, "bn", old.name()),
                number(fields, "bt", old.time()),
                text(fields, "bu", old.unit()),
                number(fields, "bv", old.value()));
    }

    private static @Nullable Double value(Map<String, Object> fields, Base base) {
        return fields.get("v") instanceof Double v ? v + base.value() : null;
    }

    private static double number(Map<String, Object> fields, String name, double otherwise) {
        return fields.get(name) instanceof Double d ? d : otherwise;
    }

    private static String text(Map<String, Object> fields, String name, String otherwise) {
        return fields.get(name) instanceof String s ? s : otherwise;
    }

    /** Writes a pack; readings are given series by series. */
    static final class Writer implements AutoCloseable {
        private final JsonGenerator out;

        Writer(OutputStream to) {
            out = JSON.createGenerator(ObjectWriteContext.empty(), to);
            out.writeStartArray();
        }

        void reading(Meaning meaning, Instant at, double value) {
            out.writeStartObject();
            out.writeStringProperty("n", meaning.name());
            String unit = unit(meaning.unit());
            if (!unit.isEmpty()) {
                out.writeStringProperty("u", unit);
            }
            out.writeName("t");
            out.writeRawValue(seconds(at));
            out.writeNumberProperty("v", value);
            out.writeEndObject();
            out.writeRaw('\n');
        }

        /** The registered name of a unit; empty where none is registered, and the record's name has to say it. */
        private static String unit(RawUnit unit) {
            return switch (unit) {
                case PH_NBS, PH_TOTAL -> "pH";
                case CELSIUS -> "Cel";
                case CO2_PPM, CO2_PPM_UNCOMPENSATED -> "ppm";
                case OXYGEN_PERCENT -> "/100";
                default -> "";
            };
        }

        private static String seconds(Instant at) {
            return at.getNano() == 0
                    ? Long.toString(at.getEpochSecond())
                    : at.getEpochSecond() + ("." + "%06d").formatted(at.getNano() / 1000);
        }

        @Override
        public void close() throws IOException {
            out.writeEndArray();
            out.close();
        }
    }
}
