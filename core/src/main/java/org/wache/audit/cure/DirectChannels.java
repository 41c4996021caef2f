package org.wache.audit.cure;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.WeakHashMap;
import java.util.concurrent.ConcurrentHashMap;
import org.wache.audit.context.AuditContext;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.licence.Holder;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.PlanUse;
import org.wache.rulebook.Raster;
import org.wache.rulebook.Service;
import org.wache.signal.Content;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;

/** Where the rulebook lets somebody talk directly with FM: the plan's direct parts by their raster, fixed channels, and licence lines. */
public final class DirectChannels {

    /** Where the plan names no raster. Common practice, no source. */
    private static final long USUAL_STEP = 25_000;

    private static final Map<Edition, Map<Integer, Map<Long, Channel>>> KNOWN =
            Collections.synchronizedMap(new WeakHashMap<>());

    /** Further away is another band: another antenna, perhaps another radio. */
    private static final long FAR = 10_000_000;

    private DirectChannels() {}

    /** All of them in order, as entries without a name: direct, with the mode that fits there. */
    public static List<Channel> of(AuditContext context) {
        Map<Long, Channel> all = new TreeMap<>(open(context));
        context.holders().stream()
                .map(Holder::licences)
                .flatMap(List::stream)
                .forEach(licence -> licence.lines().stream()
                        .filter(line -> line.emission().is(Content.FM))
                        .forEach(line -> all.putIfAbsent(
                                line.frequency().hertz(),
                                entry(
                                        line.frequency().hertz(),
                                        line.emission().bandwidth()
                                                        > Mode.NFM.emission().bandwidth()
                                                ? Mode.FM
                                                : Mode.NFM,
                                        licence.service()))));
        return List.copyOf(all.values());
    }

    /** Those that go by the rulebook alone, kept as long as the edition is. */
    private static Map<Long, Channel> open(AuditContext context) {
        return KNOWN.computeIfAbsent(context.edition(), any -> new ConcurrentHashMap<>())
                .computeIfAbsent(context.houseRules().twoMetreRasterKhz().orElse(0), any -> read(context));
    }

    private static Map<Long, Channel> read(AuditContext context) {
        Map<Long, Channel> all = new TreeMap<>();
        Edition edition = context.edition();
        for (PlanRow row : edition.plan().rows()) {
            if (row.isFor(PlanUse.FM_SIMPLEX)
                    && row.span().length() > 0
                    && row.uses().contains(PlanUse.FM_SIMPLEX)) {
                frequencies(row, context)
                        .forEach(hertz -> all.putIfAbsent(
                                hertz, entry(hertz, Mode.FM, edition.plan().service())));
            }
        }
        for (Service service : edition.services()) {
            if (service instanceof ChannelService channels) {
                channels.channels().stream()
                        .filter(DirectChannels::open)
                        .forEach(each -> all.putIfAbsent(
                                each.centre().hertz(), entry(each.centre().hertz(), mode(each), service.id())));
            }
        }
        return all;
    }

    private static boolean open(FixedChannel channel) {
        return channel.restricted().isEmpty()
                && (channel.reaches().isEmpty() || channel.directToo())
                && (channel.allow() & Content.FM.bit()) != 0;
    }

    private static Mode mode(FixedChannel channel) {
        return channel.width().hertz() >= Mode.FM.emission().bandwidth() ? Mode.FM : Mode.NFM;
    }

    private static Channel entry(long hertz, Mode mode, String service) {
        String megahertz = Frequency.megahertz(hertz);
        return Channel.of(Map.of(
                Field.RX_MHZ, megahertz, Field.TX_MHZ, megahertz, Field.MODE, mode.name(), Field.SERVICE, service));
    }

    private static List<Long> frequencies(PlanRow row, AuditContext context) {
        List<Long> all = new ArrayList<>();
        Raster raster = raster(row, context).orElse(new Raster(row.span().low(), USUAL_STEP));
        for (long hertz = raster.nearest(row.span().low()); hertz <= row.span().high(); hertz += raster.step()) {
            if (hertz >= row.span().low()) {
                all.add(hertz);
            }
        }
        return all;
    }

    /** Where an area settles for one of two rasters, the group's own choice, else the first. */
    private static Optional<Raster> raster(PlanRow row, AuditContext context) {
        long settled = context.houseRules().twoMetreRasterKhz().orElse(0) * 1000L;
        return row.rasters().stream()
                .filter(each -> row.rasterChoice() && each.step() == settled)
                .findFirst()
                .or(() -> row.rasters().stream().findFirst());
    }

    /** A band has a name of its own; the channels of a service go by the service. */
    public static String place(AuditContext context, Channel channel) {
        Service service = context.edition().service(channel.serviceHint()).orElseThrow();
        return service instanceof BandService
                ? service.placeName(channel.transmit().orElseThrow())
                : service.title();
    }

    /** A frequency that is kept for calling, or on which everybody calls: the plan's calling frequencies, and those that the channel names call busy. */
    public static boolean isCalling(AuditContext context, Frequency frequency) {
        return context.edition().plan().rows().stream()
                        .anyMatch(row -> row.calling().isPresent() && row.span().contains(frequency))
                || context.edition().channelNames().busy().containsKey(frequency);
    }

    /** The nearest to a frequency in its own service and band, nearest first. */
    static List<Channel> near(Channel channel, String service, AuditContext context, int most) {
        long now = channel.transmit().orElseThrow().hertz();
        return of(context).stream()
                .filter(each -> each.serviceHint().equals(service))
                .filter(each ->
                        context.neighbours().on(each.transmit().orElseThrow()).isEmpty())
                .filter(each -> !each.transmit().equals(channel.transmit())
                        && Math.abs(each.transmit().orElseThrow().hertz() - now) < FAR)
                .sorted(Comparator.comparingLong(
                        each -> Math.abs(each.transmit().orElseThrow().hertz() - now)))
                .limit(most)
                .toList();
    }
}
