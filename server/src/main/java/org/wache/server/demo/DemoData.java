package org.wache.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.wache.channel.Field;
import org.wache.exchange.ProfileFile;
import org.wache.measure.Measurement;
import org.wache.server.access.Role;
import org.wache.server.accounts.Account;
import org.wache.server.accounts.AccountStore;
import org.wache.server.bench.BenchService;
import org.wache.server.bench.Order;
import org.wache.server.directory.DirectoryLinks;
import org.wache.server.lists.ListIntake;
import org.wache.server.papers.PapersJson;
import org.wache.server.papers.PartyKind;
import org.wache.server.profiles.ProfileService;
import org.wache.server.radios.Handing;
import org.wache.server.radios.PastMeasurements;
import org.wache.server.radios.RadioService;
import org.wache.server.radios.UnitDraft;
import org.wache.server.releases.PastRelease;
import org.wache.server.roster.Party;
import org.wache.server.roster.RosterService;
import org.wache.server.rulebooks.OverlayService;
import org.wache.server.stations.AreaStore;
import org.wache.server.stations.StationStore;
import org.wache.server.tones.ToneKnowledge;
import org.wache.server.tones.ToneKnowledgeStore;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Fills an empty database with the Tern Valley flood watch. */
@Component
@org.springframework.core.annotation.Order(1) // what else is made comes beside it
class DemoData implements ApplicationRunner {

    /** The password of the demo's accounts; the demo listens on loopback only. */
    private static final String PASSWORD = "tern-valley";

    private static final JsonMapper JSON = Json.MAPPER;

    private final boolean demo;
    private final AccountStore accounts;
    private final ListIntake lists;
    private final RosterService roster;
    private final OverlayService overlays;
    private final ToneKnowledgeStore tones;
    private final RadioService radios;
    private final Handing handing;
    private final PastMeasurements measurements;
    private final BenchService bench;
    private final DirectoryLinks directory;
    private final PastRelease releases;
    private final PasswordEncoder encoder;
    private final TransactionTemplate transaction;
    private final StationStore stations;
    private final AreaStore areas;
    private final ProfileService profiles;
    private final DemoOperations operations;

    DemoData(
            @Value("${wache.demo}") boolean demo,
            AccountStore accounts,
            ListIntake lists,
            RosterService roster,
            OverlayService overlays,
            ToneKnowledgeStore tones,
            RadioService radios,
            Handing handing,
            PastMeasurements measurements,
            BenchService bench,
            DirectoryLinks directory,
            PastRelease releases,
            PasswordEncoder encoder,
            TransactionTemplate transaction,
            StationStore stations,
            AreaStore areas,
            ProfileService profiles,
            DemoOperations operations) {
        this.operations = operations;
        this.profiles = profiles;
        this.stations = stations;
        this.areas = areas;
        this.demo = demo;
        this.accounts = accounts;
        this.lists = lists;
        this.roster = roster;
        this.overlays = overlays;
        this.tones = tones;
        this.radios = radios;
        this.handing = handing;
        this.measurements = measurements;
        this.bench = bench;
        this.directory = directory;
        this.releases = releases;
        this.encoder = encoder;
        this.transaction = transaction;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (demo && accounts.isEmpty()) {
            transaction.executeWithoutResult(status -> fill());
        }
    }

