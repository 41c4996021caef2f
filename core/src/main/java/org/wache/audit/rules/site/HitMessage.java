package org.wache.audit.rules.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.wache.audit.finding.Sum;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.signal.Frequency;
import org.wache.site.Emitter;
import org.wache.site.Hit;
import org.wache.site.Receiver;
import org.wache.site.SiteStudy;

/** Interference in words and sums. */
public final class HitMessage {

    private HitMessage() {}

    /** How a hit is called: {@code third-order product}. */
    public static String kind(Hit.Kind kind) {
        return switch (kind) {
            case CO_CHANNEL -> "same channel";
            case OVERLAP -> "overlap";
            case THIRD_ORDER -> "third-order product";
            case FIFTH_ORDER -> "fifth-order product";
            case HARMONIC -> "harmonic";
            case NEAR -> "too near";
        };
    }

    /** Who transmits there: the name of the entry, and how many more. */
    public static String emitter(Emitter emitter, ChannelList list) {
        String first = name(
                list.channels().get(emitter.entries().get(0)), emitter.entries().get(0));
        int more = emitter.entries().size() - 1;
        return more == 0 ? first : first + " and " + more + " more on it";
    }

    private static String name(Channel channel, int position) {
        return !channel.name().isEmpty()
                ? channel.name()
                : channel.number().isEmpty() ? "entry " + (position + 1) : "number " + channel.number();
    }

    /** The product as one writes it: {@code 2 × 146.520 − 146.010 = 147.030}; of a single transmitter where it is from here. */
    public static String equation(Hit hit) {
        if (!hit.kind().isProduct() && hit.kind() != Hit.Kind.HARMONIC) {
            long from = hit.lands() - hit.receiver().centre();
            return Frequency.megahertz(hit.lands())
                    + (from == 0
                            ? ", the same frequency"
                            : ", " + distance(Math.abs(from)) + (from < 0 ? " below" : " above"));
        }
        StringBuilder text = new StringBuilder();
        for (Hit.Term term : hit.terms()) {
            text.append(text.isEmpty() ? "" : term.factor() < 0 ? " − " : " + ").append(times(term));
        }
        return text.append(" = ").append(Frequency.megahertz(hit.lands())).toString();
    }

    /** A distance of frequencies: {@code 60.0 kHz}, {@code 1.200 MHz}. */
    static String distance(long hertz) {
        return hertz >= 1_000_000 ? Frequency.megahertz(hertz) + " MHz" : Frequency.kilohertz(hertz) + " kHz";
    }

    private static String times(Hit.Term term) {
        String frequency = Frequency.megahertz(term.emitter().centre());
        return Math.abs(term.factor()) == 1 ? frequency : Math.abs(term.factor()) + " × " + frequency;
    }

    /** Who puts it there, each named once: {@code Weir and Ferry}. */
    public static String sources(Hit hit, ChannelList list) {
        Set<String> names = new TreeSet<>();
        hit.terms().forEach(term -> names.add(emitter(term.emitter(), list)));
        return org.wache.audit.finding.Wording.list(List.copyOf(names));
    }

    /** The sum of a hit, with the widths that make it one. */
    public static Sum sum(Hit hit, ChannelList list) {
        Receiver receiver = hit.receiver();
        Sum sum = Sum.NONE;
        if (hit.kind().isProduct() || hit.kind() == Hit.Kind.HARMONIC) {
            for (Hit.Term term : hit.terms()) {
                sum = sum.step(
                        sum.lines().isEmpty() ? "" : term.factor() < 0 ? "−" : "+",
                        times(term),
                        "MHz",
                        emitter(term.emitter(), list));
            }
            sum = sum.gives(Frequency.megahertz(hit.lands()), "MHz", "lands here")
                    .step("", Frequency.megahertz(receiver.centre()), "MHz", "the middle of what this entry hears")
                    .rest(Frequency.kilohertz(hit.off()), "kHz", "apart");
            return sum.step("", Frequency.kilohertz(hit.half()), "kHz", "half of the product: " + widening(hit))
                    .step("+", Frequency.kilohertz(receiver.half()), "kHz", "half of what the receiver lets in")
                    .gives(Frequency.kilohertz(hit.reach()), "kHz", "so near it may come before it is heard");
        }
        Emitter other = hit.terms().get(0).emitter();
        sum = Sum.of(Frequency.megahertz(other.centre()), "MHz", emitter(other, list) + " talks on")
                .step("", Frequency.megahertz(receiver.centre()), "MHz", "this entry hears")
                .rest(Frequency.kilohertz(hit.off()), "kHz", "apart");
        return hit.kind() != Hit.Kind.OVERLAP
                ? sum
                : sum.step("", Frequency.kilohertz(hit.half()), "kHz", "half of the other signal")
                        .step("+", Frequency.kilohertz(receiver.half()), "kHz", "half of what the receiver lets in")
                        .gives(Frequency.kilohertz(hit.reach()), "kHz", "so near they may stand without touching");
    }

    /** {@code 2 × 5.0 + 5.0 + 3.0 kHz}: deviations as often as they count, and the audio. */
    private static String widening(Hit hit) {
        List<String> parts = new ArrayList<>();
        hit.terms()
                .forEach(term -> parts.add((Math.abs(term.factor()) == 1 ? "" : Math.abs(term.factor()) + " × ")
                        + Frequency.kilohertz(term.emitter().deviation())));
        return String.join(" + ", parts) + " deviation + " + Frequency.kilohertz(SiteStudy.AUDIO) + " audio";
    }
}
