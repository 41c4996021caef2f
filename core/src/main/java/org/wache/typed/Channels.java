package org.wache.typed;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wache.channel.Field;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelNames;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Listening;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;

/** Channels by the names that people give them: {@code gmrs 16}, {@code R2}, {@code 24}, {@code wx 2}. */
final class Channels {

    private static final Pattern GLUED =
            Pattern.compile("([a-z-]+?)[\\s#-]*(?:ch(?:annel)?\\s*)?#?([0-9]{1,4}[a-z]{0,3})");
    private static final Pattern REPEATER = Pattern.compile("(?:rpt|rptr|r)?([0-9]{1,2})(?:r|rp|rpt|rptr)?");

    private Channels() {}

    /** A channel that a word stands for. */
    record Named(
            String title,
            Frequency receive,
            Optional<Frequency> transmit,
            String service,
            Optional<WrittenMode> mode,
            List<Said> said) {

        /** Writes it into a sketch. */
        void into(Sketch sketch) {
            sketch.hears(receive).otherwiseCalled(title);
            if (!service.isEmpty()) {
                sketch.text(Field.SERVICE, service);
            }
            mode.ifPresent(sketch::mode);
            said.forEach(sketch::note);
            if (transmit.isEmpty()) {
                sketch.listens();
            } else {
                sketch.talksOn(transmit.get());
            }
        }
    }

    /** Whether a word names a service or a table that has channels with names. */
    static boolean isService(Edition edition, String word) {
        return service(edition, word).isPresent()
                || edition.listening().called(word).isPresent();
    }

    private static Optional<Service> service(Edition edition, String word) {
        return edition.services().stream()
                .filter(each -> each.id().equals(word) && !(each instanceof BandService))
                .findFirst();
    }

    /** A service and a channel written as one word: {@code gmrs16}, {@code wx2}. */
    static Optional<String[]> glued(Edition edition, String word) {
        Matcher shape = GLUED.matcher(word);
        return shape.matches() && isService(edition, shape.group(1))
                ? Optional.of(new String[] {shape.group(1), shape.group(2)})
                : Optional.empty();
    }

    /** The channel of a service by its name; through its repeater when that is said, or is part of the name. */
    static Optional<Named> of(Edition edition, String service, String name, boolean repeater) {
        Optional<Listening.Table> table = edition.listening().called(service);
        if (table.isPresent()) {
            return Listening.channel(table.get(), name).map(heard -> heard(table.get(), heard));
        }
        if (!(service(edition, service).orElse(null) instanceof ChannelService channels)) {
            return Optional.empty();
        }
        String plain = name.toLowerCase(Locale.ROOT).replaceFirst("^0+(?=.)", "");
        Optional<FixedChannel> exact = channel(channels, plain);
        if (exact.isPresent() && !repeater) {
            return exact.map(channel -> direct(channels, channel));
        }
        Matcher shape = REPEATER.matcher(plain);
        boolean pairs =
                channels.channels().stream().anyMatch(each -> each.reaches().isPresent());
        if (!pairs || !shape.matches()) {
            return exact.map(channel -> direct(channels, channel));
        }
        Optional<Named> numbered = named(edition, plain).stream()
                .filter(each ->
                        each.transmit().isPresent() && !each.transmit().get().equals(each.receive()))
                .findFirst();
        return numbered.isPresent() && exact.isEmpty()
                ? numbered
                : channel(channels, shape.group(1))
                        .flatMap(output -> pair(channels, output))
                        .or(() -> numbered);
    }

    private static Optional<FixedChannel> channel(ChannelService service, String name) {
        return service.channels().stream()
                .filter(each -> each.name().equalsIgnoreCase(name))
                .findFirst();
    }