    private void fill() {
        long valley = accounts.addClub("Tern Valley flood watch");
        long neighbours = accounts.addClub("Marsh End radio circle");
        long coordinator = account("coordinator", "Ada Fenwright");
        accounts.setAdministrator(coordinator);
        accounts.addMember(coordinator, valley, Role.COORDINATOR, null);
        JSON.readTree(text("roster.json"))
                .path("parties")
                .forEach(party -> roster.add(coordinator, valley, draft(party)));
        Map<String, Long> people = new HashMap<>();
        roster.parties(coordinator, valley).forEach(party -> people.put(party.name(), party.id()));
        long reviewer = account("reviewer", "Jonas Weirley");
        accounts.addMember(reviewer, valley, Role.REVIEWER, people.get("Jonas Weirley"));
        accounts.addMember(account("technician", "Nell Garrow"), valley, Role.TECHNICIAN, null);
        accounts.addMember(account("member", "Rosa Quill"), valley, Role.MEMBER, people.get("Rosa Quill"));
        accounts.addMember(account("neighbour", "Petra Lowfield"), neighbours, Role.COORDINATOR, null);
        JsonNode overlay = JSON.readTree(text("overlay.json"));
        overlays.put(
                coordinator,
                valley,
                overlay.path("rows").toString(),
                overlay.path("note").asString());

        long working = lists.take(
                coordinator,
                valley,
                "Volunteers, working list",
                bytes("volunteers.csv"),
                text("volunteers.context.json"),
                List.of("River watch"),
                "");
        tones.put(coordinator, valley, 0, JSON.readValue(text("tones.json"), ToneKnowledge.class));
        directory.link(working, "Tern Ridge Rpt", "TV-001", Map.of());
        directory.link(working, "Gauge House Rpt", "TV-004", Map.of());
        directory.link(
                working, "Mill Race Rpt", "TV-003", Map.of("access", "88.5")); // as the line was when it was copied
        lists.follow(coordinator, working, "Volunteers, for Technicians", "amateur:technician");
        // Last looked at before the edition of 2026, so that the home page has something to tell.
        lists.take(
                coordinator,
                valley,
                "HF desk",
                bytes("hf-desk.csv"),
                text("hf-desk.context.json"),
                List.of("HF desk"),
                "2024-01-08");
        lists.take(
                coordinator,
                valley,
                "Households, personal radio",
                bytes("households.csv"),
                text("households.context.json"),
                List.of("Households"),
                "");
        lists.take(
                coordinator,
                valley,
                "Ferry and orchard fleet",
                bytes("ferry-and-orchard.csv"),
                text("ferry-and-orchard.context.json"),
                List.of(),
                "");
        lists.take(
                coordinator,
                valley,
                "Factory list of the new hand-helds",
                bytes("factory-handheld.csv"),
                text("factory-handheld.context.json"),
                List.of(),
                "");
        long river = lists.take(
                coordinator,
                valley,
                "River hand-helds, spring",
                bytes("river-handhelds.csv"),
                text("river-handhelds.context.json"),
                List.of("River watch"),
                "");
        Map<String, Long> units = radios(coordinator, valley, people);
        JSON.readTree(text("stations.json"))
                .path("stations")
                .forEach(station -> stations.add(
                        coordinator, valley, station.path("name").asString(), JSON.writeValueAsString(station)));
        JSON.readTree(text("stations.json"))
                .path("areas")
                .forEach(area ->
                        areas.add(coordinator, valley, area.path("name").asString(), JSON.writeValueAsString(area)));
        JSON.readTree(text("profiles.json"))
                .path("profiles")
                .forEach(each -> profiles.add(
                        coordinator,
                        valley,
                        each.path("team").asString(""),
                        ProfileFile.read(JSON.writeValueAsBytes(each.path("profile")))));
        Map<String, Long> models = new HashMap<>();
        radios.models(coordinator, valley).forEach(model -> models.put(model.name(), model.id()));
        lists.meantFor(coordinator, river, models.get("Heron H2"), "Amateur");
        Account ada = accounts.account(coordinator).orElseThrow();
        PastRelease.Reasons reasons = JSON.readValue(text("waivers.json"), PastRelease.Reasons.class);
        releases.waive(ada, river, reasons);
        long released = releases.release(ada, accounts.account(reviewer).orElseThrow(), river);
        lists.add(
                coordinator,
                river,
                Map.of(
                        Field.NAME,
                        "PUMPS",
                        Field.RX_MHZ,
                        "147.570",
                        Field.TX_MHZ,
                        "147.570",
                        Field.MODE,
                        "FM",
                        Field.TX_TONE,
                        "103.5",
                        Field.RX_TONE,
                        "103.5",
                        Field.SCAN,
                        "yes",
                        Field.TIMEOUT_S,
                        "180",
                        Field.NOTE,
                        "Pump crews; asked for on Monday")); // since the release, and its power is missing
        long shortList = lists.take(
                coordinator,
                valley,
                "Net control, short list",
                bytes("net-control.csv"),
                text("river-handhelds.context.json"),
                List.of("Net control"),
                "");
        lists.meantFor(coordinator, shortList, models.get("Heron H2"), "Amateur");
        releases.waive(ada, shortList, reasons);
        lists.take(
                coordinator,
                valley,
                "Weir house and landing, on site",
                bytes("on-site.csv"),
                text("on-site.context.json"),
                List.of("River watch"),
                "");
        operations.add(coordinator, valley, JSON.readTree(text("operation.json")), people);
        bench.start(
                coordinator,
                river,
                released,
                List.of("River 1", "River 2", "River 4", "River 5", "River 7").stream()
                        .map(units::get)
                        .map(Order::of)
                        .toList(),
                "KE9QRB");
    }

