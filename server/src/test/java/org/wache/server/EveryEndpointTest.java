package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.wache.server.access.AccessTable;
import org.wache.server.access.Right;
import org.wache.server.access.Role;
import org.wache.server.web.EnumWords;
import tools.jackson.databind.JsonNode;

/** Walks every endpoint of the API's own description: as a stranger, as another group, and with nonsense. */
@ExtendWith(RunningServer.class)
class EveryEndpointTest {

    private static final String CHOICE = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";
    private static final String SETTINGS = "{\"place\":null,\"antennaGainDbd\":null,\"feedLossDb\":null,"
            + "\"directTones\":null,\"maxTimeoutS\":null,\"twoMetreRasterKhz\":null,\"unitsInUse\":null}";
    private static final String PARTY =
            "{\"kind\":\"person\",\"name\":\"Own one\",\"note\":\"\",\"teams\":[],\"licences\":[]}";
    private static final String UNIT =
            "{\"model\":1,\"serial\":\"N-1\",\"label\":\"Mine now\",\"lock\":\"\",\"inhibited\":false,\"owner\":\"\"}";
    private static final String PROFILE =
            "{\"name\":\"Mine now\",\"rogerTone\":\"unwanted\",\"breaksIn\":true,\"missesNothing\":true,\"maxTimeoutS\":null,"
                    + "\"settings\":[{\"kind\":\"squelch\",\"which\":\"\",\"value\":\"3\",\"why\":\"\",\"model\":null}]}";
    private static final String SIGN = "{\"callSign\":\"KE9QRB\"}";
    private static final String KEYED = "{\"how\":\"none\",\"bases\":[]}";
    private static final String AREA = "{\"name\":\"Any team\",\"latitude\":45.2,\"longitude\":-93.1,\"radiusKm\":2}";
    private static final String OPERATION =
            "{\"name\":\"Mine now\",\"purpose\":\"\",\"place\":\"\",\"from\":\"2027-03-13T07:00\",\"until\":\"2027-03-14T07:00\",\"lists\":[],\"watches\":[],\"mustTalk\":[]}";
    private static final String STATION =
            "{\"name\":\"Mine now\",\"kind\":\"base\",\"outputW\":50,\"line\":\"RG-213\",\"lineM\":20,\"otherLossDb\":0.5,\"gainDbd\":3,"
                    + "\"heightM\":9,\"keyedShare\":0.2,\"processed\":false,\"otherHeightM\":1.5,\"supplyV\":13.8,\"note\":\"\"}";
    /** Bodies that are well formed, by the end of the path: what stops them has to be that the group is another's. */
    private static final Map<String, String> GOOD = longestFirst(Map.ofEntries(
            Map.entry("/carriers", "{\"before\":" + CHOICE + ",\"after\":" + CHOICE + "}"),
            Map.entry("/changes", "{\"version\":1,\"changes\":[]}"),
            Map.entry("/name", "{\"name\":\"mine now\"}"),
            Map.entry("/entries/{entry}/trial", "{\"fields\":{}}"),
            Map.entry("/settings", "{\"before\":" + SETTINGS + ",\"after\":" + SETTINGS + "}"),
            Map.entry("/variants", "{\"name\":\"mine now\",\"carriers\":" + CHOICE + "}"),
            Map.entry("/parties", PARTY),
            Map.entry("/parties/{party}", "{\"version\":1,\"party\":" + PARTY + "}"),
            Map.entry("/overlay", "{\"before\":0,\"rows\":[],\"note\":\"\"}"),
            Map.entry("/reading", "{\"sheet\":\"\",\"mapping\":null,\"show\":\"all\",\"from\":0}"),
            Map.entry(
                    "/intakes/{intake}/list", "{\"name\":\"mine now\",\"sheet\":\"\",\"mapping\":null,\"into\":null}"),
            Map.entry("/own-radios/practice", "{\"model\":1,\"line\":\"146.52\",\"presses\":[]}"),
            Map.entry("/should-hold", "{\"list\":1,\"order\":{\"unit\":1}}"),
            Map.entry(
                    "/declarations",
                    "{\"list\":1,\"release\":1,\"order\":{\"unit\":1},\"how\":\"by-hand\",\"note\":\"\",\"checked\":[]}"),
            Map.entry(
                    "/ticks",
                    "{\"kind\":\"key\",\"other\":null,\"memory\":1,\"name\":\"A\",\"good\":true,\"note\":\"\"}"),
            Map.entry("/aside", "{\"lines\":[\"what is this\"]}"),
            Map.entry("/aside/settled", "{\"rows\":[]}"),
            Map.entry("/understood", "{\"lines\":[\"146.94 - 100\"]}"),
            Map.entry("/tones", "{\"before\":0,\"knowledge\":{\"neighbours\":[],\"tables\":[]}}"),
            Map.entry(
                    "/proposals/swap",
                    "{\"service\":\"frs\",\"channels\":[],\"narrow\":true,\"watts\":0.5,\"tone\":\"none\",\"repeaters\":false}"),
            Map.entry(
                    "/proposals/plan",
                    "{\"on\":null,\"mustTalk\":[],\"services\":[],\"calling\":true,\"command\":false,\"repeaters\":[],\"spare\":1,\"listen\":[\"162.550\"],\"kept\":[],\"without\":[]}"),
            Map.entry("/proposals/tones", "{\"entries\":[],\"digital\":false,\"codesOnly\":false,\"models\":[]}"),
            Map.entry("/proposals/names", "{\"length\":8,\"letters\":\"ascii\"}"),
            Map.entry(
                    "/proposals/arrangement",
                    "{\"sort\":\"name\",\"group\":\"nothing\",\"from\":1,\"inEachGroup\":false,\"zones\":false,\"zoneSize\":null}"),
            Map.entry("/moved-carriers", "{\"names\":[\"T\"],\"name\":\"mine now\"}"),
            Map.entry("/undo", "{\"again\":false}"),
            Map.entry("/shelf", "{\"before\":\"in-use\",\"after\":\"in-use\"}"),
            Map.entry("/copies", "{\"name\":\"mine now\"}"),
            Map.entry("/merged", "{\"other\":1}"),
            Map.entry("/directory/{repeater}", "{}"),
            Map.entry("/directory/seen", "{\"entries\":[]}"),
            Map.entry(
                    "{list}/radios",
                    "{\"before\":{\"settings\":[],\"units\":[]},\"after\":{\"settings\":[],\"units\":[]}}"),
            Map.entry("{group}/models", "{\"body\":{\"model\":\"Mine now\"}}"),
            Map.entry("/models/{model}", "{\"version\":1,\"body\":{\"model\":\"Mine now\"}}"),
            Map.entry("/units", UNIT),
            Map.entry("/units/{unit}", "{\"version\":1,\"unit\":" + UNIT + "}"),
            Map.entry("/hand-out", "{\"party\":1,\"note\":\"\"}"),
            Map.entry("/hand-in", "{\"note\":\"\"}"),
            Map.entry("/bench-plan", "{\"units\":[{\"unit\":1}]}"),
            Map.entry("/runs", "{\"release\":1,\"units\":[{\"unit\":1}],\"callSign\":\"KE9QRB\"}"),
            Map.entry("/pair-check", "{\"other\":2,\"callSign\":\"KE9QRB\"}"),
            Map.entry("/repeater-check", SIGN),
            Map.entry("/inhibit-check", SIGN),
            Map.entry("/fault", "{\"fault\":\"none\",\"after\":0}"),
            Map.entry("/practice", "{\"list\":1,\"entry\":1,\"presses\":[]}"),
            Map.entry(
                    "/measurements",
                    "{\"kind\":\"output-power\",\"mhz\":\"146.52\",\"narrow\":false,\"nominal\":\"5\",\"measured\":\"5\"}"),
            Map.entry(
                    "/invitations", "{\"name\":\"Mine now\",\"role\":\"coordinator\",\"party\":null,\"mailTo\":null}"),
            Map.entry("/presence", "{\"page\":\"x\",\"entry\":null}"),
            Map.entry("/waivers", "{\"prints\":[\"x\"],\"reason\":\"Mine now\",\"until\":null}"),
            Map.entry("/signature", "{\"state\":\"x\",\"note\":\"\"}"),
            Map.entry("/releases", "{\"state\":\"x\"}"),
            Map.entry("/recall", "{\"reason\":\"Mine now\"}"),
            Map.entry("/people/{account}", "{\"role\":\"coordinator\",\"party\":null}"),
            Map.entry("/keying", "{\"before\":" + KEYED + ",\"after\":" + KEYED + "}"),
            Map.entry("/profiles", "{\"team\":\"\",\"body\":" + PROFILE + "}"),
            Map.entry("/profiles/look", "{\"team\":\"\",\"body\":" + PROFILE + "}"),
            Map.entry("/profiles/{profile}", "{\"version\":1,\"team\":\"\",\"body\":" + PROFILE + "}"),
            Map.entry("/units/{unit}/edges", "{\"version\":1,\"edges\":[]}"),
            Map.entry("/units/{unit}/settings", "{\"version\":1,\"settings\":{}}"),
            Map.entry("/stations", STATION),
            Map.entry("/rulebook", "{\"id\":\"uk\"}"),
            Map.entry("/stations/{station}", "{\"version\":1,\"form\":" + STATION + "}"),
            Map.entry("/stations/sheet", "{\"form\":" + STATION + ",\"list\":1,\"entries\":[]}"),
            Map.entry("{group}/areas", AREA),
            Map.entry("/areas/{area}", "{\"version\":1,\"form\":" + AREA + "}"),
            Map.entry("{group}/operations", OPERATION),
            Map.entry("/operations/sheet", OPERATION),
            Map.entry("/operations/{operation}", "{\"version\":1,\"form\":" + OPERATION + "}"),
            Map.entry("/copy", "{\"name\":\"Mine now\",\"from\":\"2027-03-13T07:00\"}"),
            Map.entry("/rulebook-additions", "{\"text\":\"x\",\"note\":\"\"}"),
            Map.entry("/rulebook-additions/trial", "{\"text\":\"x\"}"),
            Map.entry("/taken-back", "{\"note\":\"\"}"),
            Map.entry("/overlay/trial", "{\"rows\":[]}"),
            Map.entry("/edition-seen", "{}")));

