package org.wache.reference;

import java.util.TreeSet;
import org.wache.audit.RuleSet;
import org.wache.audit.context.AuditContext;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** Whether somebody may key anything at all within a span: the channels, segments and licence lines in it are tried one after the other. */
public final class Keyable {

    /** A frequency is tried so far inside an edge, hertz. */
    private static final long INSIDE = 15_000;

    private Keyable() {}

    /**
     * Whether there is a frequency that they may key.
     *
     * @param context with one holder, on the day and at the place, and the radio that they would key
     */
    public static boolean in(RuleSet rules, AuditContext context, Span span) {
        TreeSet<Long> tried = new TreeSet<>();
        for (Service service : context.edition().services()) {
            if (service instanceof BandService bands) {
                bands.grants().forEach(grant -> {
                    long low = Math.max(span.low(), grant.span().low());
                    long high = Math.min(span.high(), grant.span().high());
                    if (low <= high) {
                        tried.add((low + high) / 2);
                        tried.add(Math.min(high, low + INSIDE));
                        tried.add(Math.max(low, high - INSIDE));
                    }
                });
                bands.channels().forEach(each -> tried.add(each.centre().hertz()));
            } else if (service instanceof ChannelService channels) {
                channels.channels().forEach(each -> tried.add(each.centre().hertz()));
            }
        }
        context.holders().stream()
                .flatMap(holder -> holder.licences().stream())
                .flatMap(licence -> licence.lines().stream())
                .forEach(line -> tried.add(line.frequency().hertz()));
        return tried.stream().filter(span::contains).anyMatch(hertz -> MayKey.at(rules, context, new Frequency(hertz))
                .may());
    }
}