    /** Models, radios, who has them, and what was measured on them. */
    private Map<String, Long> radios(long coordinator, long valley, Map<String, Long> people) {
        Map<String, Long> models = new HashMap<>();
        for (String file : List.of("heron-h2", "wren-p1", "otter-m5", "badger-b4", "curlew-c6", "plover-f2")) {
            String body = text("radios/" + file + ".json");
            models.put(JSON.readTree(body).path("model").asString(), radios.addModel(coordinator, valley, body));
        }
        Map<String, Long> units = new HashMap<>();
        JSON.readTree(text("units.json")).path("units").forEach(unit -> {
            long id = radios.addUnit(
                    coordinator,
                    valley,
                    new UnitDraft(
                            models.get(unit.path("model").asString()),
                            unit.path("serial").asString(),
                            unit.path("label").asString(),
                            unit.path("lock").asString(""),
                            false,
                            unit.path("owner").asString()));
            units.put(unit.path("label").asString(), id);
            if (!unit.path("carrier").asString("").isEmpty()) {
                handing.out(coordinator, id, people.get(unit.path("carrier").asString()), "", true);
            }
            if (unit.path("inhibited").asBoolean(false)) {
                radios.changeUnit(
                        coordinator,
                        id,
                        1,
                        new UnitDraft(
                                models.get(unit.path("model").asString()),
                                unit.path("serial").asString(),
                                unit.path("label").asString(),
                                unit.path("lock").asString(""),
                                true,
                                unit.path("owner").asString()));
            }
        });
        JSON.readTree(text("measurements.json"))
                .path("measurements")
                .forEach(each -> measurements.add(
                        units.get(each.path("unit").asString()),
                        coordinator,
                        new PastMeasurements.Past(
                                EnumWords.read(
                                        Measurement.Kind.class,
                                        each.path("kind").asString()),
                                each.path("mhz").asString(),
                                each.path("narrow").asBoolean(),
                                each.path("nominal").asString(""),
                                each.path("measured").asString(),
                                each.path("daysAgo").asInt())));
        return units;
    }

    private static Party.Draft draft(JsonNode party) {
        List<String> teams = new ArrayList<>();
        party.path("teams").forEach(team -> teams.add(team.asString()));
        return new Party.Draft(
                EnumWords.read(PartyKind.class, party.path("kind").asString()),
                party.path("name").asString(),
                party.path("note").asString(),
                teams,
                PapersJson.licences(party.path("licences")));
    }

    private long account(String login, String name) {
        return accounts.addAccount(login, name, encoder.encode(PASSWORD));
    }

    private static String text(String file) {
        return new String(bytes(file), StandardCharsets.UTF_8);
    }

    static byte[] bytes(String file) {
        try (InputStream in = DemoData.class.getResourceAsStream("/demo/" + file)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
