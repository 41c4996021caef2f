package org.wache.server.releases;

import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.exchange.ContextFile;
import org.wache.exchange.FileProblem;
import org.wache.exchange.ReleaseFile;
import org.wache.radio.LockMode;
import org.wache.radio.Radio;
import org.wache.release.Gate;
import org.wache.release.Matter;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookProblem;
import org.wache.server.radios.Fleet;
import org.wache.server.rulebooks.Rulebooks;

/**
 * Holds releases that are in use against today: the licences as they are now, the radios as they are now, the edition in
 * force now, the group's own plan as it is now. What was settled when a release went out stays settled.
 */
@Component
class ReleaseWatch {

    private static final int KEPT = 500;

    private final ReleaseStore store;
    private final Fleet fleet;
    private final Clock clock;
    /** By what an outcome depends on; a later version of any of it makes another key. */
    private final Map<List<Object>, List<Reason>> known = Caffeine.newBuilder()
            .maximumSize(KEPT)
            .<List<Object>, List<Reason>>build()
            .asMap();

    private final Rulebooks rulebooks;

    ReleaseWatch(ReleaseStore store, Fleet fleet, Clock clock, Rulebooks rulebooks) {
        this.rulebooks = rulebooks;
        this.store = store;
        this.fleet = fleet;
        this.clock = clock;
    }

    /**
     * Why a release no longer stands as it went out.
     *
     * @param recall whether it must not be used any longer; else it is worth a look
     * @param number of the entry, and its name
     * @param message what is found now
     */
    record Reason(boolean recall, String number, String name, String model, String message, String source) {}

    /** What speaks against a release today; nothing when it stands. */
    List<Reason> reasons(ReleaseStore.Head head) {
        ReleaseStore.Standing standing = store.standingOf(head.club());
        LocalDate today = LocalDate.now(clock);
        List<ReleaseStore.Carrier> carriers = store.carriers(head.id());
        List<Object> key =
                List.of(head.id(), carriers, standing.overlay(), standing.radios(), rulebooks.version(), today);
        List<Reason> reasons = known.get(key);
        if (reasons == null) {
            reasons = reasonsOf(head, standing, carriers, today);
            known.put(key, reasons);
        }
        return reasons;
    }

    /** What cannot be held against today is worth a look: nobody knows whether it stands. */
    private List<Reason> reasonsOf(
            ReleaseStore.Head head,
            ReleaseStore.Standing standing,
            List<ReleaseStore.Carrier> carriers,
            LocalDate today) {
        try {
            return judged(
                    head,
                    ReleaseFile.read(store.body(head.id()).getBytes(StandardCharsets.UTF_8)),
                    standing,
                    carriers,
                    today);
        } catch (FileProblem | RulebookProblem | IllegalArgumentException e) {
            return List.of(
                    new Reason(false, "", "", "", "It cannot be held against today: " + e.getMessage() + ".", ""));
        }
    }

    private List<Reason> judged(
            ReleaseStore.Head head,
            ReleaseFile file,
            ReleaseStore.Standing standing,
            List<ReleaseStore.Carrier> carriers,
            LocalDate today) {
        Edition edition = rulebooks.of(file.rulebook()).on(today);
        List<Gate.Part> parts = new ArrayList<>();
        for (ReleaseFile.Part part : file.parts()) {
            ContextFile now = Today.of(part, standing.overlayRows(), carriers);
            AuditContext context = now.under(edition, today, now.holders());
            parts.add(new Gate.Part(part.name(), new Auditor(Register.ALL, context).audit(part.list())));
        }
        Audit list = parts.get(0).audit();
        List<Gate.Meant> models = new ArrayList<>();
        Map<String, Radio> radios = radios(head.club(), file);
        radios.forEach((name, radio) -> models.add(new Gate.Meant(
                name,
                new Auditor(Register.ALL, list.auditor().context().forRadios(List.of(radio))).audit(list.list()))));
        return Gate.of(parts, models, file.waivers(), today).matters().stream()
                .filter(Gate.Settled::open)
                .map(Gate.Settled::matter)
                .map(matter -> new Reason(
                        matter.kind() != Matter.Kind.QUERY || ended(file, matter, today),
                        matter.channel().number(),
                        matter.channel().name(),
                        matter.model(),
                        matter.message(),
                        matter.source()))
                .toList();
    }

    /** Whether it was waived when the list went out, until a day that is over. */
    private static boolean ended(ReleaseFile file, Matter matter, LocalDate today) {
        return file.waivers().stream()
                .anyMatch(waiver -> waiver.print().equals(matter.print()) && !waiver.stands(today));
    }

    /** The radios of a release as their models are now; a model that is gone stays as it was. */
    private Map<String, Radio> radios(long club, ReleaseFile file) {
        Map<String, Fleet.Setting> now = new HashMap<>();
        fleet.settings(club).forEach(setting -> now.put(setting.radio().model().name(), setting));
        Map<String, Radio> radios = new LinkedHashMap<>();
        for (ReleaseFile.Model model : file.models()) {
            Optional<Fleet.Setting> same =
                    Optional.ofNullable(now.get(model.radio().model().name()));
            Optional<LockMode> lock = same.flatMap(each -> model.radio()
                    .lock()
                    .flatMap(then -> each.radio().model().coverage().lock(then.name())));
            radios.put(
                    model.name(),
                    same.map(each -> new Radio(
                                    each.radio().model(),
                                    lock,
                                    Optional.empty(),
                                    model.radio().inhibited(),
                                    model.radio().off()))
                            .orElse(model.radio()));
        }
        return radios;
    }
}
