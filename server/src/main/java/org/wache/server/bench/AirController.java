package org.wache.server.bench;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.bench.drive.KeyCheck;
import org.wache.bench.drive.KeyTrial;
import org.wache.bench.drive.LinkFault;
import org.wache.bench.drive.PairCheck;
import org.wache.bench.drive.RadioLink;
import org.wache.bench.drive.RepeaterCheck;
import org.wache.bench.image.RadioImage;
import org.wache.bench.simulated.Fault;
import org.wache.bench.wire.Identity;
import org.wache.server.accounts.Account;
import org.wache.server.radios.Fleet;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Single radios on the bench: what was saved of them, checks on the air, and faults of simulated ones on demand. */
@RestController
class AirController {

    private static final int MOST_FRAMES = 1_000;
    private static final JsonMapper JSON = Json.MAPPER;

    private final BenchStore store;
    private final Fleet fleet;
    private final SimulatedRadios radios;
    private final int answerMs;

    AirController(
            BenchStore store, Fleet fleet, SimulatedRadios radios, @Value("${wache.bench.answer-ms}") int answerMs) {
        this.store = store;
        this.fleet = fleet;
        this.radios = radios;
        this.answerMs = answerMs;
    }

    /** What the bench knows of a radio. */
    record BenchHistory(List<SavedImage> saved, List<AirCheck> checks, @Schema(nullable = true) String fault) {}

    /** What was in a radio before it was written. */
    record SavedImage(long id, OffsetDateTime at, String lock, String sha256, int entries) {}

    /** A check on the air; byHand when it was made on a real radio and ticked. */
    record AirCheck(
            long id,
            AirCheckKind kind,
            String other,
            OffsetDateTime at,
            String by,
            boolean good,
            boolean byHand,
            List<CheckLine> lines) {}

    /** One entry of a check. */
    record CheckLine(int memory, String name, boolean good, String said) {}

    /** The other radio, and the call sign that is spoken. */
    record PairStart(long other, @NotBlank @Size(max = 20) String callSign) {}

    /** The call sign that is spoken. */
    record CheckStart(@NotBlank @Size(max = 20) String callSign) {}

    /** What is to go wrong, after how many more answers of the radio; none mends everything. */
    record FaultChange(@NotNull @Size(max = 20) String fault, int after) {}

    @GetMapping("/api/units/{unit}/bench")
    BenchHistory history(Account asking, @PathVariable long unit) {
        fleet.unit(asking.id(), unit);
        return new BenchHistory(
                store.saved(unit).stream()
                        .map(each -> new SavedImage(
                                each.id(),
                                each.at(),
                                each.lock(),
                                each.sha256(),
                                RadioImage.of(each.image()).entries().size()))
                        .toList(),
                store.checks(unit).stream().map(AirController::check).toList(),
                radios.fault(unit).map(Fault::text).orElse(null));
    }

    private static AirCheck check(BenchStore.Check check) {
        JsonNode lines = JSON.readTree(check.result()).path("lines");
        return new AirCheck(
                check.id(),
                check.kind(),
                check.other(),
                check.at(),
                check.by(),
                check.good(),
                check.byHand(),
                java.util.stream.StreamSupport.stream(lines.spliterator(), false)
                        .map(each -> JSON.treeToValue(each, CheckLine.class))
                        .toList());
    }

    /** A saved image as a list file. */
    @GetMapping(value = "/api/images/{image}/list.csv", produces = "text/csv")
    ResponseEntity<byte[]> image(Account asking, @PathVariable long image) {
        BenchStore.Saved saved = store.saved(asking.id(), image).orElseThrow(() -> new Missing("The saved image"));
        Fleet.Unit unit = fleet.unitOf(store.unitOfImage(image));
        byte[] csv = SavedLists.csv(RadioImage.of(saved.image()), unit.radio().model())
                .getBytes(java.nio.charset.StandardCharsets.UTF_8);
        return ResponseEntity.ok()
                .header("Content-Disposition", "attachment; filename=\"saved-" + image + ".csv\"")
                .contentType(new MediaType("text", "csv", java.nio.charset.StandardCharsets.UTF_8))
                .body(csv);
    }

    /** Two radios: each hears the other with the tone, and stays silent without. */
    @PostMapping("/api/units/{unit}/pair-check")
    AirCheck pair(Account asking, @PathVariable long unit, @Valid @RequestBody PairStart start) {
        long account = asking.id();
        Fleet.Unit one = free(account, unit);
        Fleet.Unit other = free(account, start.other());
        if (one.id() == other.id() || one.club() != other.club()) {
            throw new Refused("A pair is two radios of one group.");
        }
        try (RadioLink first = new RadioLink(radios.freshAddress(one), answerMs);
                RadioLink second = new RadioLink(radios.freshAddress(other), answerMs)) {
            List<PairCheck.Heard> heard =
                    new PairCheck(first, second, start.callSign()).of(image(first), image(second));
            if (heard.isEmpty()) {
                throw new Refused("The two radios have no direct entry in the same memory.");
            }
            return kept(
                    account,
                    unit,
                    start.other(),
                    AirCheckKind.PAIR,
                    heard.stream()
                            .map(each -> new CheckLine(each.memory(), each.name(), each.good(), said(each)))
                            .toList());
        } catch (LinkFault e) {
            throw new Refused(e.getMessage() + " " + e.cure());
        }
    }

