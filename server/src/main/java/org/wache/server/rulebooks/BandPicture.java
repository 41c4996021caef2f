package org.wache.server.rulebooks;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.LongStream;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Grant;
import org.wache.rulebook.Service;
import org.wache.signal.Content;

/**
 * The bands of a rulebook as one looks at them, and what a holder may do in each.
 *
 * @param bands from the lowest
 * @param may stretch by stretch
 */
public record BandPicture(List<BandPicture.Band> bands, List<BandPicture.May> may) {

    /** Personal-radio channels overlap; they are drawn as wide as their raster lets them stand apart. */
    private static final long CHANNEL_DRAWN = 11_000;
    /** Stretches of a service that are farther apart are bands of their own. */
    private static final long FAR = 10_000_000;
    /** A stretch that is looked at as one. */
    public record Band(String name, long low, long high) {}

    /** What may be sent where. Without a class of its own the stretch is for that class and above only. */
    public record May(
            long low,
            long high,
            String words,
            @Schema(nullable = true) Optional<String> onlyFrom,
            String service,
            String source) {}

    /** For a holder in shorthand, such as {@code amateur:general}. */
    public static BandPicture of(Edition edition, String as) {
        List<Band> bands = new ArrayList<>();
        List<May> may = new ArrayList<>();
        for (Service service : edition.services()) {
            boolean held = List.of(as.split(",")).contains(service.id());
            if (service.traits().terms().aboardOnly() && !held
                    || service instanceof BandService
                            && !service.id().equals(edition.plan().service())) {
                continue; // who is not aboard has nothing to do with it; other services with bands have no classes to
                // draw
            }
            if (service instanceof BandService amateur) {
                bands(amateur, bands);
                grants(edition, amateur, classHeld(as, amateur), may);
            } else if (service instanceof ChannelService channels) {
                channels.spans().forEach(span -> band(edition, channels, span.low(), span.high(), bands));
                boolean open = !service.traits().needsLicence() || held;
                channels.channels().stream()
                        .filter(channel -> channel.restricted().isEmpty())
                        .forEach(channel -> may.add(channel(edition, channels, channel, open)));
            } // what is licensed line by line has no general picture
        }
        onePerStretch(edition, may);
        bands.sort(Comparator.comparingLong(Band::low));
        return new BandPicture(List.copyOf(bands), List.copyOf(may));
    }

    /** Where services share a channel, the one that this holder may use is drawn; the earlier one of two. */
    private static void onePerStretch(Edition edition, List<May> may) {
        Map<List<Long>, May> drawn = new LinkedHashMap<>();
        for (May each : may) {
            long middle = (each.low() + each.high()) / 2;
            List<Long> key =
                    List.of(middle, each.service().equals(edition.plan().service()) ? each.low() : 0L);
            drawn.merge(
                    key,
                    each,
                    (one, other) ->
                            one.onlyFrom().isPresent() && other.onlyFrom().isEmpty() ? other : one);
        }
        may.clear();
        may.addAll(drawn.values());
    }

    private static void bands(BandService amateur, List<Band> bands) {
        amateur.grants().stream().map(Grant::band).distinct().forEach(name -> amateur.band(name)
                .ifPresent(span -> bands.add(new Band(name, span.low(), span.high()))));
        amateur.channelised().forEach(grant -> {
            bands.removeIf(band -> band.name().equals(grant.band()));
            bands.add(new Band(grant.band(), grant.span().low(), grant.span().high()));
        });
    }

    private static void band(Edition edition, ChannelService service, long low, long high, List<Band> bands) {
        List<String> shared = edition.services().stream()
                .filter(other -> other instanceof ChannelService others
                        && others.spans().stream().anyMatch(span -> span.low() <= low && span.high() >= high))
                .map(Service::title)
                .sorted()
                .toList();
        boolean spread = service.spans().stream().anyMatch(span -> Math.abs(span.low() - low) > FAR);
        String name = shared.size() > 1
                ? String.join("/", shared) + " " + low / 1_000_000
                : spread ? service.title() + " " + low / 1_000_000 : service.title();
        boolean known = bands.stream().anyMatch(band -> band.low() <= low && band.high() >= high);
        if (!known) {
            Optional<Band> near = bands.stream()
                    .filter(band -> band.name().equals(name) && low - band.high() < FAR && band.low() - high < FAR)
                    .findFirst();
            near.ifPresent(bands::remove);
            bands.add(new Band(
                    name,
                    near.map(band -> Math.min(band.low(), low)).orElse(low),
                    near.map(band -> Math.max(band.high(), high)).orElse(high)));
        }
    }

    public static int classHeld(String as, BandService amateur) {
        for (String word : as.split(",")) {
            if (word.startsWith(amateur.id() + ":")) {
                return amateur.traits().classIndex(word.substring(amateur.id().length() + 1));
            }
        }
        return -1;
    }

    /** The privileges cut at every limit, so that each stretch says once what it is for. */
    private static void grants(Edition edition, BandService amateur, int held, List<May> may) {
        List<Grant> open = amateur.grants().stream()
                .filter(grant -> grant.restricted().isEmpty())
                .toList();
        long[] ends = open.stream()
                .flatMapToLong(
                        grant -> LongStream.of(grant.span().low(), grant.span().high()))
                .sorted()
                .distinct()
                .toArray();
        for (int i = 0; i + 1 < ends.length; i++) {
            long low = ends[i];
            long high = ends[i + 1];
            List<Grant> there = open.stream()
                    .filter(grant -> grant.span().low() <= low && grant.span().high() >= high)
                    .toList();
            List<Grant> mine =
                    there.stream().filter(grant -> grant.lowestClass() <= held).toList();
            stretch(edition, amateur, low, high, mine.isEmpty() ? there : mine, !mine.isEmpty())
                    .ifPresent(may::add);
        }
        for (FixedChannel channel : amateur.channels()) {
            may.add(channel(edition, amateur, channel, channel.lowestClass() <= held));
        }
    }

    private static Optional<May> stretch(
            Edition edition, BandService amateur, long low, long high, List<Grant> grants, boolean mine) {
        return grants.stream().min(Comparator.comparingInt(Grant::lowestClass)).map(least -> {
            int bits = grants.stream()
                    .filter(grant -> mine || grant.lowestClass() == least.lowestClass())
                    .mapToInt(Grant::allow)
                    .reduce(0, (a, b) -> a | b);
            Optional<String> from = mine
                    ? Optional.empty()
                    : Optional.of(Wording.capital(amateur.traits().classes().get(least.lowestClass())));
            return new May(low, high, words(bits), from, amateur.id(), edition.cite(least.source()));
        });
    }

    /** What may be sent, short enough to be written into the stretch. */
    private static String words(int bits) {
        boolean limited = (bits & Content.PHONE_LOW_INDEX.bit()) != 0;
        return Wording.contents(limited ? bits | Content.PHONE.bit() : bits);
    }

    private static May channel(Edition edition, Service service, FixedChannel channel, boolean open) {
        long half = service instanceof ChannelService
                ? CHANNEL_DRAWN / 2
                : channel.width().hertz() / 2;
        String from = service instanceof BandService bands
                ? Wording.capital(bands.traits().classes().get(channel.lowestClass()))
                : service.title() + " licence";
        return new May(
                channel.centre().hertz() - half,
                channel.centre().hertz() + half,
                service instanceof ChannelService
                        ? service.title() + " " + channel.name().replace("repeater input", "in")
                        : channel.name(),
                open ? Optional.empty() : Optional.of(from),
                service.id(),
                edition.cite(channel.source()));
    }
}
