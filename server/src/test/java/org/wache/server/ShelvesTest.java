package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Lists are archived, deleted and brought back as a whole; what was released stays. */
@ExtendWith(RunningServer.class)
class ShelvesTest {

    private static final String CSV =
            "number,name,rx_mhz,tx_mhz,mode,power_w\n1,A,146.52,146.52,FM,5\n2,B,146.55,146.55,FM,5\n";
    private static final String NOBODY = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";

    private final Browserless who;
    private final Browserless technician;
    private final Browserless neighbour;

    ShelvesTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.technician = Browserless.signedIn(server.address(), "technician");
        this.neighbour = Browserless.signedIn(server.address(), "neighbour");
    }

    private HttpResponse<String> put(Browserless by, long list, String before, String after) {
        return by.put("/api/lists/" + list + "/shelf", "{\"before\":\"" + before + "\",\"after\":\"" + after + "\"}");
    }

    private void done(long list, String before, String after) {
        HttpResponse<String> answer = put(who, list, before, after);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(204);
    }

    private String shelf(long list) {
        return Browserless.json(who.get("/api/groups/" + who.group() + "/lists"))
                .valueStream()
                .filter(each -> each.path("id").asLong() == list)
                .map(each -> each.path("shelf").asString())
                .findFirst()
                .orElse("none");
    }

    private List<String> deleted() {
        return Browserless.json(who.get("/api/groups/" + who.group() + "/deleted-lists"))
                .valueStream()
                .map(each -> each.path("name").asString())
                .toList();
    }

    private long variant(long list, String name) {
        return Browserless.json(who.post(
                        "/api/lists/" + list + "/variants",
                        "{\"name\":\"" + name + "\",\"carriers\":"
                                + NOBODY.replace("\"teams\":[]", "\"teams\":[\"River watch\"]") + "}"))
                .path("id")
                .asLong();
    }

    @Test
    void whatIsDeletedIsGoneAndComesBackAsItWas() {
        long list = who.take("to be deleted", CSV);
        String before = who.get("/api/lists/" + list + "/export.csv").body();
        done(list, "in-use", "deleted");
        assertThat(shelf(list)).isEqualTo("none");
        assertThat(deleted()).contains("to be deleted");
        for (String path : List.of("", "/versions", "/export.csv", "/matrix", "/gate", "/undo")) {
            assertThat(who.get("/api/lists/" + list + path).statusCode())
                    .as(path)
                    .isEqualTo(404);
        }
        assertThat(who.put("/api/lists/" + list + "/name", "{\"name\":\"x\"}").statusCode())
                .isEqualTo(404);
        done(list, "deleted", "in-use");
        assertThat(shelf(list)).isEqualTo("in-use");
        assertThat(who.get("/api/lists/" + list + "/export.csv").body()).isEqualTo(before);
        assertThat(deleted()).doesNotContain("to be deleted");
    }

    @Test
    void whatFollowsAListGoesAndComesWithIt() {
        long list = who.take("followed", CSV);
        long variant = variant(list, "follows");
        done(list, "in-use", "archived");
        assertThat(shelf(variant)).isEqualTo("archived");
        assertThat(put(who, variant, "in-use", "archived").body()).contains("Bring that one back");
        done(list, "archived", "deleted");
        assertThat(shelf(variant)).isEqualTo("none");
        assertThat(who.get("/api/lists/" + variant).statusCode()).isEqualTo(404);
        assertThat(deleted()).contains("followed").doesNotContain("follows");
        done(list, "deleted", "in-use");
        assertThat(shelf(variant)).isEqualTo("in-use");
        done(variant, "in-use", "deleted");
        assertThat(deleted()).contains("follows");
        assertThat(shelf(list)).isEqualTo("in-use");
    }

    @Test
    void anArchivedListIsStillHeldAgainstTheRules() {
        long list = who.take("archived", CSV);
        done(list, "in-use", "archived");
        JsonNode desk = Browserless.json(who.get("/api/lists/" + list));
        assertThat(desk.path("shelf").asString()).isEqualTo("archived");
        assertThat(desk.path("slips")).hasSize(2);
        assertThat(desk.path("counts").path("hold").asInt()).isEqualTo(2);
    }

    @Test
    void twoAtOnceDoNotGoOverEachOther() {
        long list = who.take("twice", CSV);
        done(list, "in-use", "archived");
        HttpResponse<String> late = put(who, list, "in-use", "deleted");
        assertThat(late.statusCode()).as(late.body()).isEqualTo(409);
        assertThat(Browserless.json(late).path("theirs").asString()).isEqualTo("archived");
        assertThat(shelf(list)).isEqualTo("archived");
    }

    @Test
    void aNameThatSomebodyElseGaveIsNotWrittenOver() {
        long list = who.take("first name", CSV);
        String path = "/api/lists/" + list + "/name";
        assertThat(who.put(path, "{\"before\":\"first name\",\"name\":\"second\"}")
                        .statusCode())
                .isEqualTo(204);
        HttpResponse<String> late = who.put(path, "{\"before\":\"first name\",\"name\":\"third\"}");
        assertThat(late.statusCode()).as(late.body()).isEqualTo(409);
        assertThat(Browserless.json(who.get("/api/lists/" + list)).path("name").asString())
                .isEqualTo("second");
    }

    @Test
    void whatWentOutIsArchivedAndNotDeleted() {
        long released = Browserless.json(who.get("/api/groups/" + who.group() + "/lists"))
                .valueStream()
                .filter(each -> each.path("name").asString().startsWith("River hand-helds"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        HttpResponse<String> answer = put(who, released, "in-use", "deleted");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Archive it instead");
        assertThat(shelf(released)).isEqualTo("in-use");
    }

    @Test
    void onlyWhoMayEditPutsListsAway() {
        long list = who.take("theirs", CSV);
        assertThat(put(technician, list, "in-use", "deleted").statusCode()).isEqualTo(403);
        assertThat(put(neighbour, list, "in-use", "deleted").statusCode()).isEqualTo(404);
        assertThat(technician
                        .get("/api/groups/" + who.group() + "/deleted-lists")
                        .statusCode())
                .isEqualTo(403);
        assertThat(neighbour
                        .get("/api/groups/" + who.group() + "/deleted-lists")
                        .statusCode())
                .isEqualTo(404);
        assertThat(shelf(list)).isEqualTo("in-use");
        done(list, "in-use", "deleted");
        assertThat(put(neighbour, list, "deleted", "in-use").statusCode()).isEqualTo(404);
    }

    /** Undo on the Desk is for what was done to the list: it does not put the list away. */
    @Test
    void bringingBackIsNotUndoneByTheDesk() {
        long list = who.take("undo of shelves", CSV);
        done(list, "in-use", "deleted");
        done(list, "deleted", "in-use");
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/undo"))
                        .path("undo")
                        .isNull())
                .isTrue();
        assertThat(who.get("/api/lists/" + list + "/versions").body()).contains("deleted", "brought back");
    }

    /** Whatever can be asked of a list by its number is not answered for one that was deleted, nor done to it. */
    @Test
    void nothingOfADeletedListIsAnswered() throws IOException {
        long list = who.take("not to be asked of", CSV);
        long entry = Browserless.json(who.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("id")
                .asLong();
        done(list, "in-use", "deleted");
        List<String> answered = new ArrayList<>();
        try (InputStream table = getClass().getResourceAsStream("/access/endpoints.txt")) {
            new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> line.matches("\\w+ +GET +/api/lists/\\{list}.*"))
                    .map(line -> line.replaceAll("^\\w+ +GET +", ""))
                    .forEach(path -> {
                        String asked = path.replace("{list}", Long.toString(list))
                                .replace("{entry}", Long.toString(entry))
                                .replaceAll("\\{\\w+}", "1");
                        if (who.get(asked).statusCode() < 400) {
                            answered.add(path);
                        }
                    });
        }
        assertThat(answered).isEmpty();
        assertThat(who.post("/api/lists/" + list + "/aside", "{\"lines\":[\"what is this\"]}")
                        .statusCode())
                .isEqualTo(404);
        assertThat(who.put("/api/lists/" + list + "/presence", "{\"page\":\"x\",\"entry\":null}")
                        .statusCode())
                .isEqualTo(404);
    }
}
