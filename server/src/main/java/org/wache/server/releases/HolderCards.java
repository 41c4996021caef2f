package org.wache.server.releases;

import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.EntryAudit;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Wording;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.exchange.ContextFile;
import org.wache.exchange.ReleaseFile;
import org.wache.licence.Holder;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.papers.PapersJson;
import org.wache.server.radios.Fleet;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.signal.Tone;
import tools.jackson.databind.json.JsonMapper;

/** What one of the roster carries, and what of it their own licence lets them key today. */
@Component
public class HolderCards {

    private static final JsonMapper JSON = Json.MAPPER;

    private final ReleaseStore store;
    private final Hands hands;
    private final Fleet fleet;
    private final Clock clock;
    private final Rulebooks rulebooks;

    HolderCards(ReleaseStore store, Hands hands, Fleet fleet, Clock clock, Rulebooks rulebooks) {
        this.hands = hands;
        this.fleet = fleet;
        this.rulebooks = rulebooks;
        this.store = store;
        this.clock = clock;
    }

    /**
     * What someone carries.
     *
     * @param name who
     * @param calls their call signs
     * @param radios what is in the radios that they have
     * @param lists the releases that are in use and that they carry
     */
    public record HolderCard(
            String name, List<String> calls, LocalDate on, List<CardRadio> radios, List<CardList> lists) {}

    /** What is in a radio that they have: list is null when it was not written from here. */
    public record CardRadio(String label, @Schema(nullable = true) CardList list) {}

    /** A release, or a variant in it, for this holder. */
    public record CardList(
            long release, String name, int number, OffsetDateTime releasedAt, String sha256, List<CardEntry> entries) {}

    /**
     * An entry for this holder.
     *
     * @param talks whether they may key it; else it is for listening
     * @param shift how far it talks from where it hears, with its sign; empty when direct
     * @param why it only listens although others may talk there; empty when they may, or nobody does
     */
    public record CardEntry(
            String number,
            String name,
            String zone,
            boolean talks,
            String hears,
            String talksOn,
            String shift,
            String sends,
            String opensOn,
            String mode,
            String power,
            String note,
            String why) {}

    /** One of the roster as the audit has them, and their class in the amateur service. */
    public record Licensed(Holder holder, Optional<String> amateurClass) {}

    /** The licences that one of a group's roster has now. */
    public Licensed licensed(long club, long party) {
        Holder holder = Today.holder(store.people(club, List.of(party)).stream()
                .findFirst()
                .orElseThrow(() -> new Missing("The entry of the roster")));
        return new Licensed(
                holder,
                holder.licences().stream()
                        .filter(each -> each.service().equals("amateur"))
                        .flatMap(each -> each.licenceClass().stream())
                        .findFirst());
    }

    /** The card of one of the roster; nothing of it when they carry nothing that is in use. */
    public HolderCard of(long club, long party, String name) {
        List<CardList> lists = new ArrayList<>();
        List<String> calls = new ArrayList<>();
        for (ReleaseStore.Head head : store.standing(club)) {
            for (ReleaseStore.Carrier carrier : store.carriers(head.id())) {
                if (carrier.party() == party && carrier.licences() != null) {
                    lists.add(list(head, carrier));
                    calls(carrier).stream()
                            .filter(call -> !calls.contains(call))
                            .forEach(calls::add);
                }
            }
        }
        return new HolderCard(name, calls, LocalDate.now(clock), radios(club, party), lists);
    }

    private List<CardRadio> radios(long club, long party) {
        Map<Long, ReleaseStore.Content> contents = store.contents(club).stream()
                .collect(Collectors.toMap(ReleaseStore.Content::unit, Function.identity()));
        return fleet.custody(club).values().stream()
                .filter(each -> each.party() == party)
                .map(each -> new CardRadio(
                        fleet.asItIs(each.unit()).label().orElse(""),
                        Optional.ofNullable(contents.get(each.unit()))
                                .filter(content -> content.release() != null)
                                .map(content -> inRadio(club, content))
                                .orElse(null)))
                .toList();
    }

