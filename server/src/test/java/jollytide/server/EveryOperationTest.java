package jollytide.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.DynamicTest.dynamicTest;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

/**
 * Every operation of the API that names something, tried by those whose it is not: the list is the API's own document,
 * so that a new operation is tried without anybody remembering it here.
 */
class EveryOperationTest extends ServerTest {
    private static final List<String> METHODS = List.of("get", "post", "put", "delete");
    private static final String AT = "\"at\":\"" + PRESENT.minusSeconds(7200) + "\"";
    private static final String KIT = """
            {"name":"cells","place":"shelf","who":"all","gives":"AIR","airLPerH":60,"energy":"DRY_CELLS",
             "cellSize":"D","cells":2}""";
    private static final String FILL = "{" + AT + """
            ,"massKg":1,"intake":"ROOM","freshShare":1,"hours":"ALWAYS","driesBetween":false}""";
    private static final String EVENT = "{\"kind\":\"OTHER\"," + AT + ",\"title\":\"t\",\"note\":\"\"}";
    private static final String HOSE = Sets.measure("outdoor-line", "lengthM=4", "boreMm=12.7");
    private static final String CALIBRATION = "{" + AT
            + ",\"points\":[{\"bufferPh\":7,\"bufferC\":25,\"shownPh\":7}],\"meter\":\"SET_ITSELF\",\"note\":\"\"}";
    private static final String LINE = "{" + AT
            + ",\"name\":\"limewater\",\"solute\":\"LIMEWATER\",\"share\":1,\"vesselMl\":5000,\"mlPerDay\":100}";
    private static final String LINE_NOTE =
            "{" + AT + ",\"kind\":\"LEVEL\",\"value\":900,\"readIn\":\"ML\",\"note\":\"\"}";
    private static final String CONSUMER = "{\"name\":\"return pump\",\"watts\":25,\"hoursPerDay\":24}";
    private static final String TICK = "{\"at\":\"2026-11-12T08:00\",\"found\":\"SOME\",\"note\":\"\"}";
    private static final String EXPERIMENT = "{\"experiment\":\"SKIMMER_OFF_BEFORE_LIGHT\"}";
    private static final String READING = Samples.reading("2026-01-05T10:00", "PH_NBS", "TANK", "PROBE", 8.1);

    /** Bodies that would do something for whom it is allowed, by method and path. */
    private static final String SUPPLY =
            "{\"name\":\"salt\",\"uses\":\"OWN\",\"ownPerDay\":9,\"unit\":\"G\",\"packageAmount\":900,\"deliveryDays\":3}";

    private static final String SUPPLY_ENTRY = "{" + AT + ",\"what\":\"BOUGHT\",\"amount\":900,\"unit\":\"G\"}";
    private static final String SODA = "{\"what\":\"SODA_ASH\",\"grams\":5,\"assay\":1}";

    private static final String SCHEDULE = "{\"lanes\":[],\"windows\":[],\"rules\":[]}";

