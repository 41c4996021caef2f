package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.wache.server.access.AccessTable;
import org.wache.server.access.Right;
import org.wache.server.access.Role;
import org.wache.server.web.EnumWords;

/**
 * Every endpoint, by everyone who may not call it, with its address written in every way that a parser may read otherwise than the
 * one beside it (RFC 3986, 2.1, 3.3 and 6.2; the servlet specification, 3.5, on parameters of a path): none gets an answer.
 */
@ExtendWith(RunningServer.class)
class EverySpellingTest {

    private static final String OUTSIDER = "spelling-outsider";
    private static final List<String> ROLES = List.of("coordinator", "reviewer", "technician", "member", OUTSIDER);
    private static final Map<String, Browserless> WHO = new LinkedHashMap<>();
    private static final Map<String, UnaryOperator<String>> SPELLINGS = new LinkedHashMap<>();
    private static String address;
    private static long group;
    private static long list;
    private static long invitation;

    static {
        SPELLINGS.put("as it is", path -> path);
        SPELLINGS.put("a letter encoded", path -> path.replaceFirst("/api", "/%61pi"));
        SPELLINGS.put("another letter encoded", path -> path.replaceFirst("/api", "/ap%69"));
        SPELLINGS.put("the last letter encoded", path -> encoded(path, path.length() - 1));
        SPELLINGS.put("every letter encoded", EverySpellingTest::allEncoded);
        SPELLINGS.put("encoded twice", path -> path.replaceFirst("/api", "/%2561pi"));
        SPELLINGS.put("a slash encoded", path -> path.replaceFirst("/api/", "/api%2F"));
        SPELLINGS.put(
                "the last slash encoded",
                path -> path.substring(0, path.lastIndexOf('/')) + "%2f" + path.substring(path.lastIndexOf('/') + 1));
        SPELLINGS.put("a backslash", path -> path.replaceFirst("/api/", "/api%5C"));
        SPELLINGS.put("two slashes", path -> "/" + path);
        SPELLINGS.put("two slashes within", path -> path.replaceFirst("/api/", "/api//"));
        SPELLINGS.put("a dot", path -> "/." + path);
        SPELLINGS.put("a dot encoded", path -> "/%2e" + path);
        SPELLINGS.put("up and down", path -> "/assets/.." + path);
        SPELLINGS.put("up and down, encoded", path -> "/assets/%2e%2e" + path);
        SPELLINGS.put("up with a parameter", path -> "/assets/..;" + path);
        SPELLINGS.put("a parameter", path -> path.replaceFirst("/api/", "/api;a=b/"));
        SPELLINGS.put("a parameter at the end", path -> path + ";a=b");
        SPELLINGS.put("an encoded parameter", path -> path + "%3Ba=b");
        SPELLINGS.put("a slash at the end", path -> path + "/");
        SPELLINGS.put("a dot at the end", path -> path + ".");
        SPELLINGS.put("an ending", path -> path + ".json");
        SPELLINGS.put("a blank at the end", path -> path + "%20");
        SPELLINGS.put("a zero at the end", path -> path + "%00");
        SPELLINGS.put("a line break", path -> path + "%0a");
        SPELLINGS.put("capitals", path -> path.toUpperCase(Locale.ROOT));
        SPELLINGS.put("one capital", path -> path.replaceFirst("/api", "/Api"));
        SPELLINGS.put("letters of full width", path -> path.replaceFirst("/api", "/%EF%BD%81pi"));
        SPELLINGS.put("an overlong letter", path -> path.replaceFirst("/api", "/%C1%A1pi"));
        SPELLINGS.put("figures of full width", path -> path.replaceFirst("/1(?=/|$)", "/%EF%BC%91"));
        SPELLINGS.put("a sign before the key", path -> path.replaceFirst("/(\\d)", "/+$1"));
        SPELLINGS.put("a blank before the key", path -> path.replaceFirst("/(\\d)", "/%20$1"));
        SPELLINGS.put("a whole address", path -> "http://127.0.0.1" + path);
    }

    private static String encoded(String path, int at) {
        return path.substring(0, at) + "%" + Integer.toHexString(path.charAt(at)) + path.substring(at + 1);
    }

