package org.wache.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.radio.Display;
import org.wache.radio.ShortNames;

/** What was chosen as a list: the same memory numbers in every radio, names that fit the shortest display. */
final class Written {

    private static final int USUAL_LENGTH = 16;

    private final List<Display> displays;
    private final List<Chosen> chosen;
    private final Listeners listeners;
    private final String timeout;

    Written(Demands demands, List<Chosen> chosen, Listeners listeners, String timeout) {
        this.displays = demands.people().stream()
                .flatMap(person -> person.radios().stream().flatMap(List::stream))
                .flatMap(radio -> radio.model().display().stream())
                .toList();
        this.chosen = chosen;
        this.listeners = listeners;
        this.timeout = timeout;
    }

    /** What each entry is, before its name is cut. */
    List<String> keys() {
        return chosen.stream().map(Chosen::name).toList();
    }

    ChannelList list() {
        List<String> names = names();
        List<Channel> channels = new ArrayList<>();
        for (int i = 0; i < chosen.size(); i++) {
            Chosen one = chosen.get(i);
            Map<Field, String> fields = new EnumMap<>(Field.class);
            fields.put(Field.NUMBER, Integer.toString(i + 1));
            fields.put(Field.NAME, names.get(i));
            fields.put(Field.NOTE, one.why());
            fields.put(Field.ZONE, String.join(",", one.teams()));
            if (one.candidate().isPresent()) {
                fields.put(Field.TIMEOUT_S, timeout);
            }
            channels.add(one.candidate()
                    .map(Candidate::channel)
                    .orElseGet(() -> listeners.entry(one.listens().orElseThrow()))
                    .with(fields));
        }
        return new ChannelList("Plan", List.of(), channels);
    }

    /** Those that are alike are counted, and all are cut so that the shortest display with the fewest letters shows what makes them differ. */
    private List<String> names() {
        int length = displays.stream().mapToInt(Display::length).min().orElse(USUAL_LENGTH);
        ShortNames.Letters letters = displays.stream()
                .map(Display::letters)
                .min(Comparator.naturalOrder())
                .orElse(ShortNames.Letters.ASCII);
        List<String> names = chosen.stream()
                .map(Chosen::name)
                .map(each -> letters == ShortNames.Letters.ASCII ? each : each.toUpperCase(Locale.ROOT))
                .toList();
        return ShortNames.of(names, length, letters).stream()
                .map(ShortNames.Named::name)
                .toList();
    }
}
