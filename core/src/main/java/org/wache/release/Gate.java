package org.wache.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.wache.audit.Audit;
import org.wache.audit.Told;

/**
 * What a list has to pass before it goes out: nothing on hold for anyone who will carry it, every query cured or waived,
 * and each model of radio that it is for fit for each entry, or the entry left out of that model. That a second person
 * signs is for those who know the persons.
 */
public final class Gate {

    private final List<Settled> matters;

    /**
     * A list, or a variant of it, held against the law and the plan for those who will carry it.
     *
     * @param name of the variant; empty for the list itself
     * @param audit without any radio
     */
    public record Part(String name, Audit audit) {}

    /**
     * A model of radio, as it is set, that the list is for.
     *
     * @param name of the model with its setting
     * @param audit of the list with this radio alone
     */
    public record Meant(String name, Audit audit) {}

    /** A matter, and the waiver that settles it. */
    public record Settled(Matter matter, Optional<Waiver> waiver) {

        /** Whether it is in the way: a hold always is. */
        public boolean open() {
            return matter.kind() == Matter.Kind.HOLD || waiver.isEmpty();
        }
    }

    private Gate(List<Settled> matters) {
        this.matters = List.copyOf(matters);
    }

    /** Holds a list, its variants and its models against the gate on a day; of several waivers of one matter the last counts. */
    public static Gate of(List<Part> parts, List<Meant> models, List<Waiver> waivers, LocalDate on) {
        Map<String, Waiver> standing = waivers.stream()
                .filter(waiver -> waiver.stands(on))
                .collect(Collectors.toMap(Waiver::print, Function.identity(), (one, later) -> later));
        Map<List<Object>, Matter> matters = new LinkedHashMap<>();
        parts.forEach(part -> ofPart(part.audit()).forEach(matter -> matters.merge(key(matter), matter, Gate::both)));
        models.forEach(model -> ofModel(model).forEach(matter -> matters.putIfAbsent(key(matter), matter)));
        return new Gate(matters.values().stream()
                .map(matter -> new Settled(
                        matter,
                        matter.kind() == Matter.Kind.HOLD
                                ? Optional.empty()
                                : Optional.ofNullable(standing.get(matter.print()))))
                .toList());
    }

    private static List<Object> key(Matter matter) {
        return List.of(matter.position(), matter.kind(), matter.print());
    }

    private static Matter both(Matter one, Matter other) {
        List<String> holders = new ArrayList<>(one.holders());
        other.holders().stream().filter(name -> !holders.contains(name)).forEach(holders::add);
        return new Matter(
                one.kind(),
                one.position(),
                one.channel(),
                one.rule(),
                one.model(),
                holders,
                one.message(),
                one.source(),
                one.print());
    }

    private static List<Matter> ofPart(Audit audit) {
        List<Matter> matters = new ArrayList<>();
        for (int i = 0; i < audit.entries().size(); i++) {
            for (Told told : Told.of(audit.auditor(), audit.entry(i))) {
                matters.add(Matter.of(
                        told.finding().holds() ? Matter.Kind.HOLD : Matter.Kind.QUERY,
                        i,
                        audit.entry(i).channel(),
                        told.finding(),
                        "",
                        told.holders()));
            }
        }
        return matters;
    }

    private static List<Matter> ofModel(Meant model) {
        List<Matter> matters = new ArrayList<>();
        for (int i = 0; i < model.audit().entries().size(); i++) {
            for (Told told : Told.of(model.audit().auditor(), model.audit().entry(i))) {
                if (told.finding().radio().isPresent()) {
                    matters.add(Matter.of(
                            told.finding().holds() ? Matter.Kind.MISFIT : Matter.Kind.QUERY,
                            i,
                            model.audit().entry(i).channel(),
                            told.finding(),
                            model.name(),
                            told.holders()));
                }
            }
        }
        return matters;
    }

    /** Everything found, entry by entry within each kind. */
    public List<Settled> matters() {
        return matters;
    }

    /** What is still in the way, of one kind. */
    public List<Matter> open(Matter.Kind kind) {
        return matters.stream()
                .filter(each -> each.matter().kind() == kind && each.open())
                .map(Settled::matter)
                .toList();
    }

    /** Whether nothing is in the way. */
    public boolean passes() {
        return matters.stream().noneMatch(Settled::open);
    }

    /** The waivers that settle something, in the order of the entries. */
    public List<Waiver> waivers() {
        return matters.stream()
                .flatMap(each -> each.waiver().stream())
                .distinct()
                .toList();
    }

    /** The places of the entries that are left out of a model. */
    public List<Integer> leftOut(String model) {
        return matters.stream()
                .filter(each -> each.matter().kind() == Matter.Kind.MISFIT
                        && each.matter().model().equals(model)
                        && !each.open())
                .map(each -> each.matter().position())
                .distinct()
                .sorted()
                .toList();
    }
}