    /** What some endpoints ask for behind their path, by the end of method and path. */
    private static final Map<String, String> QUERIES = longestFirst(Map.ofEntries(
            Map.entry("/matrix/{entry}", "?column=0"),
            Map.entry("/fit/{entry}", "?column=0"),
            Map.entry("DELETE /api/models/{model}", "?version=99"),
            Map.entry("DELETE /api/units/{unit}", "?version=99"),
            Map.entry("DELETE /api/stations/{station}", "?version=99"),
            Map.entry("DELETE /api/areas/{area}", "?version=99"),
            Map.entry("DELETE /api/operations/{operation}", "?version=99"),
            Map.entry("/operations/{operation}/reach/gap", "?from=0&to=1"),
            Map.entry("DELETE /api/profiles/{profile}", "?version=99"),
            Map.entry("DELETE /api/parties/{party}", "?version=1"),
            Map.entry("/abroad", "?rulebook=uk"),
            Map.entry("/least", "?kind=third-order"),
            Map.entry("/hand-out", "?party=1"),
            Map.entry("/translation", "?of=100"),
            Map.entry("/merge", "?other={list}"),
            Map.entry("/at", "?mhz=146.52"),
            Map.entry("/reach/gap", "?from=0&to=1"),
            Map.entry("/reach/bases", "?entry=1"),
            Map.entry("/reach/distance", "?entry=1&km=3&talksM=1.5&talksDbd=-5&hearsM=10&hearsDbd=0"),
            Map.entry("GET /api/rulebook/sheet", "?band=20%20m"),
            Map.entry("GET /api/rulebook/sheet.svg", "?band=20%20m"),
            Map.entry("GET /api/rulebook/sheet.pdf", "?band=20%20m"),
            Map.entry("GET /api/rulebook/place", "?latitude=45&longitude=-93"),
            Map.entry("GET /api/units/{unit}/edges", "?class=general&send=ssb"),
            Map.entry("GET /api/rulebook/edges", "?class=general&send=cw")));

