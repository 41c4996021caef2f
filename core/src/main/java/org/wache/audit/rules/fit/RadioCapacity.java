package org.wache.audit.rules.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import org.wache.audit.Fit;
import org.wache.audit.FitRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.channel.Field;
import org.wache.radio.Memories;
import org.wache.radio.MemorySize;

/** More entries than the radio has memories, or more in the scan than it scans. */
public final class RadioCapacity implements FitRule {

    @Override
    public Slug slug() {
        return Slug.RADIO_CAPACITY;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "More entries than memories",
                        "In a radio without zones an entry goes into the memory of its number, or, where not all numbers are whole and "
                                + "different, they are filled in order. In a radio with zones they count within each zone. What finds no memory is "
                                + "not in the radio.",
                        "Number the entries anew, split the list in zones or in two lists, leave some out, or use a model with more "
                                + "memories.",
                        RulePage.entry("nobody", "number=17 rx_mhz=162.550 mode=NFM"),
                        RulePage.entry("nobody", "number=16 rx_mhz=162.550 mode=NFM"))
                .within(
                        "{\"format\": \"wache-context/1\", \"radios\": [{\"model\": \"The hand-held\", \"channels\": 16}]}");
    }

    @Override
    public List<Finding> on(Fit fit) {
        MemorySize size = fit.model().memory();
        List<Finding> found = new ArrayList<>(1);
        talkGroups(fit, size).ifPresent(found::add);
        if (size.channels().isEmpty()
                && size.zones().isEmpty()
                && size.scanned().isEmpty()) {
            return found;
        }
        Memories.Slot slot = fit.slot();
        if (!slot.exists()) {
            found.add(full(fit, size, slot));
        }
        if (size.scanned().isPresent() && slot.scanned() > size.scanned().getAsInt()) {
            found.add(fit.query(Slug.RADIO_CAPACITY)
                    .message(
                            "%s scans %d entries; this is number %d of those to scan.",
                            fit.name(), size.scanned().getAsInt(), slot.scanned())
                    .source("the model's data")
                    .cures(() -> List.of(Change.of("Leave it out of the scan", Field.SCAN, "no"))));
        }
        return found;
    }

    /** A radio calls only the talk groups that it holds. */
    private static Optional<Finding> talkGroups(Fit fit, MemorySize size) {
        if (size.talkGroups().isEmpty()) {
            return Optional.empty();
        }
        int most = size.talkGroups().getAsInt();
        return fit.channel().digital().talkGroup().stream()
                .boxed()
                .findFirst()
                .filter(group -> fit.entry().listFacts().talkGroups().getOrDefault(group, 0) > most)
                .map(group -> fit.hold(Slug.RADIO_CAPACITY)
                        .message(
                                "%s holds %d talk groups, and %d is number %d of the list: it cannot call it.",
                                fit.name(),
                                most,
                                group,
                                fit.entry().listFacts().talkGroups().get(group))
                        .working(() -> Sum.of(
                                        Integer.toString(fit.entry()
                                                .listFacts()
                                                .talkGroups()
                                                .size()),
                                        "",
                                        "talk groups of the list")
                                .limit(Integer.toString(most), "", "that the radio holds"))
                        .source("the model's data")
                        .advice(() -> List.of("Leave out the talk groups that this radio's carrier does not need.")));
    }

    /** The first place that is free: another zone, or the lowest number that no entry has. */
    private static List<Change> places(Fit fit, MemorySize size) {
        if (size.zones().isPresent()) {
            Map<String, Integer> filled = fit.entry().listFacts().zones();
            String zone = filled.entrySet().stream()
                    .filter(each -> each.getValue() < size.perZone().orElse(Integer.MAX_VALUE))
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElse("Zone " + (filled.size() + 1));
            return List.of(Change.of("Put it into " + (zone.isEmpty() ? "no zone" : zone), Field.ZONE, zone));
        }
        if (!fit.entry().memories(fit.radio()).byNumber()) {
            return List.of();
        }
        Set<String> taken = fit.entry().listFacts().numbers();
        return IntStream.rangeClosed(1, size.channels().orElse(0))
                .mapToObj(Integer::toString)
                .filter(number -> !taken.contains(number))
                .limit(1)
                .map(number -> Change.of("Number it " + number, Field.NUMBER, number))
                .toList();
    }

    private static Finding full(Fit fit, MemorySize size, Memories.Slot slot) {
        int entries = fit.entry().list().channels().size();
        OptionalInt most = size.zones().isPresent() && size.perZone().isPresent()
                ? OptionalInt.of(size.zones().getAsInt() * size.perZone().getAsInt())
                : size.channels();
        boolean room = most.isPresent() && entries <= most.getAsInt();
        return fit.hold(Slug.RADIO_CAPACITY)
                .message("%s has no memory for it: %s.", fit.name(), slot.problem())
                .working(() -> most.isEmpty()
                        ? Sum.NONE
                        : Sum.of(Integer.toString(entries), "", "entries of the list")
                                .limit(Integer.toString(most.getAsInt()), "", "memories of the radio"))
                .source("the model's data")
                .cures(() -> room ? places(fit, size) : List.of())
                .advice(() -> {
                    List<String> all = new ArrayList<>();
                    if (room) {
                        all.add(
                                size.zones().isPresent()
                                        ? "Spread the entries over the radio's zones: there is room for all of them."
                                        : "Number the entries from 1 on: there is room for all of them.");
                    } else {
                        all.add("Split the list in two, or leave out what this radio's carrier does not need.");
                    }
                    List<String> others = fit.others(radio -> fit.entry()
                            .memories(radio)
                            .slots()
                            .get(fit.entry().position())
                            .exists());
                    if (!others.isEmpty()) {
                        all.add("There is a memory for it in " + org.wache.audit.finding.Wording.list(others) + ".");
                    }
                    return all;
                });
    }
}