    private static String allEncoded(String path) {
        StringBuilder text = new StringBuilder();
        path.chars().forEach(sign -> text.append(sign == '/' ? "/" : "%" + Integer.toHexString(sign)));
        return text.toString();
    }

    @BeforeAll
    static void begin(RunningServer server) {
        address = server.address();
        ROLES.forEach(role -> WHO.computeIfAbsent(
                role, any -> role.equals(OUTSIDER) ? outsider() : Browserless.signedIn(address, role)));
        group = WHO.get("coordinator").group();
        WHO.values().forEach(who -> assertThat(who.get("/api/account").statusCode())
                .isEqualTo(200)); // they are strangers to nobody
        String invitations = "/api/groups/" + group + "/";
        WHO.get("coordinator")
                .post(invitations + "invitations", "{\"name\":\"N. Obody\",\"role\":\"technician\",\"party\":null}");
        invitation = Browserless.json(WHO.get("coordinator").get(invitations + "people"))
                .path("invitations")
                .path(0)
                .path("id")
                .asLong();
        list = WHO.get("coordinator").take("spelled", "number,rx_mhz\n1,162.550\n");
    }

    /** Somebody who may everything in a group that has nothing: whatever else ran at this server, no thing of any key is theirs. */
    private static Browserless outsider() {
        String token = Browserless.json(Browserless.signedIn(address, "coordinator")
                        .post("/api/installation/groups", "{\"name\":\"Outside\",\"coordinator\":\"Out Sider\"}"))
                .path("token")
                .asString();
        Browserless who = new Browserless(address);
        who.get("/api/session");
        assertThat(who.post(
                                "/api/invitation/account",
                                "{\"token\":\"" + token + "\",\"login\":\"" + OUTSIDER
                                        + "\",\"name\":\"Out Sider\",\"password\":\"tern-valley\"}")
                        .statusCode())
                .isEqualTo(204);
        return Browserless.signedIn(address, OUTSIDER);
    }

    static Stream<String> endpoints() {
        return AccessTable.SHIPPED.lines().entrySet().stream()
                .filter(each -> each.getValue() != Right.OPEN && each.getValue() != Right.FILE)
                .map(Map.Entry::getKey);
    }

    private static String path(String endpoint) {
        Matcher variables = Pattern.compile("\\{(\\w+)}").matcher(endpoint.substring(endpoint.indexOf(' ') + 1));
        return variables.replaceAll(each -> switch (each.group(1)) {
            case "group" -> Long.toString(group);
            case "list" -> Long.toString(list);
            case "invitation" -> Long.toString(invitation); // the outsider came by one of their own
            default -> "1";
        });
    }

    private static boolean may(String role, Right right) {
        return switch (right) {
            case ADMINISTER -> role.equals("coordinator");
            case OPEN, FILE, SIGNED_IN -> true;
            default -> !role.equals(OUTSIDER) && right.has(EnumWords.read(Role.class, role));
        };
    }

    private static String request(String method, String target, Optional<Browserless> who, String more) {
        String body = method.equals("GET")
                        || method.equals("HEAD")
                        || method.equals("DELETE")
                        || method.equals("OPTIONS")
                        || method.equals("TRACE")
                ? ""
                : "{}";
        return method + " " + target + " HTTP/1.1\r\nHost: 127.0.0.1\r\n"
                + who.map(each -> "Cookie: " + each.cookieHeader() + "\r\nX-XSRF-TOKEN: " + each.cookie("XSRF-TOKEN")
                                + "\r\n")
                        .orElse("")
                + more + "Content-Type: application/json\r\nContent-Length: " + body.length() + "\r\n\r\n" + body;
    }

