package jollytide.server.twin;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import jollytide.server.measure.SetRequest;
import jollytide.server.measure.SetRequest.PutMeasure;
import tools.jackson.databind.JsonNode;

/** Sets as they were kept in the first version of their document: one object with a field for each setting. */
final class FirstSets {
    private final JsonNode old;
    private final List<PutMeasure> measures = new ArrayList<>();

    private FirstSets(JsonNode old) {
        this.old = old;
    }

    /** The same set as measures of the registry. */
    static SetRequest read(JsonNode old) {
        FirstSets reader = new FirstSets(old);
        reader.plain("ventilationTimes", "window", "times");
        reader.plain("ventilatorM3PerH", "ventilator", "m3PerH");
        reader.plain("guests", "guests", "adults");
        reader.plain("skimmerShare", "skimmer-draw", "times");
        reader.plain("surfaceTimes", "surface", "times");
        reader.plain("alkalinityChangeDkh", "alkalinity", "dkh");
        reader.plain("warmerByK", "warmth", "byK");
        reader.door("cabinet");
        reader.door("canopy");
        if (old.path("nobodyHome").asBoolean(false)) {
            reader.measures.add(new PutMeasure("nobody", Map.of(), Map.of()));
        }
        reader.line();
        reader.media();
        reader.stone();
        reader.alkalinity();
        reader.refugium();
        reader.reactor();
        return new SetRequest(List.copyOf(reader.measures));
    }

    private static boolean has(JsonNode node, String field) {
        return node.hasNonNull(field);
    }

    private void plain(String field, String kind, String parameter) {
        if (has(old, field)) {
            measures.add(new PutMeasure(kind, Map.of(parameter, old.get(field).asDouble()), Map.of()));
        }
    }

    private void door(String field) {
        if (has(old, field)) {
            measures.add(new PutMeasure(
                    field, Map.of(), Map.of("door", old.get(field).asString())));
        }
    }

    private void line() {
        JsonNode line = old.path("line");
        if (!line.isObject()) {
            return;
        }
        Map<String, Double> numbers = new LinkedHashMap<>();
        number(line, "lengthM", "lengthM", numbers);
        number(line, "boreMm", "boreMm", numbers);
        number(line, "leakMm", "leakMm", numbers);
        JsonNode flue = line.path("flue");
        if (flue.isObject()) {
            number(flue, "fromHour", "flueFrom", numbers);
            number(flue, "toHour", "flueTo", numbers);
            number(flue, "ppm", "fluePpm", numbers);
        }
        measures.add(new PutMeasure("outdoor-line", numbers, Map.of("mouth", flue.isObject() ? "FLUE" : "CLEAN")));
    }

    private void media() {
        JsonNode media = old.path("media");
        if (!media.isObject()) {
            return;
        }
        Map<String, Double> numbers = new LinkedHashMap<>();
        number(media, "massKg", "massKg", numbers);
        numbers.put("recirculated", 1 - media.path("freshShare").asDouble(1));
        number(media, "gatePh", "gatePh", numbers);
        Map<String, String> choices = new LinkedHashMap<>();
        choices.put("hours", media.path("hours").asString("ALWAYS"));
        choices.put("soaked", media.path("chokes").asBoolean(false) ? "CHOKED" : "PASSES");
        choices.put("otherwise", media.path("driesBetween").asBoolean(false) ? "DRY" : "AROUND");
        measures.add(new PutMeasure("scrubber", numbers, choices));
    }

    private void stone() {
        JsonNode stone = old.path("stone");
        if (stone.isObject()) {
            Map<String, Double> numbers = new LinkedHashMap<>();
            number(stone, "airLPerH", "airLPerH", numbers);
            number(stone, "diameterMm", "diameterMm", numbers);
            number(stone, "depthM", "depthM", numbers);
            measures.add(new PutMeasure("stone", numbers, Map.of()));
        }
    }

    private void alkalinity() {
        if (has(old, "limewaterMlPerDay")) {
            Map<String, Double> numbers = new LinkedHashMap<>();
            number(old, "limewaterMlPerDay", "mlPerDay", numbers);
            number(old, "limewaterStrength", "strength", numbers);
            measures.add(new PutMeasure("limewater", numbers, Map.of()));
        } else if (has(old, "source")) {
            Map<String, Double> numbers = new LinkedHashMap<>();
            number(old, "sourceDkhPerDay", "dkhPerDay", numbers);
            measures.add(new PutMeasure(
                    "source", numbers, Map.of("source", old.get("source").asString())));
        }
    }

    private void refugium() {
        JsonNode algae = old.path("refugium");
        if (algae.isObject()) {
            Map<String, Double> numbers = new LinkedHashMap<>();
            number(algae, "mmolPerH", "mmolPerH", numbers);
            String lit = switch (algae.path("on").asString("21:00")) {
                case "09:00" -> "DAY";
                case "00:00" -> "ALWAYS";
                default -> "NIGHT";
            };
            measures.add(new PutMeasure("refugium", numbers, Map.of("lit", lit)));
        }
    }

    private void reactor() {
        JsonNode care = old.path("reactor");
        if (care.isObject()) {
            Map<String, Double> numbers = new LinkedHashMap<>();
            number(care, "secondChamberShare", "secondChamber", numbers);
            number(care, "dripShare", "drip", numbers);
            measures.add(new PutMeasure("reactor", numbers, Map.of()));
        }
    }

    private static void number(JsonNode from, String field, String parameter, Map<String, Double> into) {
        if (has(from, field)) {
            into.put(parameter, from.get(field).asDouble());
        }
    }
}