    private static Map<String, String> longestFirst(Map<String, String> bodies) {
        Map<String, String> sorted = new java.util.TreeMap<>(java.util.Comparator.comparingInt(String::length)
                .reversed()
                .thenComparing(java.util.Comparator.naturalOrder()));
        sorted.putAll(bodies);
        return sorted;
    }

    /** What every endpoint is sent: nothing, what is no JSON, and JSON of the wrong kind. */
    private static final List<String> OF_NO_KIND =
            List.of("", "{", "[]", "null", "{}", "\"x\"", "{\"nosuch\":1}", "{\"name\":\"\\u0000\"}");

    /** Nonsense in fields that an endpoint reads, as the description of the interface has them. */
    private static List<String> nonsense(Endpoint endpoint) {
        JsonNode operation = DESCRIPTION
                .path("paths")
                .path(endpoint.path())
                .path(endpoint.method().toLowerCase(java.util.Locale.ROOT));
        String reference = operation
                .path("requestBody")
                .path("content")
                .path("application/json")
                .path("schema")
                .path("$ref")
                .asString("");
        JsonNode read = DESCRIPTION
                .path("components")
                .path("schemas")
                .path(reference.substring(reference.lastIndexOf('/') + 1))
                .path("properties");
        List<String> all = new ArrayList<>(OF_NO_KIND);
        for (String body : NONSENSE) {
            if (!OF_NO_KIND.contains(body)
                    && (read.isEmpty() || fields(body).stream().anyMatch(read::has))) {
                all.add(body);
            }
        }
        return all;
    }

