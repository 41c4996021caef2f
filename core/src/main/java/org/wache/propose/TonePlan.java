package org.wache.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wache.channel.Channel;
import org.wache.rulebook.Edition;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * A tone for each direct channel of a fleet that nobody else near uses. Tones keep nothing private; they keep a receiver
 * quiet while others talk on the same channel.
 *
 * @param chosen the tones, for each entry that gets one
 * @param left the entries that get none, with the reason
 */
public record TonePlan(List<Chosen> chosen, List<Left> left) {

    private static final int NEAR_HUM_TENTHS = 12;
    private static final int MAINS_TENTHS = 600;
    private static final long SAME_CHANNEL = 12_500;

    /**
     * A tone that somebody uses.
     *
     * @param who whose it is, in words
     * @param on where; empty when it is everywhere
     * @param tone the tone
     */
    public record Taken(String who, Optional<Frequency> on, Tone tone) {}

    /** What an entry gets, and why. */
    public record Chosen(int position, Tone tone, String why) {}

    /** An entry without a tone. */
    public record Left(int position, String why) {}

    /**
     * Plans tones.
     *
     * @param channels the entries of the list
     * @param wanted the places of the entries that are to have one
     * @param taken what others use
     * @param able for each kind of radio in the fleet the tones that it can do; empty when all can do all
     * @param digital whether DCS codes are planned instead of CTCSS tones
     */
    public static TonePlan of(
            Edition edition,
            List<Channel> channels,
            List<Integer> wanted,
            List<Taken> taken,
            List<Set<Tone>> able,
            boolean digital) {
        List<Chosen> chosen = new ArrayList<>();
        List<Left> left = new ArrayList<>();
        Map<Frequency, Tone> byFrequency = new LinkedHashMap<>();
        List<Tone> pool = new ArrayList<>(digital ? codes(edition.tones()) : inOrder(edition.tones()));
        able.forEach(pool::retainAll);
        for (int position : wanted) {
            Channel channel = channels.get(position);
            Optional<String> unfit = unfit(edition, channel);
            if (unfit.isPresent()) {
                left.add(new Left(position, unfit.get()));
                continue;
            }
            Frequency on = channel.transmit().orElseThrow();
            Tone known = byFrequency.get(on);
            Optional<Tone> tone =
                    known == null ? pick(edition, pool, taken, on, byFrequency.values()) : Optional.of(known);
            if (tone.isEmpty()) {
                left.add(new Left(
                        position,
                        pool.isEmpty()
                                ? "no tone is common to all radios of the fleet"
                                : "every tone that the radios can do is in use on " + on));
                continue;
            }
            boolean shared = known == null && byFrequency.containsValue(tone.get());
            byFrequency.put(on, tone.get());
            chosen.add(new Chosen(
                    position,
                    tone.get(),
                    shared
                            ? "free on " + on + ", and no other is left; another channel of the plan has it too"
                            : why(tone.get(), taken, on, known != null)));
        }
        return new TonePlan(List.copyOf(chosen), List.copyOf(left));
    }

    /** Why an entry has no tone of the fleet's own. */
    private static Optional<String> unfit(Edition edition, Channel channel) {
        if (channel.transmit().isEmpty() || channel.receive().isEmpty()) {
            return Optional.of("it does not talk");
        }
        if (channel.isPair()) {
            return Optional.of("its tone is the repeater's");
        }
        boolean fm = channel.emission()
                .filter(each -> each.is(org.wache.signal.Content.FM))
                .isPresent();
        if (!fm) {
            return Optional.of("its mode has no tones");
        }
        return edition.plan()
                .rowAt(channel.receive().get())
                .flatMap(PlanRow::calling)
                .map(mode -> "a calling channel stays open for everyone");
    }

    /** Free everywhere if there is one, else free on this channel; of those the one farthest from what the plan has already. */
    private static Optional<Tone> pick(
            Edition edition, List<Tone> pool, List<Taken> taken, Frequency on, java.util.Collection<Tone> planned) {
        Set<Tone> anywhere = new LinkedHashSet<>(planned);
        Set<Tone> here = new LinkedHashSet<>();
        for (Taken each : taken) {
            anywhere.add(each.tone());
            boolean same = each.on().isEmpty() || Math.abs(each.on().get().minus(on)) < SAME_CHANNEL;
            if (same) {
                here.add(each.tone());
            }
        }
        List<Tone> free = pool.stream().filter(tone -> clear(tone, anywhere)).toList();
        List<Tone> fit =
                free.isEmpty() ? pool.stream().filter(tone -> clear(tone, here)).toList() : free;
        Map<Tone, Integer> place = new HashMap<>();
        for (int i = 0; i < edition.tones().ctcss().size(); i++) {
            place.put(edition.tones().ctcss().get(i), i);
        }
        return fit.stream().min(Comparator.comparingInt(tone -> near(tone, planned, place)));
    }

    private static boolean clear(Tone tone, Set<Tone> of) {
        return of.stream().noneMatch(each -> ToneTable.same(Optional.of(tone), Optional.of(each)));
    }

    /** 1 when a tone beside it in the table is planned already: decoders with a wide window mistake one for the other. */
    private static int near(Tone tone, java.util.Collection<Tone> planned, Map<Tone, Integer> place) {
        Integer here = place.get(tone);
        return here != null
                        && planned.stream()
                                .map(place::get)
                                .anyMatch(other -> other != null && Math.abs(other - here) == 1)
                ? 1
                : 0;
    }

    private static String why(Tone tone, List<Taken> taken, Frequency on, boolean shared) {
        if (shared) {
            return "the same as its other entry on " + on;
        }
        List<String> elsewhere = taken.stream()
                .filter(each -> each.tone().equals(tone))
                .map(Taken::who)
                .distinct()
                .toList();
        return elsewhere.isEmpty()
                ? "nobody known uses it"
                : "free on " + on + "; elsewhere it is used by " + String.join(", ", elsewhere);
    }

    /**
     * The CTCSS tones in the order in which they are offered: not the factory's, those clear of the hum of the mains (60 Hz
     * and its multiples) first, from the middle of the table outwards. Common practice, no source.
     */
    static List<Tone.Ctcss> inOrder(ToneTable table) {
        List<Tone.Ctcss> all = new ArrayList<>(table.ctcss());
        all.remove(table.factoryDefault());
        Map<Tone.Ctcss, Integer> place = new HashMap<>();
        all.forEach(tone -> place.put(tone, place.size()));
        int middle = all.size() / 2;
        all.sort(Comparator.comparing(TonePlan::hums).thenComparingInt(tone -> Math.abs(place.get(tone) - middle)));
        return all;
    }

    private static boolean hums(Tone.Ctcss tone) {
        int rest = tone.tenths() % MAINS_TENTHS;
        return Math.min(rest, MAINS_TENTHS - rest) <= NEAR_HUM_TENTHS;
    }

    /** The DCS codes, each sound once. */
    private static List<Tone> codes(ToneTable table) {
        List<Tone> all = new ArrayList<>();
        for (Tone.Dcs code : table.dcs()) {
            if (all.stream().noneMatch(each -> ToneTable.same(Optional.of(each), Optional.of(code)))) {
                all.add(code);
            }
        }
        return all;
    }
}
