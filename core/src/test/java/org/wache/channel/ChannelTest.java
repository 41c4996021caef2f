package org.wache.channel;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/** An entry that was changed is the entry that would have been read so at once: nothing is carried over that depends on what changed. */
class ChannelTest {

    private static final Map<Field, List<String>> TEXTS = Map.ofEntries(
            Map.entry(Field.RX_MHZ, List.of("146.520", "146.94", "", "x", " 462.5625 ")),
            Map.entry(Field.TX_MHZ, List.of("146.520", "146.34", "", "x", "0.000001", "14.230")),
            Map.entry(Field.MODE, List.of("FM", "NFM", "USB", "LSB", "DMR", "P25", "NXDN", "", "LOUD")),
            Map.entry(Field.EMISSION, List.of("", "16K0F3E", "11K2F3E", "2K80J3E", "nonsense")),
            Map.entry(Field.POWER_W, List.of("5", "", "0", "50.5")),
            Map.entry(Field.TX_TONE, List.of("", "100.0", "D023", "B1750", "tone")),
            Map.entry(Field.RX_TONE, List.of("", "100.0", "D023I", "B1750")),
            Map.entry(Field.TIMEOUT_S, List.of("", "180", "0", "-1", "long")),
            Map.entry(Field.USE, List.of("", "direct", "repeater", "listen", "other")),
            Map.entry(Field.COLOUR_CODE, List.of("", "1", "16")),
            Map.entry(Field.TIME_SLOT, List.of("", "2", "3")),
            Map.entry(Field.TALK_GROUP, List.of("", "3100")),
            Map.entry(Field.ACCESS_CODE, List.of("", "293", "63", "64", "F7E")),
            Map.entry(Field.NAME, List.of("", "River")));

    @RepeatedTest(60)
    void aChangedEntryIsTheOneThatWouldHaveBeenRead(RepetitionInfo repetition) {
        Random random = new Random(repetition.getCurrentRepetition());
        for (int i = 0; i < 200; i++) {
            Map<Field, String> before = some(random, 9);
            Map<Field, String> changes = some(random, 2);
            Map<Field, String> after = new EnumMap<>(before);
            after.putAll(changes);
            Channel changed = Channel.of(before).with(changes);
            Channel fresh = Channel.of(after);
            assertThat(said(changed)).as(before + " with " + changes).isEqualTo(said(fresh));
            // and once more from there, as cures are added to cures
            Map<Field, String> more = some(random, 1);
            after.putAll(more);
            assertThat(said(changed.with(more))).isEqualTo(said(Channel.of(after)));
        }
    }

    private static Map<Field, String> some(Random random, int most) {
        Map<Field, String> fields = new EnumMap<>(Field.class);
        TEXTS.forEach((field, texts) -> {
            if (random.nextInt(10) < most) {
                // the first texts are those that can be read: entries in which all was read have to be among them
                int choose = random.nextBoolean() ? 1 + random.nextInt(2) : texts.size();
                fields.put(field, texts.get(random.nextInt(Math.min(choose, texts.size()))));
            }
        });
        return fields;
    }

    private static List<Object> said(Channel channel) {
        return List.of(
                channel.texts(),
                channel.misreads(),
                channel.receive(),
                channel.transmit(),
                channel.mode(),
                channel.emission(),
                channel.power(),
                channel.sends(),
                channel.opensOn(),
                channel.timeout(),
                channel.use(),
                channel.digital(),
                channel.occupied());
    }
}