    /** Whoever may not, gets no answer however the address is written: neither layer alone decides that, both have to. */
    @ParameterizedTest
    @MethodSource("endpoints")
    void noSpellingPasses(String endpoint) throws IOException {
        Right right = AccessTable.SHIPPED.lines().get(endpoint);
        String method = endpoint.substring(0, endpoint.indexOf(' '));
        String path = path(endpoint);
        List<String> forbidden =
                new ArrayList<>(ROLES.stream().filter(role -> !may(role, right)).toList());
        if (forbidden.size()
                > 2) { // the one who may most and the stranger to the group: the others are not told apart from them
            forbidden.subList(1, forbidden.size() - 1).clear();
        }
        try (RawHttp http = new RawHttp(address)) {
            for (Map.Entry<String, UnaryOperator<String>> spelling : SPELLINGS.entrySet()) {
                String target = spelling.getValue().apply(path);
                for (String role : forbidden) {
                    assertThat(http.send(request(method, target, Optional.of(WHO.get(role)), ""))
                                    .status())
                            .as("%s by a %s, %s: %s", endpoint, role, spelling.getKey(), target)
                            .isIn(400, 403, 404, 405);
                }
                assertThat(http.send(request(method, target, Optional.empty(), ""))
                                .status())
                        .as("%s by a stranger, %s", endpoint, spelling.getKey())
                        .isIn(400, 401, 403, 404, 405);
            }
        }
    }

    /** No other method, and no header that names another, gets at what an endpoint does. */
    @ParameterizedTest
    @MethodSource("endpoints")
    void noOtherMethodPasses(String endpoint) throws IOException {
        Right right = AccessTable.SHIPPED.lines().get(endpoint);
        String method = endpoint.substring(0, endpoint.indexOf(' '));
        String path = path(endpoint);
        Optional<Browserless> who =
                ROLES.stream().filter(role -> !may(role, right)).map(WHO::get).findFirst();
        try (RawHttp http = new RawHttp(address)) {
            for (String other : List.of("HEAD", "OPTIONS", "TRACE", "PATCH", "get", "BREW")) {
                boolean sameAsGet = other.equals("HEAD")
                        && AccessTable.SHIPPED
                                .lines()
                                .containsKey("GET " + endpoint.substring(endpoint.indexOf(' ') + 1));
                if (who.isPresent() && !sameAsGet) {
                    assertThat(http.send(request(other, path, who, "")).status())
                            .as("%s as %s", endpoint, other)
                            .isIn(400, 403, 404, 405, 501);
                }
                assertThat(http.send(request(other, path, Optional.empty(), "")).status())
                        .as("%s as %s by a stranger", endpoint, other)
                        .isIn(400, 401, 403, 404, 405, 501);
            }
            for (String override : List.of(
                    "X-HTTP-Method-Override: " + method, "X-HTTP-Method: " + method, "X-Method-Override: " + method)) {
                for (String carrier : List.of("GET", "POST")) {
                    RawHttp.Answer plain = http.send(request(carrier, path, who, ""));
                    RawHttp.Answer overridden =
                            http.send(request(carrier, path + "?_method=" + method, who, override + "\r\n"));
                    assertThat(overridden.status())
                            .as("%s carried by %s", endpoint, carrier)
                            .isEqualTo(plain.status());
                }
            }
        }
    }

    /** What has no line is refused, even where something would answer. */
    @Test
    void whatHasNoLineIsNotThere() throws IOException {
        try (RawHttp http = new RawHttp(address)) {
            for (String path : new TreeSet<>(List.of(
                    "/api",
                    "/api/",
                    "/api/nosuch",
                    "/error",
                    "/actuator",
                    "/actuator/env",
                    "/static/index.html",
                    "/demo/roster.json",
                    "/application.yaml",
                    "/WEB-INF/web.xml",
                    "/META-INF/MANIFEST.MF",
                    "/v3/api-docs",
                    "/swagger-ui/index.html",
                    "/db/migration/V1__first_light.sql",
                    "/access/endpoints.txt",
                    "/webjars/x",
                    "/assets/../application.yaml",
                    "/assets/%2e%2e/application.yaml",
                    "/lists/..;/application.yaml",
                    "/index.html/",
                    "/login",
                    "/logout"))) {
                for (Optional<Browserless> who :
                        List.of(Optional.<Browserless>empty(), Optional.of(WHO.get("coordinator")))) {
                    RawHttp.Answer answer = http.send(request("GET", path, who, ""));
                    assertThat(answer.status()).as(path).isIn(400, 401, 404);
                    assertThat(answer.body()).as(path).doesNotContain("spring:", "Exception", "Apache", "Whitelabel");
                }
            }
        }
    }
}
