package org.wache.server.releases;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.exchange.ReleaseCheck;
import org.wache.exchange.ReleaseFile;
import org.wache.exchange.ReleaseReport;
import org.wache.reach.Concern;
import org.wache.release.Gate;
import org.wache.release.Matter;
import org.wache.release.Waiver;
import org.wache.server.accounts.Account;
import org.wache.server.accounts.AccountStore;
import org.wache.server.lists.Titles;
import org.wache.server.radios.Fleet;
import org.wache.server.web.Missing;

/** The gate before a list goes out, releases, and what becomes of them. */
@RestController
class ReleaseController {

    private final Gating gating;
    private final ReleaseStore store;
    private final Releases releases;
    private final ReleaseWatch watch;
    private final AccountStore accounts;

    ReleaseController(Gating gating, ReleaseStore store, Releases releases, ReleaseWatch watch, AccountStore accounts) {
        this.gating = gating;
        this.store = store;
        this.releases = releases;
        this.watch = watch;
        this.accounts = accounts;
    }

    /**
     * A list before the gate; state names what would go out, and is given back by who signs or releases.
     *
     * @param models the radios that it is for
     * @param cannotSign why this account cannot sign; null when it can
     * @param missing what is missing, in words; nothing when it can go out
     * @param inUse whether the newest release is in use and nothing would go out otherwise
     * @param since what would go out otherwise than in the newest release; null when there is none
     * @param profiles how the radios are set besides their channels
     * @param settingHolds what must not stay so in that
     * @param reach what of who reaches whom needs an answer
     */
    record GateView(
            long list,
            String name,
            int version,
            String state,
            int entries,
            List<GatePart> parts,
            List<GateRadio> models,
            List<GateMatter> matters,
            GateChange lastChange,
            @Schema(nullable = true) GateSignature signature,
            boolean signatureOutdated,
            @Schema(nullable = true) String cannotSign,
            List<String> missing,
            @Schema(nullable = true) ReleaseLine newest,
            boolean inUse,
            @Schema(nullable = true) GateSince since,
            List<GateProfile> profiles,
            List<String> settingHolds,
            List<GateConcern> reach) {}

    /** Something about who reaches whom; entry is null where it is about a team or a person; waiver lets it stand. */
    record GateConcern(
            Concern.Kind kind,
            String subject,
            @Schema(nullable = true) Long entry,
            String message,
            String print,
            @Schema(nullable = true) GateWaiver waiver) {}

    /** How radios are set besides their channels: for which team (empty for the whole group), with so many settings. */
    record GateProfile(String name, String team, int settings) {}

    /** What differs from the newest release: entries, their order, what else, and who has other licences now. */
    record GateSince(
            int number,
            List<SinceRelease.Entry> entries,
            boolean moved,
            List<String> others,
            List<String> relicensed) {}

    /** A model as it is set, whether that setting could be another, and the radios that are set so. */
    record GateRadio(String name, boolean locked, List<Fleet.Named> units) {}

    /** The list itself, or a variant of it, and who carries it. */
    record GatePart(String name, int entries, int talking, List<String> carriers) {}

    /** Something found; waiver is what settles it. */
    record GateMatter(
            Matter.Kind kind,
            long entry,
            String number,
            String name,
            String rule,
            String title,
            String model,
            List<String> holders,
            String message,
            String source,
            String print,
            @Schema(nullable = true) GateWaiver waiver) {}

    /** Who lets something stand, and why. */
    record GateWaiver(
            @Schema(nullable = true) Long id,
            String reason,
            String by,
            LocalDate on,
            @Schema(nullable = true) LocalDate until) {}

    /** Who made the last change. */
    record GateChange(String by, OffsetDateTime at) {}

    /** A second person's word. */
    record GateSignature(String by, OffsetDateTime at, String note) {}

    /** A release in short. */
    record ReleaseLine(
            long id,
            long list,
            String name,
            int number,
            int version,
            OffsetDateTime at,
            String by,
            String signedBy,
            String sha256,
            @Schema(nullable = true) Recalled recalled) {}

    /** Why a release was recalled. */
    record Recalled(String by, OffsetDateTime at, String reason) {}

