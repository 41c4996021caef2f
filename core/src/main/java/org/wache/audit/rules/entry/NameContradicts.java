package org.wache.audit.rules.entry;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.ChannelNames;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** The name says another channel or another frequency than the entry has: one of the two was copied wrong. */
public final class NameContradicts implements EntryRule {

    private static final Pattern MEGAHERTZ = Pattern.compile("(?<![0-9.])([0-9]{2,4}\\.[0-9]{1,6})(?![0-9.])");
    private static final String NUMBER = "[ -]*(?:ch(?:annel|an)?\\.?[ -]*)?([0-9]{1,2})(?![0-9.])";

    /** What a name says: the text that says it, and the frequencies that it may mean. */
    private record Said(String words, List<Frequency> receive) {}

    @Override
    public Slug slug() {
        return Slug.NAME_CONTRADICTS;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "The name says another channel",
                "An entry is called after a channel of a service, or after a frequency, and is on another. Whoever picks it by "
                        + "its name talks where nobody listens.",
                "Put it on the channel that its name says, or name it after the one that it is on.",
                RulePage.entry("nobody", "name=FRS_7 rx_mhz=467.7125 tx_mhz=467.7125 mode=NFM power_w=0.5"),
                RulePage.entry("nobody", "name=FRS_14 rx_mhz=467.7125 tx_mhz=467.7125 mode=NFM power_w=0.5"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Optional<Frequency> receive = entry.channel().receive();
        if (receive.isEmpty() || !hasFigure(entry.channel().name())) {
            return List.of();
        }
        Optional<Said> said = channel(entry).or(() -> frequency(entry));
        if (said.isEmpty() || said.get().receive().contains(receive.get())) {
            return List.of();
        }
        Frequency named = said.get().receive().get(0);
        return List.of(Finding.query(Slug.NAME_CONTRADICTS)
                .message(
                        "It is called “%s”, which is %s; it hears %s.",
                        said.get().words(), named, receive.get())
                .working(() -> Sum.of(receive.get(), "hears").limit(named, "what the name says"))
                .source("common practice")
                .cures(() -> cures(entry.channel(), named, renamed(entry, said.get()))));
    }

    /** A channel of a service with fixed channels: FRS 7, GMRS-23, CB ch 9. */
    private static Optional<Said> channel(Entry entry) {
        String name = entry.channel().name().replace('_', ' ');
        for (Service any : entry.edition().services()) {
            if (!(any instanceof ChannelService service)) {
                continue;
            }
            if (!containsIgnoringCase(name, service.title())) {
                continue;
            }
            Matcher matcher = Pattern.compile(
                            "(?<![A-Za-z])" + Pattern.quote(service.title()) + NUMBER, Pattern.CASE_INSENSITIVE)
                    .matcher(name);
            if (matcher.find()) {
                List<Frequency> meant = named(entry, service, matcher.group(1));
                if (!meant.isEmpty()) {
                    return Optional.of(new Said(matcher.group().strip(), meant));
                }
            }
        }
        return Optional.empty();
    }

    private static boolean hasFigure(String name) {
        for (int i = 0; i < name.length(); i++) {
            if (name.charAt(i) >= '0' && name.charAt(i) <= '9') {
                return true;
            }
        }
        return false;
    }

    private static boolean containsIgnoringCase(String text, String part) {
        for (int i = 0; i + part.length() <= text.length(); i++) {
            if (text.regionMatches(true, i, part, 0, part.length())) {
                return true;
            }
        }
        return false;
    }

    private static Stream<ChannelService> channelServices(Entry entry) {
        return entry.edition().services().stream()
                .filter(ChannelService.class::isInstance)
                .map(ChannelService.class::cast);
    }

    private static List<Frequency> named(Entry entry, ChannelService service, String number) {
        String plain = number.replaceFirst("^0", "");
        List<Frequency> own = service.channels().stream()
                .filter(each -> each.name().equals(plain))
                .map(FixedChannel::centre)
                .toList();
        List<Frequency> others = entry.edition().channelNames().called(plain).stream()
                .map(ChannelNames.Named::receive)
                .filter(each -> service.channelAt(each, false).isPresent())
                .toList();
        return Stream.concat(own.stream(), others.stream()).distinct().toList();
    }

    /** A frequency in megahertz, typed short or in full; a tone is none. */
    private static Optional<Said> frequency(Entry entry) {
        Channel channel = entry.channel();
        if (channel.name().indexOf('.') < 0) {
            return Optional.empty();
        }
        Matcher matcher = MEGAHERTZ.matcher(channel.name());
        while (matcher.find()) {
            String text = matcher.group(1);
            Optional<Frequency> typed = Frequency.ofMegahertz(text);
            boolean tone = Tone.parse(text)
                    .filter(each -> entry.tones().ctcss().contains(each))
                    .isPresent();
            boolean near = text.substring(text.indexOf('.') + 1).length() > 1 || sameMegahertz(text, channel);
            if (typed.isEmpty() || tone || !near || !entry.edition().isSomeones(typed.get())) {
                continue;
            }
            boolean own = Stream.of(channel.receive(), channel.transmit())
                    .flatMap(Optional::stream)
                    .anyMatch(each -> each.megahertz().startsWith(text) || each.equals(typed.get()));
            return own ? Optional.empty() : Optional.of(new Said(text, List.of(typed.get())));
        }
        return Optional.empty();
    }

    private static boolean sameMegahertz(String text, Channel channel) {
        String whole = text.substring(0, text.indexOf('.') + 1);
        return channel.receive()
                .filter(each -> each.megahertz().startsWith(whole))
                .isPresent();
    }

    /** The name after the channel or frequency that the entry is on. */
    private static Optional<String> renamed(Entry entry, Said said) {
        String name = entry.channel().name();
        Frequency receive = entry.channel().receive().orElseThrow();
        if (MEGAHERTZ.matcher(said.words()).matches()) {
            return Optional.of(name.replace(
                    said.words(), receive.megahertz().replaceFirst("0+$", "").replaceFirst("\\.$", ".0")));
        }
        String digits = said.words().replaceFirst(".*?([0-9]{1,2})$", "$1");
        return channelServices(entry)
                .filter(service -> said.words()
                        .toLowerCase(Locale.ROOT)
                        .startsWith(service.title().toLowerCase(Locale.ROOT)))
                .flatMap(service -> service.channelAt(receive, false).stream())
                .map(FixedChannel::name)
                .filter(each -> each.matches("[0-9]{1,2}"))
                .findFirst()
                .map(number -> name.replaceFirst("(?<![0-9])" + digits + "(?![0-9])", number));
    }

    private static List<Change> cures(Channel channel, Frequency named, Optional<String> renamed) {
        List<Change> cures = new ArrayList<>();
        Map<Field, String> moved = new EnumMap<>(Field.class);
        moved.put(Field.RX_MHZ, named.megahertz());
        channel.transmit()
                .ifPresent(transmit -> moved.put(
                        Field.TX_MHZ,
                        named.plus(transmit.minus(channel.receive().orElseThrow()))
                                .megahertz()));
        cures.add(new Change("Put it on " + named, moved));
        renamed.filter(name -> !name.equals(channel.name()))
                .ifPresent(name -> cures.add(Change.of("Name it “" + name + "”", Field.NAME, name)));
        return cures;
    }
}
