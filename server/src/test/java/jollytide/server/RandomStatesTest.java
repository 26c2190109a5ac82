package jollytide.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import jollytide.core.dosingline.Solution;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.reef.Livestock;
import jollytide.core.schedule.Template;
import jollytide.core.upkeep.Chore;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Whatever is stored can be read: over random states that the doors let in, every answer that names no thing is a 2xx. */
class RandomStatesTest extends ServerTest {
    private static final List<String> ZONES = List.of(
            "Europe/Amsterdam",
            "America/St_Johns",
            "Pacific/Apia",
            "Asia/Kathmandu",
            "Africa/Johannesburg",
            "Australia/Lord_Howe",
            "Etc/GMT+12",
            "America/New_York");
    private static final Map<String, String> QUERIES = Map.of(
            "/homes/{homeId}/cuts",
            "?from=03:30&hours=6",
            "/tanks/{tankId}/effects/between",
            "?from=2026-10-20&until=2026-10-25&after=2026-10-26&end=2026-11-01");

    private Random random;
    private Visitor keeper;
    /** How often each door let something in, and how often not. */
    private final Map<String, int[]> doors = new TreeMap<>();

    @ParameterizedTest
    @ValueSource(longs = {2, 6, 15, 16})
    void everythingStoredIsReadable(long seed) {
        random = new Random(seed);
        keeper = visitor().asNewKeeper();
        String home = made(keeper.post("/homes", home()));
        List<String> tanks = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(2); i++) {
            String room = made(keeper.post("/homes/" + home + "/rooms", room()));
            tanks.add(made(keeper.post("/rooms/" + room + "/tanks", tank())));
        }
        for (int i = 0; i < 4; i++) {
            send("/homes/" + home + "/kit", kit(tanks));
        }
        send(
                "/homes/" + home + "/supplies",
                "{\"name\":\"salt\",\"uses\":\"OWN\",\"ownPerDay\":" + between(0.1, 90)
                        + ",\"unit\":\"G\",\"packageAmount\":900,\"deliveryDays\":3}");
        tanks.forEach(this::live);
        outages(home);
        assertThat(doors.values().stream().mapToInt(tried -> tried[0]).sum())
                .as("states with something in them: %s", words())
                .isGreaterThan(30);
        JsonNode paths = visitor().get("/openapi.json").body().path("paths");
        List<String> wrong = new ArrayList<>();
        int read = 0;
        for (String document : paths.propertyNames()) {
            String path = document.replace("/api/v1", "");
            if (!paths.path(document).has("get")
                    || document.endsWith("/error")
                    || path.replaceAll("\\{(homeId|tankId)}", "").contains("{")) {
                continue;
            }
            for (String tank : tanks) {
                String asked = path.replace("{homeId}", home).replace("{tankId}", tank);
                Answer answer = keeper.get(asked + QUERIES.getOrDefault(path, ""));
                read++;
                if (answer.status() < 200 || answer.status() > 299) {
                    wrong.add(path + " " + answer.status() + " " + answer.text());
                }
            }
        }
        assertThat(wrong).as("seed %d, after %s", seed, words()).isEmpty();
        assertThat(read).isGreaterThan(50);
    }

    private String words() {
        StringBuilder words = new StringBuilder();
        doors.forEach((door, tried) -> words.append(door)
                .append(' ')
                .append(tried[0])
                .append('/')
                .append(tried[0] + tried[1])
                .append(", "));
        return words.toString();
    }

    private double between(double low, double high) {
        return Math.round(1000 * (low + (high - low) * random.nextDouble())) / 1000.0;
    }

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private <E extends Enum<E>> String one(Class<E> of) {
        return one(List.of(of.getEnumConstants())).name();
    }

    private String orNothing(String value) {
        return random.nextBoolean() ? value : "null";
    }

    private String clock() {
        return String.format(Locale.ROOT, "%02d:%02d", random.nextInt(24), random.nextInt(60));
    }

    /** Within the last forty days. */
    private String before() {
        return PRESENT.minusSeconds(600 + random.nextInt(40 * 86_400)).toString();
    }

    private static String made(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isBetween(200, 299);
        return answer.body().path("id").asString();
    }

    /** What the door refuses is no state; what it lets in must be readable. Never anything of its own fault. */
    private Answer send(String path, String body) {
        Answer answer = keeper.post(path, body);
        assertThat(answer.status()).as(path + " " + body + " " + answer.text()).isLessThan(500);
        int[] tried = doors.computeIfAbsent(path.replaceAll("[0-9a-f-]{36}", "*"), door -> new int[2]);
        tried[answer.status() < 300 ? 0 : 1]++;
        return answer;
    }

    private String home() {
        return "{\"name\":\"home\",\"zone\":\"" + one(ZONES) + "\",\"altitudeM\":" + between(-300, 4000)
                + ",\"tariffPerKWh\":" + orNothing("0.3") + ",\"currency\":\"EUR\",\"perEuro\":1}";
    }

    private String room() {
        return "{\"name\":\"room\",\"volumeM3\":" + orNothing(String.valueOf(between(20, 300))) + ",\"adults\":"
                + random.nextInt(3) + ",\"children\":" + random.nextInt(3) + ",\"pets\":" + random.nextInt(2)
                + ",\"airChangesPerH\":" + orNothing(String.valueOf(between(0.1, 3))) + "}";
    }

    private String tank() {
        double litres = Math.round(Math.exp(between(Math.log(15), Math.log(9000))));
        String on = clock();
        return "{\"name\":\"tank %d\",\"about\":\"\",\"netVolumeL\":%s,\"surfaces\":[%s],\"light\":{\"on\":\"%s\",\"off\":\"%s\",\"followsClockChanges\":%s},\"band\":{\"troughAtLeast\":8.0,\"peakAtMost\":8.4,\"actBelow\":7.8,\"reason\":\"\"},\"stance\":\"%s\",\"skimmerAirDrawLPerH\":%s,\"assumptions\":{},\"parts\":%s}"
                .formatted(
                        random.nextInt(1000),
                        litres,
                        surfaces(litres),
                        on,
                        random.nextInt(6) == 0 ? on : clock(),
                        random.nextBoolean(),
                        random.nextBoolean() ? "LIFT" : "STEADY",
                        orNothing(String.valueOf(between(0.2, 2) * litres)),
                        parts(litres));
    }

    private String surfaces(double litres) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(3); i++) {
            all.add("{\"name\":\"surface " + i + "\",\"areaM2\":" + Math.max(0.01, between(0.3, 2) * litres / 400)
                    + ",\"motion\":\"" + one(SurfaceClass.class) + "\",\"over\":\""
                    + one(List.of("ROOM", "CANOPY", "CABINET", "OUTDOORS")) + "\"}");
        }
        return String.join(",", all);
    }

    private String parts(double litres) {
        return ("{\"canopy\":%s,\"cabinet\":%s,\"skimmerInCabinet\":%s,\"skimmerDrawUnknown\":%s,\"canister\":%s,\"livestock\":%s,\"noFish\":%s,"
                        + "\"fish\":%s,\"falls\":%s,\"stones\":%s,\"skimmerLine\":%s,\"alkalinityUseDkhPerDay\":%s,\"refugium\":%s}")
                .formatted(
                        orNothing("\"" + one(List.of("SHUT", "AJAR", "OPEN", "FAN")) + "\""),
                        orNothing("\"" + one(List.of("SHUT", "AJAR", "OPEN", "FAN")) + "\""),
                        random.nextBoolean(),
                        random.nextBoolean(),
                        orNothing("true"),
                        orNothing("\"" + one(Livestock.class) + "\""),
                        random.nextInt(5) == 0,
                        orNothing("[{\"name\":\"fish\",\"count\":" + (1 + random.nextInt(20)) + ",\"massG\":"
                                + between(1, 300) + "}]"),
                        orNothing("[{\"name\":\"overflow\",\"flowLPerH\":" + between(1, 8) * litres + "}]"),
                        orNothing(
                                "[{\"airLPerH\":" + between(20, 900) + ",\"outdoors\":" + random.nextBoolean() + "}]"),
                        orNothing("{\"lengthM\":" + between(1, 15) + ",\"boreMm\":" + between(6, 25) + "}"),
                        orNothing(String.valueOf(between(0, 3))),
                        orNothing("{\"mmolPerH\":" + between(0, 30) + ",\"on\":\"" + clock() + "\",\"off\":\"" + clock()
                                + "\"}"));
    }

    private String kit(List<String> tanks) {
        String energy = one(List.of("DRY_CELLS", "UPS", "LEAD_BATTERY", "LITHIUM_BATTERY", "GENERATOR"));
        return ("{\"name\":\"thing %d\",\"place\":\"\",\"who\":\"\",\"tankId\":%s,\"gives\":\"%s\",\"airLPerH\":%s,\"movedM2\":%s,"
                        + "\"energy\":\"%s\",\"cells\":4,\"cellSize\":\"D\",\"upsW\":300,\"upsMinutes\":20,\"wattHours\":%s,\"fuelL\":%s,\"ratedW\":2000,"
                        + "\"loadW\":%s,\"startsItself\":%s,\"canSwitchOff\":%s,\"expires\":%s,\"yearsOld\":%s}")
                .formatted(
                        random.nextInt(100),
                        orNothing("\"" + one(tanks) + "\""),
                        one(List.of("AIR", "CIRCULATION", "WHOLE_TANK")),
                        between(20, 900),
                        between(0.05, 3),
                        energy,
                        between(20, 3000),
                        between(1, 40),
                        orNothing(String.valueOf(between(1, 90))),
                        random.nextBoolean(),
                        random.nextBoolean(),
                        orNothing("\"2025-03-01\""),
                        orNothing(String.valueOf(random.nextInt(8))));
    }

    private void live(String id) {
        String tank = "/tanks/" + id;
        Map<Quantity, List<RawUnit>> units = new EnumMap<>(Quantity.class);
        for (RawUnit unit : RawUnit.values()) {
            units.computeIfAbsent(unit.quantity(), q -> new ArrayList<>()).add(unit);
        }
        for (int i = 0; i < 60; i++) {
            RawUnit unit = one(units.get(one(List.of(Quantity.values()))));
            String place = unit.quantity() == Quantity.CO2 ? one(List.of("ROOM", "INTAKE", "OUTDOORS")) : "TANK";
            String reading = Samples.reading(
                    before(), unit.name(), place, one(List.of("METER", "PROBE", "TITRATION_KIT")), usual(unit));
            send(tank + "/readings", random.nextInt(4) == 0 ? farOut(reading, unit) : reading);
        }
        for (int i = 0; i < 8; i++) {
            send(
                    tank + "/events",
                    "{\"kind\":\""
                            + one(List.of(
                                    "REMEDY", "FAULT", "ADDITIVE", "SEASON", "PEOPLE", "SMOKE", "MAINTENANCE", "OTHER"))
                            + "\",\"at\":\"" + before() + "\",\"title\":\"t\",\"note\":\"\"}");
        }
        for (int i = 0; i < 5; i++) {
            Answer line = send(
                    tank + "/dosing",
                    "{\"at\":\"" + before() + "\",\"name\":\"line " + i + "\",\"solute\":\""
                            + one(Solution.Solute.class) + "\",\"share\":" + between(0.05, 1)
                            + ",\"vesselMl\":2000,\"siphon\":\"OUTLET_ABOVE\",\"stuck\":\"METERED_HEAD\",\"place\":\"place "
                            + i
                            + "\",\"times\":" + orNothing("{\"perDay\":12,\"first\":\"" + clock() + "\",\"overH\":12}")
                            + ",\"mlPerDay\":" + between(1, 120) + "}");
            if (line.status() == 201) {
                String notes = tank + "/dosing/" + line.body().path("id").asString() + "/notes";
                send(
                        notes,
                        "{\"at\":\"" + before()
                                + "\",\"kind\":\"FILLED\",\"value\":2000,\"readIn\":\"ML\",\"note\":\"\"}");
                send(
                        notes,
                        "{\"at\":\"" + before() + "\",\"kind\":\"LEVEL\",\"value\":" + between(0, 2000)
                                + ",\"readIn\":\"ML\",\"note\":\"\"}");
            }
        }
        send(tank + "/by-hand/water-changes", "{\"at\":\"" + before() + "\",\"water\":{\"litres\":2},\"note\":\"\"}");
        for (int i = 0; i < 4; i++) {
            send(
                    tank + "/upkeep",
                    "{\"chore\":\"" + one(Chore.class) + "\",\"name\":\"it\",\"days\":" + orNothing("9")
                            + ",\"lastDone\":\"" + before() + "\"}");
        }
        for (int i = 0; i < 2; i++) {
            send(
                    tank + "/media",
                    "{\"at\":\"" + before() + "\",\"massKg\":" + between(0.3, 4)
                            + ",\"intake\":\"ROOM\",\"freshShare\":" + between(0.05, 1) + ",\"hours\":\""
                            + one(List.of("ALWAYS", "LAMPS_OFF", "LAMPS_ON")) + "\",\"driesBetween\":"
                            + random.nextBoolean()
                            + "}");
        }
        JsonNode schedule = keeper.get(tank + "/schedule").body().path("schedule");
        for (int i = 0; i < 2; i++) {
            JsonNode fitted = send(
                            tank + "/schedule/templates/" + one(Template.class), "{\"schedule\":" + schedule + "}")
                    .body()
                    .path("schedule");
            schedule = fitted.isMissingNode() ? schedule : fitted;
        }
        Answer saved = keeper.put(tank + "/schedule", "{\"version\":null,\"schedule\":" + schedule + "}");
        assertThat(saved.status()).as(saved.text()).isLessThan(500);
        send(tank + "/schedule/holds", "{\"lanes\":[\"return\"],\"state\":{\"does\":\"OFF\"},\"minutes\":30}");
    }

    /** Anywhere in the middle of what a unit lets in. */
    private double usual(RawUnit unit) {
        double middle = switch (unit.quantity()) {
            case PH -> 8.1;
            case TEMPERATURE -> unit == RawUnit.FAHRENHEIT ? 78 : 25.5;
            case ALKALINITY -> unit == RawUnit.DKH ? 8.5 : unit == RawUnit.MEQ_PER_L ? 3 : 150;
            case SALINITY -> unit == RawUnit.PSU ? 35 : unit == RawUnit.MS_PER_CM ? 53 : 1.026;
            case CALCIUM -> 420;
            case POTASSIUM -> 400;
            case MAGNESIUM -> 1300;
            case AMMONIA, NITRITE -> 0.1;
            case OXYGEN -> unit == RawUnit.OXYGEN_PERCENT ? 90 : 6;
            case CO2 -> 800;
        };
        double spread = unit.quantity() == Quantity.SALINITY && middle < 2 ? 0.002 : 0.03;
        return Math.max(unit.min(), Math.min(unit.max(), middle * (1 + spread * random.nextGaussian())));
    }

    /** Far out: a program that sends readings is not asked whether it means them. */
    private String farOut(String reading, RawUnit unit) {
        String far = "\"value\":" + between(unit.min(), unit.max());
        return reading.replaceAll("\"value\":[-0-9.E]+", far);
    }

    private void outages(String home) {
        String outages = "/homes/" + home + "/outages";
        Instant from = PRESENT.minusSeconds(3600 + random.nextInt(20 * 86_400));
        for (int i = 0; i < 3; i++) {
            Answer begun = send(outages, "{\"at\":\"" + from + "\"}");
            if (begun.status() < 300) {
                String id = outages + "/" + begun.body().path("id").asString();
                send(
                        id + "/notes",
                        "{\"notes\":[{\"id\":\"" + new java.util.UUID(random.nextLong(), random.nextLong())
                                + "\",\"at\":\"" + from.plusSeconds(900) + "\",\"kind\":\""
                                + one(List.of("FED_NOW", "WRAPPED", "NOBODY_COMES", "NOTE")) + "\",\"text\":\"x\"}]}");
                if (random.nextInt(3) > 0) {
                    send(id + "/end", "{\"at\":\"" + from.plusSeconds(600 + random.nextInt(3000)) + "\"}");
                }
            }
            from = PRESENT.minusSeconds(3600 + random.nextInt(20 * 86_400));
        }
    }
}