    /** What is let stand: the prints of what was seen. */
    record WaiverDraft(
            @NotEmpty @Size(max = 5_000) List<@NotNull @Size(max = 80) String> prints,
            @NotBlank @Size(max = 600) String reason,
            @Schema(nullable = true) LocalDate until) {}

    /** The state that was looked at, and what is to be said. */
    record SignDraft(@NotBlank @Size(max = 80) String state, @NotNull @Size(max = 500) String note) {}

    /** The state that was looked at. */
    record ReleaseDraft(@NotBlank @Size(max = 80) String state) {}

    /** Why a release is not to be used any longer. */
    record RecallDraft(@NotBlank @Size(max = 600) String reason) {}

    @GetMapping("/api/lists/{list}/gate")
    GateView gate(Account asking, @PathVariable long list) {
        Gating.Stand stand = gating.stand(asking.id(), list);
        Optional<WaiverStore.SignOff> signed = stand.signed();
        Optional<ReleaseStore.Head> newest = store.newest(list);
        Optional<SinceRelease> since = gating.since(stand);
        return new GateView(
                list,
                stand.frozen().name(),
                stand.frozen().version(),
                stand.state(),
                stand.frozen().entries().size(),
                stand.frozen().parts().stream()
                        .map(part -> new GatePart(
                                part.name(),
                                part.audit().entries().size(),
                                (int) part.audit().entries().stream()
                                        .filter(entry ->
                                                entry.channel().transmit().isPresent())
                                        .count(),
                                part.audit().auditor().context().holders().stream()
                                        .map(holder -> holder.name())
                                        .toList()))
                        .toList(),
                stand.frozen().models().stream()
                        .map(model -> new GateRadio(
                                model.name(),
                                !model.radio().inhibited()
                                        && model.radio().lock().isPresent(),
                                model.units()))
                        .toList(),
                stand.gate().matters().stream().map(each -> matter(stand, each)).toList(),
                new GateChange(
                        stand.frozen().last().name(), stand.frozen().last().at()),
                signed.map(each -> new GateSignature(each.by(), each.at(), each.note()))
                        .orElse(null),
                signed.isEmpty() && stand.signOff().isPresent(),
                gating.whyNotSigning(stand, asking.id()).orElse(null),
                Gating.missing(stand),
                newest.map(ReleaseController::line).orElse(null),
                store.isInUse(list, stand.state())
                        || newest.filter(head -> !head.isRecalled()).isPresent()
                                && since.filter(each -> each.isNothing()
                                                && each.relicensed().isEmpty())
                                        .isPresent(),
                since.map(each -> new GateSince(
                                newest.orElseThrow().number(),
                                each.entries(),
                                each.moved(),
                                each.others(),
                                each.relicensed()))
                        .orElse(null),
                stand.profiles().stream()
                        .map(each -> new GateProfile(
                                each.profile().name(),
                                each.team(),
                                each.profile().wishes().size()))
                        .toList(),
                stand.settingHolds(),
                stand.reach().stream()
                        .map(each -> new GateConcern(
                                each.concern().kind(),
                                each.concern().subject(),
                                each.concern().entry() < 0
                                        ? null
                                        : stand.frozen()
                                                .entries()
                                                .get(each.concern().entry()),
                                each.concern().message(),
                                each.concern().print(),
                                each.waiver()
                                        .map(kept -> waiver(kept.id(), kept.waiver()))
                                        .orElse(null)))
                        .toList());
    }

    private static GateMatter matter(Gating.Stand stand, Gate.Settled settled) {
        Matter matter = settled.matter();
        return new GateMatter(
                matter.kind(),
                stand.frozen().entries().get(matter.position()),
                matter.channel().number(),
                matter.channel().name(),
                matter.rule().text(),
                Titles.of(matter.rule()),
                matter.model(),
                matter.holders(),
                matter.message(),
                matter.source(),
                matter.print(),
                settled.waiver()
                        .map(waiver -> waiver(
                                stand.waivers().stream()
                                        .filter(kept -> kept.waiver().equals(waiver))
                                        .map(WaiverStore.Kept::id)
                                        .findFirst()
                                        .orElse(null),
                                waiver))
                        .orElse(null));
    }

    private static GateWaiver waiver(Long id, Waiver waiver) {
        return new GateWaiver(
                id, waiver.reason(), waiver.by(), waiver.on(), waiver.until().orElse(null));
    }

