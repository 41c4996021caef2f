package org.wache.audit;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.rulebook.BandService;
import org.wache.signal.Frequency;

/** Lists made from a seed: near edges and channels and everywhere else, with good and bad texts in every field. */
public final class RandomLists {

    private static final String[] MODES = {
        "FM", "NFM", "AM", "USB", "LSB", "CW", "DMR", "P25", "NXDN", "DV", "PKT", "DATA", "", "WFM"
    };
    private static final String[] TONES = {"", "", "", "67.0", "100.0", "103.5", "D023", "D047I", "D645", "27", "x"};
    private static final String[] POWERS = {"", "0.5", "2", "5", "25", "50", "100", "300", "2000", "5W"};
    private static final String[] HOLDERS = {
        "nobody",
        "gmrs",
        "amateur:novice",
        "amateur:technician",
        "amateur:general",
        "amateur:advanced",
        "amateur:extra",
        "amateur:general,gmrs"
    };
    private static final String[] STRANGE = {
        "", "=1+1", "'=x", "a,b;c\td", "\"q\"", "line\nbreak", "Ünï ☂", "-", " ", "@cmd"
    };

    private final Random random;

    /** The same lists for the same seed. */
    public RandomLists(long seed) {
        this.random = new Random(seed);
    }

    <T> T one(T[] of) {
        return of[random.nextInt(of.length)];
    }

    /** Near band edges, channels and everywhere else. */
    private Frequency frequency() {
        BandService amateur =
                (BandService) Audits.edition(Audits.DAY).service("amateur").orElseThrow();
        return switch (random.nextInt(4)) {
            case 0 -> {
                var grant = amateur.grants().get(random.nextInt(amateur.grants().size()));
                long edge =
                        random.nextBoolean() ? grant.span().low() : grant.span().high();
                yield new Frequency(edge + random.nextInt(40_001) - 20_000);
            }
            case 1 ->
                new Frequency(462_550_000 + 12_500L * random.nextInt(16) + (random.nextBoolean() ? 5_000_000 : 0));
            case 2 -> new Frequency(144_000_000 + 5_000L * random.nextInt(801));
            default -> new Frequency(25_000_000 + random.nextInt(900_000_000));
        };
    }

    /** One entry. */
    public Channel channel(int number) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        Frequency receive = frequency();
        texts.put(Field.NUMBER, Integer.toString(random.nextInt(8) == 0 ? 1 : number));
        texts.put(Field.NAME, one(STRANGE));
        texts.put(Field.RX_MHZ, random.nextInt(20) == 0 ? one(STRANGE) : receive.megahertz());
        texts.put(
                Field.TX_MHZ,
                switch (random.nextInt(4)) {
                    case 0 -> "";
                    case 1 ->
                        receive.plus(random.nextBoolean() || receive.hertz() < 1_000_000 ? 600_000 : -600_000)
                                .megahertz();
                    default -> receive.megahertz();
                });
        texts.put(Field.MODE, one(MODES));
        texts.put(Field.POWER_W, one(POWERS));
        texts.put(Field.TX_TONE, one(TONES));
        texts.put(Field.RX_TONE, one(TONES));
        texts.put(Field.TIMEOUT_S, random.nextBoolean() ? "0" : "120");
        texts.put(Field.NOTE, one(STRANGE));
        return Channel.of(texts, List.of(one(STRANGE)));
    }

    ChannelList list() {
        List<Channel> channels = new ArrayList<>();
        for (int i = 1; i <= 25; i++) {
            channels.add(channel(i));
        }
        return new ChannelList("random", List.of("extra"), channels);
    }

    /** Somebody with licences, as on the command line. */
    String holder() {
        return one(HOLDERS);
    }

    /** A whole number from 0 up to, not including, the bound. */
    int upTo(int bound) {
        return random.nextInt(bound);
    }
}
