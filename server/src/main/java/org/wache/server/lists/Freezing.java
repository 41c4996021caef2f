package org.wache.server.lists;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.rules.Register;
import org.wache.radio.Radio;
import org.wache.server.radios.Fleet;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;

/** A list as it would go out: with its variants, held against the law and the plan, and against each radio that it is for. */
@Component
public class Freezing {

    private final ListStore store;
    private final Audits audits;
    private final Fleet fleet;

    Freezing(ListStore store, Audits audits, Fleet fleet) {
        this.store = store;
        this.audits = audits;
        this.fleet = fleet;
    }

    /** Someone of the roster who carries a list. */
    public record Carrier(long party, String name) {}

    /**
     * The list itself, or a variant of it.
     *
     * @param list key of the list
     * @param name of the variant; empty for the list itself
     * @param carriers those of the roster
     * @param context what it is held against, as a file
     * @param audit what comes out
     */
    public record Part(long list, String name, List<Carrier> carriers, String context, Audit audit) {}

    /** A model of radio as it is set, its file, the units that are set so, and what comes out with it alone. */
    public record MeantRadio(String name, String body, Radio radio, List<Fleet.Named> units, Audit audit) {}

    /** Who made a change, and when. */
    public record Changed(long account, String name, OffsetDateTime at) {}

    /**
     * The whole.
     *
     * @param source the list itself
     * @param entries keys of the entries, in their order
     * @param last the last change of the list or of a variant
     */
    public record Frozen(
            long club,
            String group,
            long list,
            String name,
            int version,
            int overlayVersion,
            LocalDate on,
            Changed last,
            Source source,
            List<Long> entries,
            List<Part> parts,
            List<MeantRadio> models) {}

    /** As it is now. */
    @Transactional(readOnly = true)
    public Frozen seen(long account, long list) {
        return frozen(account, list, false);
    }

    /** As it is now, and nobody changes anything of it until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Frozen held(long account, long list) {
        return frozen(account, list, true);
    }

    private Frozen frozen(long account, long list, boolean locked) {
        ListStore.Head first = store.head(account, list).orElseThrow(() -> new Missing("The list"));
        if (first.parent().isPresent()) {
            throw new Refused(first.name() + " goes out together with "
                    + store.head(account, first.parent().get()).orElseThrow().name()
                    + ", which it follows. Look there.");
        }
        if (locked) {
            store.holdGroup(first.clubId());
        }
        ListStore.Head head = (locked ? store.lockedHead(account, list) : Optional.of(first)).orElseThrow();
        List<ListStore.Head> variants = store.variants(account, list, locked);
        List<Source> sources = Stream.concat(
                        Stream.of(new Source(head, Optional.empty())),
                        variants.stream().map(variant -> new Source(variant, Optional.of(head))))
                .toList();
        List<Part> parts = new ArrayList<>();
        List<Long> entries = List.of();
        for (Source source : sources) {
            Audited audited = audits.lawOnly(source);
            List<RosterHolder> roster = store.carriers(List.of(source.head().id()))
                    .get(source.head().id());
            parts.add(new Part(
                    source.head().id(),
                    source.parent().isPresent() ? source.head().name() : "",
                    roster.stream()
                            .map(each -> new Carrier(each.party(), each.name()))
                            .toList(),
                    audits.contextFile(source, roster, audited.audit().list()),
                    audited.audit()));
            entries = audited.stored().stream().map(ListStore.Stored::id).toList();
        }
        ListStore.Head last = sources.stream()
                .map(Source::head)
                .max(java.util.Comparator.comparing(ListStore.Head::changedAt))
                .orElseThrow();
        return new Frozen(
                head.clubId(),
                store.groupName(head.clubId()),
                list,
                head.name(),
                head.version(),
                head.overlayVersion(),
                audits.today(),
                new Changed(last.changedById(), last.changedBy(), last.changedAt()),
                sources.get(0),
                entries,
                parts,
                models(head, parts.get(0).audit()));
    }

    private List<MeantRadio> models(ListStore.Head head, Audit law) {
        Meant meant = store.meant(head.id());
        Map<Long, String> bodies = fleet.bodies(head.clubId());
        return Stream.concat(
                        meant.settings().stream()
                                .map(each -> fleet.setting(head.clubId(), each.model(), each.lock(), each.inhibited())),
                        meant.units().stream().map(fleet::settingOf))
                .collect(Collectors.toMap(
                        Fleet.Setting::words, Function.identity(), (one, same) -> one, LinkedHashMap::new))
                .values()
                .stream()
                .map(setting -> new MeantRadio(
                        setting.words(),
                        bodies.get(setting.model()),
                        setting.radio(),
                        fleet.unitsOf(head.clubId(), setting),
                        new Auditor(Register.ALL, law.auditor().context().forRadios(List.of(setting.radio())))
                                .audit(law.list())))
                .toList();
    }
}