    private static final Map<String, String> BODIES = Map.ofEntries(
            Map.entry("POST /homes/{homeId}/helpers", "{\"name\":\"Jonas\"}"),
            Map.entry("POST /homes/{homeId}/kit", KIT),
            Map.entry("PUT /homes/{homeId}/kit/{id}", edit(KIT)),
            Map.entry("POST /homes/{homeId}/supplies", SUPPLY),
            Map.entry("PUT /homes/{homeId}/supplies/{id}", SUPPLY),
            Map.entry("POST /homes/{homeId}/supplies/{id}/entries", SUPPLY_ENTRY),
            Map.entry("POST /homes/{homeId}/mains", "{\"on\":false}"),
            Map.entry("POST /homes/{homeId}/mains/tokens", "{\"label\":\"mains\"}"),
            Map.entry("POST /homes/{homeId}/outages/{id}/began", "{" + AT + "}"),
            Map.entry(
                    "POST /homes/{homeId}/outages/{id}/notes",
                    "{\"notes\":[{\"id\":\"" + new UUID(7, 7) + "\"," + AT + ",\"kind\":\"NOTE\",\"text\":\"x\"}]}"),
            Map.entry("PUT /homes/{id}", edit(Samples.HOME)),
            Map.entry("POST /homes/{id}/rooms", Samples.ROOM),
            Map.entry("PUT /rooms/{id}", edit(Samples.ROOM)),
            Map.entry("POST /rooms/{id}/tanks", Samples.TANK),
            Map.entry("PUT /tanks/{id}", edit(Samples.TANK)),
            Map.entry("POST /tanks/{tankId}/bench/forecast", """
                    {"tanks":[{"skimmerFactor":1,"surfaceFactor":1,"alkalinityOffMeqPerL":0,"roomOffPpm":0,"roomExcessFactor":1,"airChangesFactor":1,"lampsLateH":0,"useFactor":1,"intakeOddsFactor":1,"respirationMmolPerLPerH":0.02,"photosynthesisMmolPerLPerH":0.04}],
                     "variants":[{"measures":[]}]}"""),
            Map.entry(
                    "POST /tanks/{tankId}/bench/sets",
                    "{\"name\":\"A\",\"measures\":[" + Sets.measure("surface", "times=1.5") + "]}"),
            Map.entry(
                    "PUT /tanks/{tankId}/chapters/{id}",
                    "{\"version\":0,\"until\":\"" + PRESENT.minusSeconds(90) + "\"}"),
            Map.entry("POST /tanks/{tankId}/by-hand/additions", "{" + AT + ",\"amount\":" + SODA + ",\"note\":\"\"}"),
            Map.entry("POST /tanks/{tankId}/by-hand/additions/preview", SODA),
            Map.entry(
                    "POST /tanks/{tankId}/by-hand/water-changes",
                    "{" + AT + ",\"water\":{\"litres\":9},\"note\":\"\"}"),
            Map.entry("POST /tanks/{tankId}/by-hand/top-offs", "{" + AT + ",\"litres\":2,\"note\":\"\"}"),
            Map.entry("POST /tanks/{tankId}/by-hand/water-changes/preview", "{\"litres\":9}"),
            Map.entry("POST /tanks/{tankId}/dosing", LINE),
            Map.entry("POST /tanks/{tankId}/dosing/{id}/notes", LINE_NOTE),
            Map.entry("PUT /tanks/{tankId}/dosing/{id}/place", "{\"place\":\"the sump\"}"),
            Map.entry(
                    "PUT /tanks/{tankId}/dosing/{id}/times",
                    "{\"times\":{\"perDay\":6,\"first\":\"21:00\",\"overH\":12}}"),
            Map.entry(
                    "PUT /tanks/{tankId}/dosing/{id}/guard",
                    "{\"siphon\":\"OUTLET_ABOVE\",\"stuck\":\"METERED_HEAD\"}"),
            Map.entry("POST /tanks/{tankId}/dosing/{id}/plans", "{" + AT + ",\"mlPerDay\":80}"),
            Map.entry("POST /tanks/{tankId}/done", "{\"event\":" + EVENT + ",\"measures\":[" + HOSE + "]}"),
            Map.entry("POST /tanks/{tankId}/events", EVENT),
            Map.entry("PUT /tanks/{tankId}/events/{id}", "{\"version\":0,\"event\":" + EVENT + "}"),
            Map.entry("PUT /tanks/{tankId}/events/{id}/measures", "{\"version\":0,\"measures\":[" + HOSE + "]}"),
            Map.entry(
                    "POST /tanks/{tankId}/upkeep",
                    "{\"chore\":\"PRACTISE\",\"name\":\"\",\"days\":null,\"lastDone\":null}"),
            Map.entry("PUT /tanks/{tankId}/upkeep/{id}", "{\"name\":\"\",\"days\":30}"),
            Map.entry("POST /tanks/{tankId}/upkeep/{id}/done", TICK),
            Map.entry("PUT /tanks/{tankId}/upkeep/{id}/later", "{\"until\":null}"),
            Map.entry("POST /tanks/{tankId}/consumers", CONSUMER),
            Map.entry("PUT /tanks/{tankId}/consumers/{id}", CONSUMER),
            Map.entry("POST /tanks/{tankId}/experiments", EXPERIMENT),
            Map.entry("POST /tanks/{tankId}/experiments/{id}/end", "{\"ended\":\"DONE\"}"),
            Map.entry("POST /tanks/{tankId}/media", FILL),
            Map.entry("POST /tanks/{tankId}/media/{id}/colours", "{" + AT + ",\"changedShare\":0.5}"),
            Map.entry("POST /tanks/{tankId}/media/{id}/end", "{" + AT + ",\"by\":\"EARLY\"}"),
            Map.entry("POST /tanks/{tankId}/probe/air", "{\"shownPh\":8.2,\"glassC\":22}"),
            Map.entry("POST /tanks/{tankId}/probe/calibrations", CALIBRATION),
            Map.entry("POST /tanks/{tankId}/probe/look", CALIBRATION),
            Map.entry("PUT /tanks/{tankId}/schedule", "{\"version\":null,\"schedule\":" + SCHEDULE + "}"),
            Map.entry("POST /tanks/{tankId}/schedule/templates/{template}", "{\"schedule\":" + SCHEDULE + "}"),
            Map.entry("POST /tanks/{tankId}/schedule/run", "{\"days\":2,\"schedule\":" + SCHEDULE + "}"),
            Map.entry(
                    "POST /tanks/{tankId}/schedule/holds",
                    "{\"lanes\":[\"flow-left\"],\"state\":{\"does\":\"OFF\"},\"minutes\":10}"),
            Map.entry("POST /tanks/{tankId}/schedule/day", "{\"schedule\":" + SCHEDULE + "}"),
            Map.entry("POST /tanks/{tankId}/readings", READING),
            Map.entry("PUT /tanks/{tankId}/suspects/checks/{check}", "{\"answer\":0}"),
            Map.entry("PUT /tanks/{tankId}/readings/{id}", READING));

