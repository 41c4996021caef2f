package org.wache.server.rulebooks;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wache.rulebook.ChannelNames;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Service;
import org.wache.server.web.Refused;
import org.wache.signal.Frequency;

/** What people look up: a frequency in megahertz, or what a channel is called, such as {@code GMRS 18}. */
public final class Looked {

    private static final Pattern NAMED = Pattern.compile(
            "(?:(?<whose>[A-Za-z][A-Za-z .-]*?)[ -]?(?:ch(?:annel)?\\.? ?)?)?(?<name>[A-Za-z]{0,3}\\d{1,3}[A-Za-z]?)");

    private Looked() {}

    /**
     * The frequency that a text means.
     *
     * @throws Refused when it means none, or more than one
     */
    public static Frequency up(Edition edition, String text) {
        String typed = text.strip();
        Optional<Frequency> frequency =
                Frequency.ofMegahertz(typed.replace(',', '.').replaceFirst("(?i) ?MHz$", ""));
        Matcher named = NAMED.matcher(typed);
        if (!typed.matches("[A-Za-z].*") && frequency.isPresent() || !named.matches()) {
            return frequency.orElseThrow(() -> new Refused("“" + typed
                    + "” is no frequency and no channel. Write it in MHz, such as 468.950, or as the channel is"
                    + " called, such as GMRS 18."));
        }
        String whose = Optional.ofNullable(named.group("whose")).orElse("").strip();
        List<Frequency> found = edition.channelNames().called(named.group("name")).stream()
                .map(ChannelNames.Named::receive)
                .distinct()
                .filter(each -> whose.isEmpty() || of(edition, whose, each))
                .toList();
        List<Frequency> numbered =
                found.isEmpty() && !whose.isEmpty() ? numbered(edition, whose, named.group("name")) : found;
        if (numbered.isEmpty()) {
            throw new Refused("No channel of this rulebook is called “" + typed + "”. Write its frequency in MHz.");
        }
        if (numbered.size() > 1) {
            throw new Refused("“" + typed + "” is "
                    + String.join(
                            " or ",
                            numbered.stream()
                                    .map(each -> each.megahertz() + " MHz")
                                    .toList()) + ". Write the one that is meant.");
        }
        return numbered.get(0);
    }

    private static boolean of(Edition edition, String whose, Frequency frequency) {
        return edition.services().stream()
                .filter(service -> called(service, whose))
                .anyMatch(service -> service.spanAt(frequency).isPresent());
    }

    private static boolean called(Service service, String whose) {
        String wanted = whose.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "");
        return service.id().replaceAll("[^a-z0-9]", "").equals(wanted)
                || service.title()
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^a-z0-9]", "")
                        .equals(wanted);
    }

    /** Channels that a service numbers itself. */
    private static List<Frequency> numbered(Edition edition, String whose, String name) {
        return edition.services().stream()
                .filter(service -> called(service, whose) && service instanceof ChannelService)
                .map(ChannelService.class::cast)
                .flatMap(service -> service.channels().stream())
                .filter(channel -> channel.name().equalsIgnoreCase(name))
                .map(FixedChannel::centre)
                .distinct()
                .toList();
    }
}
