package org.wache.server.bench;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.wache.bench.image.Loading;
import org.wache.bench.image.RadioImage;
import org.wache.bench.image.StoredChannel;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.CsvLists;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** What was in a radio, as a list that can be audited or brought in. */
final class SavedLists {

    private SavedLists() {}

    static String csv(RadioImage image, RadioModel model) {
        return CsvLists.write(new ChannelList("saved", List.of(), channels(image, model)));
    }

    /** What is in each memory that holds something. */
    static List<Channel> channels(RadioImage image, RadioModel model) {
        List<Channel> channels = new ArrayList<>();
        image.entries().forEach((memory, stored) -> channels.add(channel(memory, stored, model)));
        return channels;
    }

    private static Channel channel(int memory, StoredChannel stored, RadioModel model) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        texts.put(Field.NUMBER, Integer.toString(memory));
        texts.put(Field.NAME, stored.name());
        texts.put(Field.RX_MHZ, stored.receive().megahertz());
        texts.put(Field.TX_MHZ, stored.transmit().map(Frequency::megahertz).orElse(""));
        texts.put(Field.MODE, stored.mode().name());
        texts.put(
                Field.POWER_W,
                Loading.output(model, stored).map(watts -> watts.number()).orElse(""));
        texts.put(Field.TX_TONE, stored.sends().map(Tone::text).orElse(""));
        texts.put(Field.RX_TONE, stored.opensOn().map(Tone::text).orElse(""));
        texts.put(Field.SCAN, stored.scan() ? "yes" : "no");
        texts.put(Field.TIMEOUT_S, stored.transmit().isPresent() ? Integer.toString(stored.timeoutS()) : "");
        texts.put(Field.ZONE, stored.zone() == 0 ? "" : Integer.toString(stored.zone()));
        return Channel.of(texts);
    }
}