    private static String said(PairCheck.Heard heard) {
        if (!heard.heard() || !heard.heardBack()) {
            return (heard.heard() ? "" : "The second does not hear the first. ")
                    + (heard.heardBack() ? "" : "The first does not hear the second. ")
                    + heard.note();
        }
        return heard.silentWithout()
                .map(silent ->
                        silent ? "Heard both ways with the tone, silent without." : "Opens without the tone too.")
                .orElse("Heard both ways. " + heard.note())
                .strip();
    }

    /** Every repeater of the radio: identify, let go, listen for the tail. */
    @PostMapping("/api/units/{unit}/repeater-check")
    AirCheck repeater(Account asking, @PathVariable long unit, @Valid @RequestBody CheckStart start) {
        long account = asking.id();
        Fleet.Unit one = free(account, unit);
        try (RadioLink link = new RadioLink(radios.freshAddress(one), answerMs)) {
            List<RepeaterCheck.Answered> answered = new RepeaterCheck(link, start.callSign()).of(image(link));
            if (answered.isEmpty()) {
                throw new Refused("No entry of the radio talks through a repeater.");
            }
            return kept(
                    account,
                    unit,
                    null,
                    AirCheckKind.REPEATER,
                    answered.stream()
                            .map(each -> new CheckLine(
                                    each.memory(),
                                    each.name(),
                                    each.tail(),
                                    each.tail()
                                            ? "Identified as " + start.callSign()
                                                    + "; the repeater answered with its tail."
                                            : each.note()))
                            .toList());
        } catch (LinkFault e) {
            throw new Refused(e.getMessage() + " " + e.cure());
        }
    }

    /** Whether a radio whose transmitter is to be off keys nowhere. */
    @PostMapping("/api/units/{unit}/inhibit-check")
    AirCheck inhibit(Account asking, @PathVariable long unit, @Valid @RequestBody CheckStart start) {
        long account = asking.id();
        Fleet.Unit one = free(account, unit);
        try (RadioLink link = new RadioLink(radios.freshAddress(one), answerMs)) {
            List<KeyTrial> trials =
                    new KeyCheck(link, one.radio(), start.callSign()).of(image(link), (done, total) -> {});
            boolean silent = trials.stream().noneMatch(KeyTrial::keyed);
            return kept(
                    account,
                    unit,
                    null,
                    AirCheckKind.INHIBIT,
                    trials.stream()
                            .map(each -> new CheckLine(
                                    each.memory(),
                                    each.memory() == 0 ? each.mhz() : each.name(),
                                    !each.keyed(),
                                    each.keyed()
                                            ? "It keys" + (silent ? "" : "; switch its transmitter off") + "."
                                            : "It does not key: " + each.why() + "."))
                            .toList());
        } catch (LinkFault e) {
            throw new Refused(e.getMessage() + " " + e.cure());
        }
    }

    private Fleet.Unit free(long account, long unit) {
        Fleet.Unit found = fleet.unit(account, unit);
        if (store.isOpen(unit)) {
            throw new Refused(found.radio().name() + " is on the bench just now. Wait until it is done.");
        }
        return found;
    }

    private static RadioImage image(RadioLink link) throws LinkFault {
        Identity identity = link.identity();
        link.open();
        RadioImage image = link.read(identity.imageBytes(), (done, total) -> {});
        link.leave();
        return image;
    }

    private AirCheck kept(long account, long unit, Long other, AirCheckKind kind, List<CheckLine> lines) {
        boolean good = lines.stream().allMatch(CheckLine::good);
        store.check(unit, other, kind, account, good, JSON.writeValueAsString(java.util.Map.of("lines", lines)));
        return check(store.checks(unit).get(0));
    }

    /** Makes something go wrong with a simulated radio. */
    @PutMapping("/api/units/{unit}/fault")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void fault(Account asking, @PathVariable long unit, @Valid @RequestBody FaultChange change) {
        long account = asking.id();
        Fleet.Unit found = fleet.unit(account, unit);
        Optional<Fault> fault = Fault.of(change.fault());
        if (fault.isEmpty() && !change.fault().equals("none") || change.after() < 0 || change.after() > MOST_FRAMES) {
            throw new Refused("A fault is one of "
                    + java.util.Arrays.stream(Fault.values()).map(Fault::text).toList() + " or none, after 0 to "
                    + MOST_FRAMES + " answers.");
        }
        store.note(account, unit, "simulated fault set: " + change.fault());
        radios.fail(found, fault, change.after());
    }
}