    private static List<String> fields(String body) {
        return java.util.regex.Pattern.compile("\"(\\w+)\":")
                .matcher(body)
                .results()
                .map(each -> each.group(1))
                .toList();
    }

    private static final JsonNode DESCRIPTION = description();

    private static JsonNode description() {
        try {
            return tools.jackson.databind.json.JsonMapper.shared()
                    .readTree(java.nio.file.Files.readString(java.nio.file.Path.of("..", "web", "openapi.json")));
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static final String[] NONSENSE = {
        "",
        "{\"body\":{}}",
        "{\"body\":{\"model\":\"a\\u0000b\"}}",
        "{\"version\":1,\"body\":{\"model\":7,\"channels\":1e999999999}}",
        "{\"body\":{\"model\":\"x\",\"transmit\":[[1,2,3]],\"keypad\":5}}",
        "{\"release\":1,\"units\":[-1],\"callSign\":\"x\"}",
        "{\"prints\":[\"\\u0000\"],\"reason\":\"\\u0000\\u0000\\u0000\\u0000\\u0000\\u0000\"}",
        "{\"reason\":\"no\"}",
        "{\"page\":\"\\u0000\",\"entry\":-1}",
        "{\"state\":\"\\u0000\",\"note\":\"\\u0000\"}",
        "{\"before\":[],\"after\":[-1]}",
        "{\"list\":-1,\"entry\":-1,\"presses\":[\"tea\"]}",
        "{\"model\":-1,\"serial\":\"a\\u0000\",\"label\":\"x\",\"lock\":\"?\",\"inhibited\":true,\"owner\":\"\"}",
        "{\"model\":1,\"serial\":\"a\\u0000\",\"label\":\"x\",\"lock\":\"\",\"inhibited\":true,\"owner\":\"\"}",
        "{\"party\":-1,\"note\":\"\\u0000\"}",
        "{\"note\":\"\\u0000\"}",
        "{\"other\":-1,\"callSign\":\"KE9QRB\"}",
        "{\"fault\":\"tea\",\"after\":-1}",
        "{\"kind\":\"tea\",\"mhz\":\"far\",\"narrow\":false,\"nominal\":\"\",\"measured\":\"much\"}",
        "{\"kind\":\"output-power\",\"mhz\":\"146.52\",\"narrow\":false,\"nominal\":\"-5\",\"measured\":\"1e999\"}",
        "{\"lines\":[null]}",
        "{\"lines\":[\"\\u0000\",\"146.94 - - -\"]}",
        "{\"sheet\":\"nosuch\",\"mapping\":null,\"show\":\"?\",\"from\":-5}",
        "{\"sheet\":\"\",\"mapping\":{\"heading\":99,\"columns\":[{\"kind\":\"tea\"}],\"unsaid\":\"?\",\"levels\":{\"high\":\"x\"}},\"show\":\"all\",\"from\":0}",
        "{\"sheet\":\"\",\"mapping\":{\"heading\":null,\"columns\":[{\"kind\":\"tea\"},{\"kind\":\"name\",\"unit\":\"furlong\"}],\"unsaid\":\"?\",\"levels\":{}},\"show\":\"all\",\"from\":0}",
        "{\"name\":\"x\\u0000\",\"sheet\":\"\",\"mapping\":null,\"into\":-1}",
        "{\"name\":\"\\u0000\"}",
        "{\"service\":\"tea\",\"channels\":[\"99\"],\"narrow\":true,\"watts\":-5,\"tone\":\"?\",\"repeaters\":true}",
        "{\"service\":\"frs\",\"channels\":[\"99\"],\"narrow\":true,\"watts\":1,\"tone\":\"none\",\"repeaters\":true}",
        "{\"service\":\"frs\",\"channels\":[],\"narrow\":true,\"watts\":1,\"tone\":\"tea\",\"repeaters\":true}",
        "{\"entries\":[-1],\"digital\":true,\"codesOnly\":true,\"models\":[\"nosuch\"]}",
        "{\"length\":0,\"letters\":\"tea\"}",
        "{\"length\":5,\"letters\":\"tea\"}",
        "{\"sort\":\"tea\",\"group\":\"tea\",\"from\":-1,\"inEachGroup\":false,\"zones\":false,\"zoneSize\":0}",
        "{\"other\":-1}",
        "{\"rows\":[-1,null]}",
        "{\"entries\":[null]}",
        "{\"before\":0,\"knowledge\":{\"neighbours\":[{\"who\":\"\\u0000\",\"mhz\":\"\",\"tone\":\"100.0\"}],\"tables\":[]}}",
        "{\"before\":0,\"knowledge\":{\"neighbours\":[{\"who\":\"x\",\"mhz\":\"far\",\"tone\":\"tea\"}],\"tables\":[]}}",
        "{\"version\":1,\"changes\":[],\"order\":{\"before\":[1],\"after\":[2]}}",
        "{",
        "[]",
        "null",
        "{}",
        "\"x\"",
        "{\"changes\":null}",
        "{\"version\":1,\"changes\":[{\"kind\":\"edit\"}]}",
        "{\"version\":1,\"changes\":[{\"kind\":\"?\",\"before\":{},\"after\":{}}]}",
        "{\"fields\":{\"nosuch\":\"1\"}}",
        "{\"fields\":null}",
        "{\"carriers\":[{\"name\":null}]}",
        "{\"before\":[],\"carriers\":[{\"name\":\"x\",\"licences\":[{\"service\":\"amateur\",\"licenceClass\":\"king\",\"lines\":[]}]}]}",
        "{\"name\":\"\"}",
        "{\"before\":{},\"after\":{}}",
        "{\"rows\":[{}]}",
        "{\"rows\":[{\"mhz\":\"x\",\"uses\":[\"tea\"],\"offsetsMhz\":[\"far\"],\"rasters\":[]}]}",
        "{\"before\":0,\"rows\":[{\"mhz\":\"146.5\",\"uses\":[\"any\"],\"offsetsMhz\":[],\"rasters\":[],\"note\":\"\\u0000\"}],\"note\":\"\\u0000\"}",
        "{\"version\":1,\"party\":{\"kind\":\"person\",\"name\":\"z\",\"note\":\"\",\"teams\":[],\"licences\":[{\"service\":\"gmrs\",\"callSign\":\"A\\u0000\",\"lines\":[]}]}}",
        "{\"kind\":\"person\",\"name\":\"zero\",\"note\":\"\",\"teams\":[],\"licences\":[{\"service\":\"gmrs\",\"callSign\":\"A\\u0000\",\"lines\":[]}]}",
        "{\"before\":" + SETTINGS + ",\"after\":"
                + SETTINGS.replace("\"place\":null", "\"place\":{\"region\":\"\\u0000\"}") + "}",
        "{\"before\":" + CHOICE
                + ",\"after\":{\"carriers\":[{\"name\":\"\\u0000\",\"licences\":[]}],\"parties\":[],\"teams\":[]}}",
        "{\"kind\":\"ghost\",\"name\":\"x\",\"note\":\"\",\"teams\":[],\"licences\":[]}",
        "{\"kind\":\"person\",\"name\":\"\\u0000\",\"note\":\"\",\"teams\":[],\"licences\":[]}",
        "{\"kind\":\"person\",\"name\":\"x\",\"note\":\"\",\"teams\":[\"\\u0000\"],\"licences\":[{\"service\":\"tea\",\"lines\":[]}]}",
        "{\"kind\":\"firm\",\"name\":\"y\",\"note\":\"\",\"teams\":[],\"licences\":[{\"service\":\"land-mobile\",\"lines\":[{\"mhz\":\"1\",\"emission\":\"?\"}]}]}",
        "{\"before\":" + CHOICE + ",\"after\":{\"carriers\":[],\"parties\":[-1],\"teams\":[\"\\u0000\"]}}",
        "{\"before\":" + SETTINGS + ",\"after\":"
                + SETTINGS.replace("\"place\":null", "\"place\":{\"latitude\":99,\"longitude\":0}") + "}",
        "{\"login\":\"\",\"password\":1}",
        "{\"name\":\"x\",\"role\":\"king\",\"party\":null}",
        "{\"name\":\"\\u0000\",\"role\":\"member\",\"party\":-1}",
        "{\"token\":\"\\u0000\",\"login\":\"\\u0000\",\"name\":\"x\",\"password\":\"1234567890\"}",
        "{\"current\":\"\\u0000\",\"next\":\"x\"}",
        "{\"code\":\"\\u0000\"}",
        "{\"name\":\"\\u0000\",\"coordinator\":\"\\u0000\"}",
        "{\"role\":\"king\",\"party\":-1}",
        "{\"fields\":{\"rxMhz\":\"\\u0000\"}}",
        "{\"before\":" + KEYED + ",\"after\":{\"how\":\"tea\",\"bases\":[]}}",
        "{\"before\":" + KEYED
                + ",\"after\":{\"how\":\"bases\",\"bases\":[{\"name\":\"\\u0000\",\"numbers\":[\"\\u0000\"]}]}}",
        STATION.replace("50", "-1"),
        STATION.replace("RG-213", "rope"),
        STATION.replace("base", "ship"),
        STATION.replace("Mine now", "\\u0000"),
        "{\"form\":" + STATION.replace("RG-213", "rope") + ",\"list\":1,\"entries\":[-1],\"atOnce\":[-1]}",
        "{\"text\":\"{\",\"note\":\"\\u0000\"}",
        "{\"text\":\"rulebook: us\\nedition: 5\"}",
        "{\"text\":\"format: wache-rulebook/1\\nrulebook: tea\",\"note\":\"\"}",
        "{\"id\":\"tea\"}"
    };

    private final RunningServer server;

    EveryEndpointTest(RunningServer server) {
        this.server = server;
    }

    /** A method and a path with its variables. */
    record Endpoint(String method, String path) {
        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    static Stream<Endpoint> endpoints() {
        RunningServer running = (RunningServer) new RunningServer().resolveParameter(null, null);
        JsonNode paths = Browserless.json(new Browserless(running.address()).get("/api/openapi.json"))
                .path("paths");
        List<Endpoint> all = new ArrayList<>();
        paths.properties().forEach(path -> path.getValue()
                .propertyNames()
                .forEach(method -> all.add(new Endpoint(method.toUpperCase(java.util.Locale.ROOT), path.getKey()))));
        return all.stream();
    }

    private static HttpResponse<String> call(
            Browserless who, Endpoint endpoint, long group, long list, long entry, String body) {
        return call(who, endpoint, group, list, entry, 1, body);
    }

    private static HttpResponse<String> call(
            Browserless who, Endpoint endpoint, long group, long list, long entry, long party, String body) {
        String query = QUERIES.entrySet().stream()
                .filter(each -> endpoint.toString().endsWith(each.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .map(each -> each.replace("{list}", Long.toString(list)))
                .orElse("");
        String path = endpoint.path()
                        .replace("{group}", Long.toString(group))
                        .replace("{list}", Long.toString(list))
                        .replace("{entry}", Long.toString(entry))
                        .replace("{party}", Long.toString(party))
                        .replace("{version}", "1")
                        .replace("{model}", "1")
                        .replace("{unit}", "1")
                        .replace("{run}", "1")
                        .replace("{job}", "1")
                        .replace("{image}", "1")
                        .replace("{load}", "1")
                        .replace("{file}", "1")
                        .replace("{account}", "99999")
                        .replace("{session}", "x")
                        .replace("{release}", "1")
                        .replace("{waiver}", "1")
                        .replace("{token}", "x")
                        .replace("{profile}", "1")
                        .replace("{station}", "1")
                        .replace("{operation}", "1")
                        .replace("{area}", "1")
                        .replace("{addition}", "1")
                        .replace("{invitation}", Long.toString(invitation(who)))
                        .replace("{callSign}", "KE9QRB")
                        .replace("{repeater}", "TV-001")
                        .replace("{format}", "list")
                        .replace("{intake}", Long.toString(intake(list)))
                + query;
        boolean file = endpoint.method().equals("POST")
                && (endpoint.path().equals("/api/verification")
                        || endpoint.path().equals("/api/groups/{group}/lists")
                        || endpoint.path().equals("/api/groups/{group}/intakes"));
        boolean bare = endpoint.method().equals("GET") || endpoint.method().equals("DELETE");
        return who.send(
                endpoint.method(),
                file ? path + "?name=x" : path,
                bare ? null : file ? "application/octet-stream" : "application/json",
                bare ? null : body.getBytes(StandardCharsets.UTF_8));
    }

    /** An invitation of the demo's group. */
    private static long invitation = 0;

    private static synchronized long invitation(Browserless like) {
        if (invitation == 0) {
            Browserless owner = SIGNED_IN.getOrDefault("coordinator", like);
            owner.post(
                    "/api/groups/" + owner.group() + "/invitations",
                    "{\"name\":\"N. Obody\",\"role\":\"technician\",\"party\":null}");
            invitation = Browserless.json(owner.get("/api/groups/" + owner.group() + "/people"))
                    .path("invitations")
                    .path(0)
                    .path("id")
                    .asLong();
        }
        return invitation;
    }

    /** What the owner brought in, by the list that stands for the run; 1 before there is any. */
    private static final Map<Long, Long> INTAKES = new java.util.concurrent.ConcurrentHashMap<>();

    private static long intake(long list) {
        return INTAKES.getOrDefault(list, 1L);
    }

    private static void bring(Browserless owner, long list, Endpoint endpoint) {
        if (!endpoint.path().contains("{intake}")) {
            return;
        }
        INTAKES.put(
                list,
                Browserless.json(owner.file(
                                "/api/groups/" + owner.group() + "/intakes?name=t",
                                "Freq,Name\n146.52,A\n".getBytes(StandardCharsets.UTF_8)))
                        .path("id")
                        .asLong());
    }

    /** Somebody in the roster who may be changed and taken out; with each of them all is judged anew, so only where one is named. */
    private static long own(Browserless who, Endpoint endpoint, String name) {
        if (!endpoint.path().contains("{party}")) {
            return 1;
        }
        return Browserless.json(who.post(
                        "/api/groups/" + who.group() + "/parties", PARTY.replace("Own one", name + System.nanoTime())))
                .path("id")
                .asLong();
    }

    /** Everyone signs in once: a password is slow to check on purpose. */
    private static final Map<String, Browserless> SIGNED_IN = new java.util.concurrent.ConcurrentHashMap<>();
    /** One list for each purpose: a group of hundreds of lists would make every page slow. */
    private static final Map<String, Long> LISTS = new java.util.concurrent.ConcurrentHashMap<>();

    private Browserless as(String login) {
        return SIGNED_IN.computeIfAbsent(login, any -> Browserless.signedIn(server.address(), login));
    }

    private long list(String name) {
        return LISTS.computeIfAbsent(name, any -> as("coordinator").take(name, "number,rx_mhz\n1,162.550\n"));
    }

    /** Somebody whose sessions may be ended and whose tries slowed down. */
    private Browserless walker() {
        return SIGNED_IN.computeIfAbsent("walker", any -> {
            Browserless owner = as("coordinator");
            String token = Browserless.json(owner.post(
                            "/api/groups/" + owner.group() + "/invitations",
                            "{\"name\":\"Walker\",\"role\":\"reviewer\",\"party\":null}"))
                    .path("token")
                    .asString();
            Browserless who = new Browserless(server.address());
            who.get("/api/session");
            who.post(
                    "/api/invitation/account",
                    "{\"token\":\"" + token
                            + "\",\"login\":\"walker\",\"name\":\"Walker\",\"password\":\"tern-valley\"}");
            return Browserless.signedIn(server.address(), "walker");
        });
    }

    private static Right right(Endpoint endpoint) {
        return AccessTable.SHIPPED.lines().get(endpoint.toString());
    }

    /** Everyone of the demo's group, by the role that the table speaks of. */
    private static final List<String> ROLES = List.of("coordinator", "reviewer", "technician", "member");

    @ParameterizedTest
    @MethodSource("endpoints")
    void eachRoleMayCallWhatTheTableSaysAndNothingElse(Endpoint endpoint) {
        if (right(endpoint) == Right.OPEN || endpoint.path().startsWith("/api/account")) {
            return; // what is one's own is played in AccountsTest
        }
        Browserless owner = as("coordinator");
        long list = list("roles");
        bring(owner, list, endpoint);
        long entry = Browserless.json(owner.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("id")
                .asLong();
        long party = own(owner, endpoint, "For roles ");
        for (String role : ROLES) {
            boolean may = right(endpoint) == Right.ADMINISTER
                    ? role.equals("coordinator")
                    : !right(endpoint).inGroup() || right(endpoint).has(EnumWords.read(Role.class, role));
            HttpResponse<String> answer = call(as(role), endpoint, owner.group(), list, entry, party, "{}");
            if (may) {
                assertThat(answer.statusCode()).as(role + ": " + answer.body()).isNotIn(401, 403);
            } else {
                assertThat(answer.statusCode()).as(role + ": " + answer.body()).isEqualTo(403);
                assertThat(answer.body()).containsAnyOf("you are a " + role, "look after the installation");
            }
        }
        assertThat(owner.get("/api/lists/" + list).statusCode()).isEqualTo(200);
    }

    /** The rule behind the table, written a second time: who may do what, in the words of the promises. */
    @ParameterizedTest
    @CsvSource({
        "GET /api/lists/{list}, coordinator reviewer technician",
        "POST /api/lists/{list}/changes, coordinator reviewer",
        "PUT /api/parties/{party}, coordinator",
        "PUT /api/groups/{group}/overlay, coordinator",
        "POST /api/lists/{list}/runs, coordinator technician",
        "POST /api/units/{unit}/hand-out, coordinator technician",
        "POST /api/groups/{group}/invitations, coordinator",
        "GET /api/groups/{group}/log, coordinator reviewer technician",
        "GET /api/groups/{group}/roster, coordinator reviewer technician",
        "POST /api/units/{unit}/measurements, coordinator technician"
    })
    void theTableSaysWhatWasPromised(String endpoint, String roles) {
        Right right = AccessTable.SHIPPED.lines().get(endpoint);
        assertThat(ROLES.stream().filter(role -> right.has(EnumWords.read(Role.class, role))))
                .containsExactlyInAnyOrder(roles.split(" "));
    }

    @Test
    void thereAreEndpoints() {
        assertThat(endpoints()).hasSizeGreaterThan(10);
    }

    @ParameterizedTest
    @MethodSource("endpoints")
    void aStrangerIsAskedToSignIn(Endpoint endpoint) {
        Browserless stranger = new Browserless(server.address());
        stranger.get("/api/session");
        int status = call(stranger, endpoint, 1, 1, 1, "{}").statusCode();
        if (right(endpoint) != Right.OPEN) {
            assertThat(status).isEqualTo(401);
        }
    }

    @ParameterizedTest
    @MethodSource("endpoints")
    void anotherGroupFindsNothing(Endpoint endpoint) {
        Browserless owner = as("coordinator");
        long list = list("own");
        bring(owner, list, endpoint);
        long entry = Browserless.json(owner.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("id")
                .asLong();
        Browserless neighbour = as("neighbour");
        if (!right(endpoint).inGroup()) {
            return;
        }
        JsonNode party = Browserless.json(owner.get("/api/groups/" + owner.group() + "/roster"))
                .path("parties")
                .path(0);
        String body = GOOD.entrySet().stream()
                .filter(each -> endpoint.path().endsWith(each.getKey()))
                .findFirst()
                .map(Map.Entry::getValue)
                .orElse("number,rx_mhz\n1,162.550\n");
        HttpResponse<String> answer = call(
                neighbour,
                endpoint,
                owner.group(),
                list,
                entry,
                party.path("id").asLong(),
                body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(404);
        assertThat(Browserless.json(owner.get("/api/lists/" + list))
                        .path("name")
                        .asString())
                .isEqualTo("own");
        assertThat(Browserless.json(owner.get("/api/groups/" + owner.group() + "/roster"))
                        .path("parties")
                        .path(0))
                .isEqualTo(party);
    }

    @ParameterizedTest
    @MethodSource("endpoints")
    void nonsenseGetsAMessageAndNeverAFault(Endpoint endpoint) {
        Browserless who = as("coordinator");
        long list = list("nonsense");
        bring(who, list, endpoint);
        long entry = Browserless.json(who.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("id")
                .asLong();
        if (endpoint.toString().equals("DELETE /api/session")) {
            return;
        }
        if (endpoint.path().startsWith("/api/account")) {
            who = walker();
        }
        long party = endpoint.path().startsWith("/api/account") ? 1 : own(who, endpoint, "For nonsense ");
        boolean bodiless = endpoint.method().equals("GET") || endpoint.method().equals("DELETE");
        for (String body : bodiless ? List.of("") : nonsense(endpoint)) {
            HttpResponse<String> answer = call(who, endpoint, who.group(), list, entry, party, body);
            assertThat(answer.statusCode()).as(body + " → " + answer.body()).isLessThan(500);
            assertThat(answer.body()).doesNotContain("Exception", "at org.");
        }
        assertThat(who.send(endpoint.method(), endpoint.path().replaceAll("\\{\\w+}", "x"), null, null)
                        .statusCode())
                .isLessThan(500);
    }

    @Test
    void noFileIsAFault() {
        Browserless who = Browserless.signedIn(server.address(), "neighbour");
        Random random = new Random(20_261_125);
        byte[] good = "number,name,rx_mhz,tx_mhz\n1,\"A \"\"b\"\"\",146.520,146.520\n2,C,162.550,\n"
                .getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < 150; i++) {
            byte[] bad = java.util.Arrays.copyOf(good, good.length - random.nextInt(good.length));
            for (int n = random.nextInt(6); n > 0 && bad.length > 0; n--) {
                bad[random.nextInt(bad.length)] = (byte) random.nextInt(256);
            }
            HttpResponse<String> answer = who.file("/api/groups/" + who.group() + "/lists?name=mutant", bad);
            assertThat(answer.statusCode()).as(answer.body()).isIn(201, 422);
            if (answer.statusCode() == 201) {
                long list = Browserless.json(answer).path("id").asLong();
                assertThat(who.get("/api/lists/" + list).statusCode()).isEqualTo(200);
            }
        }
    }
}