    /** What else a path asks for. */
    private static final Map<String, String> QUERIES = Map.of(
            "/homes/{homeId}/cuts",
            "?from=10:00&hours=4",
            "/tanks/{tankId}/imports/{id}/replace",
            "?byTheFile=true",
            "/tanks/{tankId}/effects/between",
            "?from=2025-05-01&until=2025-05-02&after=2025-05-05&end=2025-05-06");

    /** A file's plan is too long for this: what is sent is refused before its import is looked for. */
    private static final List<String> PLANS =
            List.of("/tanks/{tankId}/imports/{id}/preview", "/tanks/{tankId}/imports/{id}/start");

    private static String edit(String description) {
        return "{\"version\":0,\"description\":" + description + "}";
    }

    private record Operation(String method, String path) {}

    /** The things of a keeper, by the path parameter that names them. */
    private record Things(Visitor keeper, Map<String, String> ids) {
        /** Nested ids are those of what the path ends in. */
        String in(String path, Map<String, String> nested) {
            String filled = path.replace("{homeId}", ids.get("home"))
                    .replace("{tankId}", ids.get("tank"))
                    .replace("{at}", PRESENT.toString())
                    .replace("{from}", "2026-01-05")
                    .replace("{cause}", "SKIMMER")
                    .replace("{check}", "BUFFERS")
                    .replace("{template}", "HOLIDAY")
                    .replace("{code}", "cal-nothing");
            return filled.replace("{noteId}", nested.get("lineNotes"))
                    .replace("{entryId}", nested.get("supplyEntries"))
                    .replace("{doneId}", nested.get("ticks"))
                    .replace("{id}", nested.get(kind(path)));
        }

        private static String kind(String path) {
            for (String kind : List.of(
                    "helpers",
                    "kit",
                    "outages",
                    "rooms",
                    "sets",
                    "events",
                    "experiments",
                    "doses",
                    "by-hand",
                    "supplies",
                    "holds",
                    "upkeep",
                    "consumers",
                    "imports",
                    "media",
                    "chapters",
                    "calibrations")) {
                if (path.contains("/" + kind + "/{id}")) {
                    return kind;
                }
            }
            return path.contains("/readings/{id}")
                    ? "readings"
                    : path.contains("/tokens/{id}") ? "tokens" : path.contains("/homes/{id}") ? "home" : "tank";
        }
    }