    private static ReleaseLine line(ReleaseStore.Head head) {
        return new ReleaseLine(
                head.id(),
                head.list(),
                head.name(),
                head.number(),
                head.version(),
                head.at(),
                head.by(),
                head.signedBy(),
                head.sha256(),
                head.isRecalled() ? new Recalled(head.recalledBy(), head.recalledAt(), head.recallReason()) : null);
    }

    @PostMapping("/api/lists/{list}/waivers")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void waive(Account asking, @PathVariable long list, @Valid @RequestBody WaiverDraft draft) {
        gating.waive(asking, list, draft.prints(), draft.reason(), Optional.ofNullable(draft.until()));
    }

    @DeleteMapping("/api/waivers/{waiver}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endWaiver(Account asking, @PathVariable long waiver) {
        gating.endWaiver(asking, waiver);
    }

    @PostMapping("/api/lists/{list}/signature")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void sign(Account asking, @PathVariable long list, @Valid @RequestBody SignDraft draft) {
        gating.sign(asking, list, draft.state(), draft.note());
    }

    @DeleteMapping("/api/lists/{list}/signature")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void unsign(Account asking, @PathVariable long list) {
        long club = gating.stand(asking.id(), list).frozen().club();
        gating.unsign(asking, accounts.role(asking.id(), club).orElseThrow(() -> new Missing("The group")), list);
    }

    @PostMapping("/api/lists/{list}/releases")
    @ResponseStatus(HttpStatus.CREATED)
    ReleaseLine release(Account asking, @PathVariable long list, @Valid @RequestBody ReleaseDraft draft) {
        return store.one(gating.release(asking, list, draft.state()))
                .map(ReleaseController::line)
                .orElseThrow();
    }

    /** The releases of a group, and which radio has which. */
    record GroupReleases(List<StandingRelease> releases, List<LoadedRadio> radios) {}

    /** A release with what speaks against it today; current when it is the newest of its list and was not recalled. */
    record StandingRelease(ReleaseLine line, boolean current, List<AgainstIt> against) {}

    /** Why a release no longer stands as it went out; recall when it must not be used any longer. */
    record AgainstIt(boolean recall, String number, String name, String model, String message, String source) {}

    /** A radio and what is in it; current when that is the release that is in use of its list. */
    record LoadedRadio(
            long unit,
            String label,
            String model,
            @Schema(nullable = true) String carrier,
            @Schema(nullable = true) Long release,
            @Schema(nullable = true) Integer number,
            String variant,
            @Schema(nullable = true) Long list,
            @Schema(nullable = true) String listName,
            @Schema(nullable = true) OffsetDateTime at,
            boolean verified,
            boolean declared,
            boolean current) {}

    @GetMapping("/api/groups/{group}/releases")
    GroupReleases all(@PathVariable long group) {
        List<ReleaseStore.Head> standing = store.standing(group);
        List<Long> current = standing.stream().map(ReleaseStore.Head::id).toList();
        return new GroupReleases(
                store.all(group).stream()
                        .map(head -> new StandingRelease(
                                line(head),
                                current.contains(head.id()),
                                current.contains(head.id()) ? against(head) : List.of()))
                        .toList(),
                store.loads(group).stream().map(load -> loaded(load, current)).toList());
    }

    private static LoadedRadio loaded(ReleaseStore.Loaded load, List<Long> current) {
        return new LoadedRadio(
                load.unit(),
                load.label(),
                load.model(),
                load.carrier(),
                load.release(),
                load.number(),
                load.variant(),
                load.list(),
                load.listName(),
                load.at(),
                load.verified(),
                load.declared(),
                load.release() != null && current.contains(load.release()));
    }

    private List<AgainstIt> against(ReleaseStore.Head head) {
        return watch.reasons(head).stream()
                .map(each -> new AgainstIt(
                        each.recall(), each.number(), each.name(), each.model(), each.message(), each.source()))
                .toList();
    }

    /** Everything of a release. */
    record ReleaseView(
            ReleaseLine line,
            boolean current,
            LocalDate on,
            String rulebook,
            String edition,
            int overlayVersion,
            List<ReleasedPart> parts,
            List<ReleasedModel> models,
            List<ReleasedWaiver> waivers,
            List<AgainstIt> against,
            List<LoadedRadio> radios,
            List<ReleasedHolder> holders) {}