    /** The entries that a radio has: those of which it is not known whether it talks on them are as in the release. */
    private CardList inRadio(long club, ReleaseStore.Content content) {
        Hands.Opened release = hands.open(club, content.release());
        ReleaseStore.Head head = store.one(content.release()).orElseThrow();
        Audit audit = hands.audit(
                release, content.variant(), fleet.asItIs(content.unit()), hands.whoHas(club, content.party()));
        Set<Integer> listens = content.listens() == null ? Set.of() : Set.of(content.listens());
        Set<Integer> has = content.talks() == null
                ? IntStream.range(0, audit.entries().size()).boxed().collect(Collectors.toSet())
                : new HashSet<>(List.of(content.talks()));
        has.addAll(listens);
        return new CardList(
                head.id(),
                release.name(content.variant()),
                head.number(),
                head.at(),
                head.sha256(),
                has.stream()
                        .sorted()
                        .map(i -> listens.contains(i) ? listening(audit, audit.entry(i)) : entry(audit, audit.entry(i)))
                        .toList());
    }

    private static CardEntry listening(Audit audit, EntryAudit entry) {
        CardEntry talking = entry(audit, entry);
        return new CardEntry(
                talking.number(),
                talking.name(),
                talking.zone(),
                false,
                talking.hears(),
                "",
                "",
                "",
                talking.opensOn(),
                talking.mode(),
                "",
                talking.note(),
                "");
    }

    private static List<String> calls(ReleaseStore.Carrier carrier) {
        return PapersJson.licences(JSON.readTree(carrier.licences())).stream()
                .map(CarriedLicence::callSign)
                .flatMap(Optional::stream)
                .toList();
    }

    /** The card of one carrier for one release. */
    CardList list(ReleaseStore.Head head, ReleaseStore.Carrier carrier) {
        ReleaseFile file = ReleaseFile.read(store.body(head.id()).getBytes(StandardCharsets.UTF_8));
        ReleaseFile.Part part = file.parts().stream()
                .filter(each -> each.name().equals(carrier.variant()))
                .findFirst()
                .orElseThrow();
        ContextFile now = Today.of(part, store.standingOf(head.club()).overlayRows(), List.of(carrier));
        LocalDate today = LocalDate.now(clock);
        Audit audit = new Auditor(
                        Register.ALL,
                        now.under(
                                rulebooks.of(file.rulebook()).on(today),
                                today,
                                now.holders().stream()
                                        .filter(holder -> holder.name().equals(carrier.name()))
                                        .toList()))
                .audit(part.list());
        return new CardList(
                head.id(),
                carrier.variant().isEmpty() ? head.name() : carrier.variant(),
                head.number(),
                head.at(),
                head.sha256(),
                IntStream.range(0, audit.entries().size())
                        .mapToObj(i -> entry(audit, audit.entry(i)))
                        .toList());
    }

    private static CardEntry entry(Audit audit, EntryAudit entry) {
        Channel channel = entry.channel();
        Optional<String> hold = entry.judgements().stream()
                .flatMap(each -> each.findings().stream())
                .filter(Finding::holds)
                .map(Finding::message)
                .findFirst()
                .or(() -> entry.own().stream()
                        .filter(Finding::holds)
                        .map(Finding::message)
                        .findFirst());
        boolean talks = channel.transmit().isPresent()
                && hold.isEmpty()
                && audit.auditor().context().radios().stream()
                        .allMatch(radio -> radio.talksOn(channel).isPresent());
        return new CardEntry(
                channel.number(),
                channel.name(),
                channel.text(Field.ZONE),
                talks,
                channel.receive().map(f -> f.megahertz()).orElse(channel.text(Field.RX_MHZ)),
                talks ? channel.transmit().get().megahertz() : "",
                talks ? OutEntries.shift(channel) : "",
                talks ? channel.sends().map(Tone::text).orElseGet(channel.digital()::text) : "",
                channel.opensOn().map(Tone::text).orElse(""),
                Wording.emission(channel),
                talks ? channel.text(Field.POWER_W) : "",
                channel.text(Field.NOTE),
                channel.transmit().isPresent() ? hold.orElse("") : "");
    }

    /** Everyone for whom a release has a card, in its order. */
    List<ReleaseStore.Carrier> carriers(long release) {
        return store.carriers(release).stream()
                .filter(each -> each.licences() != null)
                .toList();
    }

    /** Call signs of a carrier, for the heading of a card. */
    static String callSigns(ReleaseStore.Carrier carrier) {
        return String.join(" ", calls(carrier));
    }
}
