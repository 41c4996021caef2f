package org.wache.typed;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.wache.channel.Field;
import org.wache.rulebook.BandService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Grant;
import org.wache.rulebook.PlanRow;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * Turns of speech that stand for what the add line reads word by word: {@code repeater 20} for the pair of channel 20,
 * {@code 550 repeater} for the pair of those last digits, {@code 2m calling} for the calling frequency, {@code travel tone}.
 * Common practice, no source, but for the calling frequencies, which are the plan's.
 */
final class Phrases {

    private static final Pattern REPEATER = Pattern.compile("rpt|rptr|repeater|rep");
    private static final Pattern CHANNEL = Pattern.compile("(?:ch|#)?([0-9]{1,2})");
    private static final Pattern LAST_DIGITS = Pattern.compile("[0-9]{3}");
    private static final Pattern BAND = Pattern.compile("([0-9]{1,4}(?:\\.[0-9]{1,2})?)-?(m|cm)");
    private static final String TRAVEL_TONE = "141.3";
    private static final int PAIRS_BY_ORDER = 8;

    private final Edition edition;
    private final Sketch sketch;
    private final List<String> in;
    private final List<String> out = new ArrayList<>();

    private Phrases(List<String> words, Edition edition, Sketch sketch) {
        this.in = words;
        this.edition = edition;
        this.sketch = sketch;
    }

    /** The words with such turns put plainly; what was taken for what is noted in the sketch. */
    static List<String> plainly(List<String> words, Edition edition, Sketch sketch) {
        Phrases phrases = new Phrases(words, edition, sketch);
        int at = 0;
        while (at < words.size()) {
            at += phrases.take(at);
        }
        return phrases.out;
    }

    private String word(int at) {
        return at < in.size() ? Plain.of(in.get(at)) : "";
    }

    /** Adds the word, or what the turn that begins with it stands for; how many words that took. */
    private int take(int at) {
        int taken = at == 0 ? 0 : travelTone(at);
        if (taken == 0 && at == 0) {
            taken = repeater(at);
        }
        if (taken == 0 && at == 0) {
            taken = calling(at);
        }
        if (taken == 0) {
            out.add(in.get(at));
        }
        return Math.max(1, taken);
    }

    private int travelTone(int at) {
        boolean said = List.of("travel", "traveler", "traveller", "travelers", "travellers")
                        .contains(word(at))
                && word(at + 1).equals("tone");
        if (!said) {
            return 0;
        }
        out.add(TRAVEL_TONE);
        sketch.note(Said.because(Field.TX_TONE, "tone " + TRAVEL_TONE, "the “travel tone” as it is commonly used"));
        return 2;
    }

    /** "repeater 20", "rpt 2", "gmrs repeater 16", "550 repeater". */
    private int repeater(int at) {
        boolean service = Channels.isService(edition, word(at))
                && REPEATER.matcher(word(at + 1)).matches();
        int from = service ? at + 1 : at;
        if (REPEATER.matcher(word(from)).matches()) {
            int channel = word(from + 1).equals("ch") || word(from + 1).equals("channel") ? from + 2 : from + 1;
            java.util.regex.Matcher number = CHANNEL.matcher(word(channel));
            if (number.matches()) {
                int counted = Integer.parseInt(number.group(1));
                String name = (counted <= PAIRS_BY_ORDER ? "R" : "RPT") + counted;
                if (Channels.named(edition, name).isEmpty()) {
                    return 0;
                }
                out.add(name);
                return channel - at + 1;
            }
            return LAST_DIGITS.matcher(word(channel)).matches() ? digits(word(channel), channel - at + 1) : 0;
        }
        boolean behind = LAST_DIGITS.matcher(word(at)).matches()
                && REPEATER.matcher(word(at + 1)).matches();
        return behind ? digits(word(at), 2) : 0;
    }

    private int digits(String digits, int words) {
        if (Channels.named(edition, digits + " pair").isEmpty()) {
            return 0;
        }
        out.add("\"" + digits + " pair");
        return words;
    }

    /** "2m calling", "70 cm fm calling": the calling frequency of the plan on that band. */
    private int calling(int at) {
        java.util.regex.Matcher band = BAND.matcher(word(at));
        int next = at + 1;
        if (!band.matches()) {
            band = BAND.matcher(word(at) + word(at + 1));
            next = at + 2;
        }
        if (!band.matches()) {
            return 0;
        }
        String mode = "fm";
        if (List.of("fm", "ssb", "cw", "usb").contains(word(next))) {
            mode = word(next).equals("usb") ? "ssb" : word(next);
            next++;
        }
        if (!word(next).matches("calling|call")) {
            return 0;
        }
        next += word(next + 1).matches("channel|frequency|freq|ch") ? 2 : 1;
        String name = band.group(1) + " " + band.group(2);
        Optional<Frequency> found = callingOn(name, mode);
        if (found.isEmpty()) {
            return 0;
        }
        out.add(found.get().megahertz());
        if (!mode.equals("fm")) {
            out.add(mode);
        }
        out.add("\"" + name.replace(" ", "") + " calling");
        sketch.note(Said.because(Field.RX_MHZ, "hears " + found.get(), "the plan's calling frequency on " + name));
        return next - at;
    }

    /** Whether a word is the name of a band and nothing more: {@code 2m}, {@code 70cm}. */
    static boolean isBand(Edition edition, String word) {
        java.util.regex.Matcher band = BAND.matcher(word);
        return band.matches()
                && edition.services().stream()
                        .filter(BandService.class::isInstance)
                        .flatMap(service -> ((BandService) service).grants().stream())
                        .anyMatch(grant -> grant.band().equals(band.group(1) + " " + band.group(2)));
    }

    private Optional<Frequency> callingOn(String band, String mode) {
        List<Span> spans = edition.services().stream()
                .filter(BandService.class::isInstance)
                .flatMap(service -> ((BandService) service).grants().stream())
                .filter(grant -> grant.band().equals(band))
                .map(Grant::span)
                .toList();
        return edition.plan().rows().stream()
                .filter(row -> row.calling()
                        .filter(said -> said.toLowerCase(java.util.Locale.ROOT).contains(mode))
                        .isPresent())
                .map(PlanRow::span)
                .filter(span -> spans.stream().anyMatch(each -> each.contains(new Frequency(span.low()))))
                .map(span -> new Frequency(span.low()))
                .findFirst();
    }
}