    /** The list, or a variant of it, as it went out. */
    record ReleasedPart(String name, int entries, int talking, List<String> carriers) {}

    /** A radio that it is for, and what stays out of it. */
    record ReleasedModel(String name, List<String> leftOut, boolean keypad) {}

    /** What was let stand. */
    record ReleasedWaiver(String number, String name, String model, String message, GateWaiver waiver) {}

    /** Someone of the roster for whom it is, and in which variant. */
    record ReleasedHolder(long party, String name, String variant) {}

    @GetMapping("/api/releases/{release}")
    ReleaseView one(@PathVariable long release) {
        ReleaseStore.Head head = head(release);
        ReleaseFile file = releases.file(release);
        boolean current = store.standing(head.club()).stream().anyMatch(each -> each.id() == release);
        return new ReleaseView(
                line(head),
                current,
                file.day(),
                file.rulebook(),
                file.edition(),
                file.overlayVersion(),
                file.parts().stream()
                        .map(part -> new ReleasedPart(
                                part.name(),
                                part.list().channels().size(),
                                (int) part.list().channels().stream()
                                        .filter(channel -> channel.transmit().isPresent())
                                        .count(),
                                part.context().holders().stream()
                                        .map(holder -> holder.name())
                                        .toList()))
                        .toList(),
                file.models().stream()
                        .map(model -> new ReleasedModel(
                                model.name(),
                                model.leftOut(),
                                model.radio().model().keypad().isPresent()))
                        .toList(),
                file.waivers().stream()
                        .map(waiver -> new ReleasedWaiver(
                                waiver.number(), waiver.name(), waiver.model(), waiver.message(), waiver(null, waiver)))
                        .toList(),
                current ? against(head) : List.of(),
                store.loads(head.club()).stream()
                        .filter(load -> Objects.equals(load.release(), release))
                        .map(load -> loaded(load, current ? List.of(release) : List.of()))
                        .toList(),
                store.carriers(release).stream()
                        .map(carrier -> new ReleasedHolder(carrier.party(), carrier.name(), carrier.variant()))
                        .toList());
    }

    private ReleaseStore.Head head(long release) {
        return store.one(release).orElseThrow(() -> new Missing("The release"));
    }

    /** The release as a file that can be verified without a server. */
    @GetMapping(path = "/api/releases/{release}/release.json", produces = "application/json")
    ResponseEntity<byte[]> file(@PathVariable long release) {
        ReleaseStore.Head head = head(release);
        String name = head.name().replaceAll("[^A-Za-z0-9]+", "-").toLowerCase(java.util.Locale.ROOT) + "-release-"
                + head.number() + ".json";
        return ResponseEntity.ok()
                .header("Content-Disposition", "attachment; filename=\"" + name + "\"")
                .contentType(MediaType.APPLICATION_JSON)
                .body(store.body(release).getBytes(StandardCharsets.UTF_8));
    }

    @PostMapping("/api/releases/{release}/recall")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void recall(Account asking, @PathVariable long release, @Valid @RequestBody RecallDraft draft) {
        gating.recall(asking, release, draft.reason());
    }

    /** What a look at a release file came to. */
    record Verified(
            String group,
            String list,
            int number,
            String releasedAt,
            String releasedBy,
            String signedBy,
            String sum,
            boolean good,
            List<VerifiedLine> lines) {}

    /** One thing that was looked at. */
    record VerifiedLine(boolean good, String text) {}

    /** Looks at any release file, of whichever group or installation. */
    @PostMapping(path = "/api/verification", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Verified verify(@RequestBody byte[] bytes) {
        ReleaseFile file = ReleaseFile.read(bytes);
        ReleaseCheck check = ReleaseCheck.of(file);
        List<VerifiedLine> lines = new ArrayList<>();
        check.lines().forEach(line -> lines.add(new VerifiedLine(line.good(), line.text())));
        return new Verified(
                file.group(),
                file.list(),
                file.number(),
                file.releasedAt(),
                file.releasedBy(),
                file.signedBy(),
                ReleaseReport.spaced(file.sum()),
                check.good(),
                lines);
    }
}
