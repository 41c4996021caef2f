package org.wache.benchmarks;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.wache.audit.Auditor;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;
import org.wache.licence.Holder;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.signal.Frequency;
import org.wache.site.SiteStudy;

/**
 * Seeded lists for the benchmarks. Like a large collection of channels: half of it listening entries spread over
 * VHF and UHF, three tenths repeaters on the plan's rasters, two tenths direct or personal radio, and one entry in
 * twenty with a slip. There are far more entries than channels, so about half of them have a finding: another entry on
 * the same frequencies with another tone.
 */
final class Lists {

    static final LocalDate DAY = LocalDate.of(2026, 11, 25);
    private static final String HEADER =
            "number,name,rx_mhz,tx_mhz,mode,emission,power_w,tx_tone,rx_tone,use,service,scan,timeout_s,note\n";
    private static final String[] TONES = {
        "67.0", "77.0", "88.5", "100.0", "103.5", "107.2", "114.8", "123.0", "131.8", "141.3", "151.4", "162.2",
        "173.8", "186.2", "203.5", "D023", "D054", "D114", "D156", "D205"
    };

    private Lists() {}

    /** A list of so many entries as CSV. */
    static byte[] csv(int entries) {
        Random random = new Random(entries);
        StringBuilder text = new StringBuilder(entries * 80).append(HEADER);
        for (int i = 1; i <= entries; i++) {
            row(text, i, random);
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void row(StringBuilder text, int number, Random random) {
        boolean slip = random.nextInt(20) == 0;
        String tone = TONES[random.nextInt(TONES.length)];
        switch (random.nextInt(10)) {
            case 0, 1, 2 -> {
                boolean two = random.nextInt(4) == 0;
                long output =
                        two ? 146_610_000 + 15_000L * random.nextInt(25) : 442_000_000 + 12_500L * random.nextInt(240);
                long offset = two ? -600_000 : 5_000_000;
                write(text, number, output, output + (slip ? -offset : offset), "FM", "5", tone, "");
            }
            case 3 -> {
                long direct = 144_150_000 + 500L * random.nextInt(200);
                write(text, number, direct, direct, slip ? "FM" : "USB", "25", "", "");
            }
            case 4 -> {
                long channel = 462_562_500 + 25_000L * random.nextInt(7);
                write(text, number, channel, channel, "NFM", slip ? "5" : "2", tone, tone);
            }
            default -> write(text, number, 150_000_000 + 2_500L * random.nextInt(140_000), 0, "NFM", "", "", "");
        }
    }

    private static void write(
            StringBuilder text,
            int number,
            long receive,
            long transmit,
            String mode,
            String power,
            String sends,
            String opens) {
        text.append(number).append(",Channel ").append(number).append(',');
        megahertz(text, receive);
        text.append(',');
        if (transmit > 0) {
            megahertz(text, transmit);
        }
        text.append(',')
                .append(mode)
                .append(",,")
                .append(power)
                .append(',')
                .append(sends)
                .append(',')
                .append(opens)
                .append(",,,yes,")
                .append(transmit > 0 ? "180" : "")
                .append(",from the valley's own list\n");
    }

    private static void megahertz(StringBuilder text, long hertz) {
        text.append(hertz / 1_000_000).append('.').append(Long.toString(1_000_000 + hertz % 1_000_000), 1, 7);
    }

    /** An auditor for so many holders of the usual kinds. */
    static Auditor auditor(int holders) {
        String[] kinds = {
            "amateur:technician", "amateur:general", "amateur:extra", "gmrs", "amateur:technician,gmrs", "nobody"
        };
        Edition edition = RulebookReader.shipped("us").on(DAY);
        List<Holder> all = new ArrayList<>();
        for (int i = 0; i < holders; i++) {
            Holder kind = HolderShorthand.holder(kinds[i % kinds.length], edition);
            all.add(new Holder("Holder " + i, kind.licences()));
        }
        return new Auditor(Register.ALL, AuditContext.of(edition, DAY, all));
    }

    /** How often the transmitters of a site of so many pairs reach its receivers; half of them are wide, half narrow. */
    static long interference(int pairs) {
        java.util.Random random = new java.util.Random(1);
        List<Channel> channels = new java.util.ArrayList<>();
        for (int i = 0; i < pairs; i++) {
            long transmit = 400_000_000 + 6_250L * random.nextInt(19_000);
            channels.add(Channel.of(Map.of(
                    Field.TX_MHZ,
                    Frequency.megahertz(transmit),
                    Field.RX_MHZ,
                    Frequency.megahertz(transmit - 5_000_000),
                    Field.MODE,
                    i % 2 == 0 ? "FM" : "NFM")));
        }
        SiteStudy study = new SiteStudy(
                channels, java.util.stream.IntStream.range(0, pairs).boxed().toList(), List.of());
        return study.receivers().stream()
                .mapToLong(each -> study.at(each).total())
                .sum();
    }
}
