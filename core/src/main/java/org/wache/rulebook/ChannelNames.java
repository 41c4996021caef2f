package org.wache.rulebook;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.signal.Frequency;

/**
 * What personal radios call their channels, in every scheme.
 *
 * @param schemes the schemes, the common one first
 * @param channels the channels in the order of the common scheme
 * @param busy frequencies on which there is more talk than elsewhere, and why
 */
public record ChannelNames(List<Scheme> schemes, List<Named> channels, Map<Frequency, String> busy) {

    /**
     * A way of naming channels.
     *
     * @param id identifier
     * @param title what it is called here
     * @param words how it goes
     */
    public record Scheme(String id, String title, String words) {}

    /**
     * A channel with its names.
     *
     * @param receive where a radio listens
     * @param transmit where it talks: the same, or a repeater's input
     * @param names name by scheme; a scheme that has none for it is missing
     */
    public record Named(Frequency receive, Frequency transmit, Map<String, String> names) {}

    public ChannelNames {
        schemes = List.copyOf(schemes);
        channels = List.copyOf(channels);
        busy = Map.copyOf(busy);
    }

    static ChannelNames read(Row file) {
        List<Scheme> schemes = file.rows("schemes").stream()
                .map(row -> new Scheme(row.text("id"), row.text("title"), row.text("say")))
                .toList();
        List<Named> channels = new ArrayList<>();
        for (Row row : file.rows("channels")) {
            Map<String, String> names = new LinkedHashMap<>();
            Row given = row.row("names");
            given.keys().forEach(key -> names.put(key, given.text(key)));
            Frequency receive = row.frequency("mhz");
            channels.add(new Named(receive, row.has("pair_mhz") ? row.frequency("pair_mhz") : receive, names));
        }
        Map<Frequency, String> busy = new LinkedHashMap<>();
        file.rows("busy").forEach(row -> busy.put(row.frequency("mhz"), row.text("why")));
        return new ChannelNames(schemes, channels, busy);
    }

    /** All channels that a name may mean, in any scheme and any case: {@code R2}, {@code 24}, {@code RPT16}. */
    public List<Named> called(String name) {
        return channels.stream()
                .filter(each -> each.names().values().stream().anyMatch(name.trim()::equalsIgnoreCase))
                .toList();
    }

    /** The channel on these frequencies. */
    public Optional<Named> on(Frequency receive, Frequency transmit) {
        return channels.stream()
                .filter(each ->
                        each.receive().equals(receive) && each.transmit().equals(transmit))
                .findFirst();
    }
}