    private Things owner;

    @BeforeEach
    void somebodysHome() {
        owner = things();
    }

    private Things things() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        JsonNode view = keeper.get("/tanks/" + tank).body();
        String home = view.path("homeId").asString();
        Map<String, String> ids = new HashMap<>(
                Map.of("tank", tank, "home", home, "rooms", view.path("roomId").asString()));
        keeper.post("/homes/" + home + "/helpers", "{\"name\":\"Jonas\"}");
        keeper.post("/tokens", "{\"label\":\"logger\"}");
        for (String listed : List.of("/homes/" + home + "/helpers", "/tokens")) {
            ids.put(
                    listed.substring(listed.lastIndexOf('/') + 1),
                    keeper.get(listed).body().path(0).path("id").asString());
        }
        ids.put("kit", id(keeper.post("/homes/" + home + "/kit", KIT)));
        ids.put("outages", id(keeper.post("/homes/" + home + "/outages", "{}")));
        keeper.put(
                "/tanks/" + tank,
                "{\"version\":" + view.path("version") + ",\"since\":\"" + PRESENT.minusSeconds(100)
                        + "\",\"description\":" + Samples.LAGOON + "}");
        ids.put(
                "chapters",
                keeper.get("/tanks/" + tank + "/chapters")
                        .body()
                        .path(0)
                        .path("id")
                        .asString());
        ids.put(
                "calibrations",
                keeper.post("/tanks/" + tank + "/probe/calibrations", CALIBRATION)
                        .body()
                        .path("calibration")
                        .path("id")
                        .asString());
        for (String kind : List.of("events", "media", "experiments", "dosing", "upkeep", "consumers")) {
            ids.put(kind, id(keeper.post("/tanks/" + tank + "/" + kind, BODIES.get("POST /tanks/{tankId}/" + kind))));
        }
        ids.put("lineNotes", id(keeper.post("/tanks/" + tank + "/dosing/" + ids.get("dosing") + "/notes", LINE_NOTE)));
        ids.put("supplies", id(keeper.post("/homes/" + ids.get("home") + "/supplies", SUPPLY)));
        ids.put(
                "supplyEntries",
                id(keeper.post(
                        "/homes/" + ids.get("home") + "/supplies/" + ids.get("supplies") + "/entries", SUPPLY_ENTRY)));
        ids.put(
                "by-hand",
                id(keeper.post(
                        "/tanks/" + tank + "/by-hand/additions",
                        BODIES.get("POST /tanks/{tankId}/by-hand/additions"))));
        ids.put("ticks", id(keeper.post("/tanks/" + tank + "/upkeep/" + ids.get("upkeep") + "/done", TICK)));
        ids.put(
                "sets",
                id(keeper.post("/tanks/" + tank + "/bench/sets", BODIES.get("POST /tanks/{tankId}/bench/sets"))));
        ids.put(
                "readings",
                keeper.post("/tanks/" + tank + "/readings", READING)
                        .body()
                        .path(0)
                        .path("id")
                        .asString());
        ids.put(
                "holds",
                keeper.post("/tanks/" + tank + "/schedule/holds", BODIES.get("POST /tanks/{tankId}/schedule/holds"))
                        .body()
                        .path("holds")
                        .path(0)
                        .path("id")
                        .asString());
        ids.put(
                "imports",
                keeper.upload(
                                "/tanks/" + tank + "/imports?name=log.csv",
                                "time,ph\n2026-01-05 10:00,8.1\n".getBytes(StandardCharsets.UTF_8))
                        .body()
                        .path("view")
                        .path("id")
                        .asString());
        assertThat(ids.values()).noneMatch(String::isBlank);
        return new Things(keeper, ids);
    }

    private static String id(Answer made) {
        assertThat(made.status()).as(made.text()).isBetween(200, 299);
        return made.body().path("id").asString();
    }

    private List<Operation> operations() {
        List<Operation> all = new ArrayList<>();
        JsonNode paths = visitor().get("/openapi.json").body().path("paths");
        paths.propertyNames()
                .forEach(path -> METHODS.stream()
                        .filter(method -> paths.path(path).has(method) && path.contains("{"))
                        .forEach(method ->
                                all.add(new Operation(method.toUpperCase(Locale.ROOT), path.replace("/api/v1", "")))));
        assertThat(all).hasSizeGreaterThan(50);
        return all;
    }

    private Stream<DynamicTest> eachRefused(Visitor who, Things at, Things nested, int... allowed) {
        return operations().stream()
                .map(o -> dynamicTest(o.method() + " " + o.path(), () -> {
                    String body = BODIES.getOrDefault(
                            o.method() + " " + o.path(), List.of("POST", "PUT").contains(o.method()) ? "{}" : "");
                    String query = QUERIES.getOrDefault(o.path(), "");
                    Answer answer = who.send(o.method(), at.in(o.path(), nested.ids()) + query, body);
                    if (PLANS.contains(o.path()) && answer.status() == 422) {
                        return;
                    }
                    if (o.path().endsWith("/imports") && answer.status() == 415) {
                        answer = who.upload(at.in(o.path(), nested.ids()) + "?name=log.csv", new byte[] {'a'});
                    }
                    assertThat(answer.status())
                            .as(answer.text())
                            .isIn(Arrays.stream(allowed).boxed().toList());
                }));
    }

    @TestFactory
    Stream<DynamicTest> nobodyIsLetIn() {
        // A calendar's address is the key itself: a wrong one is not there.
        return eachRefused(visitor(), owner, owner, 401, 403)
                .filter(test -> !test.getDisplayName().contains("{code}"));
    }

    @TestFactory
    Stream<DynamicTest> anotherKeeperFindsNothing() {
        return eachRefused(visitor().asNewKeeper(), owner, owner, 404);
    }

    /** With a home and a tank of one's own, somebody else's things are not found in it. */
    @TestFactory
    Stream<DynamicTest> anothersThingsAreNotInOnesOwnTank() {
        Things other = things();
        return eachRefused(other.keeper(), other, owner, 404)
                .filter(test -> test.getDisplayName().contains("{id}"));
    }

    private Visitor helperOf(Things things) {
        String code = things.keeper()
                .post("/homes/" + things.ids().get("home") + "/helpers", "{\"name\":\"Ada\"}")
                .body()
                .path("code")
                .asString();
        Visitor helper = visitor();
        assertThat(helper.post("/session/helper", "{\"code\":\"" + code + "\"}").status())
                .isEqualTo(200);
        helper.get("/session");
        return helper;
    }

    @TestFactory
    Stream<DynamicTest> aHelperOfAnotherHomeFindsNothing() {
        Things other = things();
        Visitor helper = helperOf(other);
        return eachRefused(helper, owner, owner, 403, 404);
    }

    /** A helper of this home changes nothing that is its keeper's. */
    @TestFactory
    Stream<DynamicTest> aHelperChangesNothingOfTheKeepers() {
        Visitor helper = helperOf(owner);
        return eachRefused(helper, owner, owner, 403, 404)
                .filter(test -> test.getDisplayName().startsWith("DELETE")
                        || test.getDisplayName().startsWith("PUT"));
    }

    /** A token of the mains of another home says only whether that one has power. */
    @TestFactory
    Stream<DynamicTest> aSensorOfAnotherHomeFindsNothing() {
        Things other = things();
        String token = other.keeper()
                .post("/homes/" + other.ids().get("home") + "/mains/tokens", "{\"label\":\"mains\"}")
                .body()
                .path("token")
                .asString();
        assertThat(token).isNotBlank();
        return eachRefused(visitor().withBearer(token), owner, owner, 401, 403, 404);
    }

    /** Ids that are none, or nobody's, are not found; nothing breaks. */
    @TestFactory
    Stream<DynamicTest> idsThatAreNoneAreNotFound() {
        Things nowhere = new Things(owner.keeper(), new HashMap<>(owner.ids()));
        nowhere.ids()
                .replaceAll((kind, id) ->
                        kind.equals("imports") ? "999999" : UUID.randomUUID().toString());
        return eachRefused(owner.keeper(), nowhere, nowhere, 404);
    }
}