    private static Named direct(ChannelService service, FixedChannel channel) {
        if (channel.reaches().isPresent() && !channel.directToo()) { // an input is named: the pair is meant
            return pairOf(service, channel, channel.reaches().get());
        }
        List<Said> said = new ArrayList<>();
        said.add(Said.because(
                Field.RX_MHZ, "hears " + channel.centre(), service.title() + " channel " + channel.name()));
        channel.restricted()
                .ifPresent(why -> said.add(Said.doubtful(Field.RX_MHZ, "kept for " + why.purpose(), why.source())));
        return new Named(
                service.title() + " " + channel.name(),
                channel.centre(),
                Optional.of(channel.centre()),
                service.id(),
                Optional.empty(),
                said);
    }

    private static Optional<Named> pair(ChannelService service, FixedChannel output) {
        return service.channels().stream()
                .filter(each -> each.reaches().filter(output.centre()::equals).isPresent())
                .findFirst()
                .map(input -> pairOf(service, input, output.centre()));
    }

    private static Named pairOf(ChannelService service, FixedChannel input, Frequency output) {
        String number = service.channelAt(output, false).map(FixedChannel::name).orElse(output.megahertz());
        return new Named(
                service.title() + " " + number + " RPT",
                output,
                Optional.of(input.centre()),
                service.id(),
                Optional.empty(),
                List.of(Said.because(
                        Field.RX_MHZ,
                        "hears " + output,
                        "the output of the " + service.title() + " " + number + " repeater pair")));
    }

    private static Named heard(Listening.Table table, Listening.Heard heard) {
        List<Said> said = new ArrayList<>();
        said.add(Said.because(
                Field.RX_MHZ,
                "hears " + heard.frequency(),
                table.title().toLowerCase(Locale.ROOT) + " channel " + heard.name()
                        + heard.say().map(say -> ", " + say).orElse("")));
        table.note()
                .ifPresent(note -> said.add(
                        Said.doubtful(Field.RX_MHZ, "channel " + heard.name() + " as commonly numbered", note)));
        return new Named(
                (table.words().get(0).length() <= 2 ? table.words().get(0).toUpperCase(Locale.ROOT) : table.title())
                        + " " + heard.name(),
                heard.frequency(),
                Optional.empty(),
                "",
                WrittenMode.read(table.mode().name()),
                said);
    }

    /** The personal radio channels that a bare name stands for: {@code R2}, {@code RPT16}, {@code 24}, {@code 16}. */
    static List<Named> named(Edition edition, String name) {
        List<Named> all = new ArrayList<>();
        for (ChannelNames.Named each : edition.channelNames().called(name)) {
            boolean pair = !each.receive().equals(each.transmit());
            List<String> services = edition.servicesAt(each.transmit()).stream()
                    .map(Service::id)
                    .filter(id -> !pair
                            || edition.service(id)
                                    .filter(s -> s.channelAt(each.transmit(), false)
                                            .flatMap(FixedChannel::reaches)
                                            .isPresent())
                                    .isPresent())
                    .toList();
            String number = each.names().values().iterator().next();
            String where =
                    pair ? "the repeater pair of channel " + number.replace(" repeater", "") : "channel " + number;
            boolean other = !number.equalsIgnoreCase(name);
            Said said = Said.because(
                    Field.RX_MHZ,
                    "hears " + each.receive(),
                    (other ? "“" + name.toUpperCase(Locale.ROOT) + "” is " : "") + where + " of "
                            + String.join(
                                    " and ",
                                    services.stream()
                                            .map(id -> edition.service(id)
                                                    .orElseThrow()
                                                    .title())
                                            .toList()));
            String title = services.size() == 1
                    ? edition.service(services.get(0)).orElseThrow().title() + " "
                    : "CH ";
            all.add(new Named(
                    title + number.replace(" repeater", " RPT"),
                    each.receive(),
                    Optional.of(each.transmit()),
                    services.size() == 1 ? services.get(0) : "",
                    Optional.empty(),
                    List.of(said)));
        }
        return all;
    }
}
