package org.wache.server.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.random.RandomGenerator;

/**
 * Lists of any length, made from a seed, as files that are taken in like anybody's. Their channels are those of the law and of common
 * practice: pairs of 2 m and 70 cm, direct channels of 2 m, FRS and GMRS, weather; about one entry in ten has a slip.
 */
final class MadeLists {

    private static final String HEADING = "number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,scan,timeout_s,note\n";
    /** 47 CFR 95.563, channels 1 to 7 and 15 to 22 of FRS, in units of 12.5 kHz from 462.5500 MHz. */
    private static final int FRS_LOW_HZ = 462_550_000;

    private static final int FRS_STEP = 12_500;
    private static final String[] TONES = {"", "88.5", "100.0", "103.5", "114.8", "131.8", "D023"};

    private final RandomGenerator random;

    MadeLists(RandomGenerator random) {
        this.random = random;
    }

    /** A list of anything, with slips. */
    byte[] mixed(int entries) {
        StringBuilder text = new StringBuilder(HEADING);
        for (int i = 1; i <= entries; i++) {
            text.append(line(i, random.nextInt(100))).append('\n');
        }
        return text.toString().getBytes(java.nio.charset.StandardCharsets.UTF_8);
    }

    private String line(int number, int kind) {
        if (kind < 40) {
            long output = 146_610_000L + 15_000L * random.nextInt(26);
            long input = output - 600_000 + (random.nextInt(20) == 0 ? 5_000 : 0);
            return line(number, "Rpt", output, input, random.nextInt(12) == 0 ? "NFM" : "FM", "5");
        }
        if (kind < 55) {
            long output = 442_000_000L + 25_000L * random.nextInt(100);
            return line(number, "U", output, output + 5_000_000, "FM", "5");
        }
        if (kind < 75) {
            long direct = 146_415_000L + 15_000L * random.nextInt(12);
            return line(number, "Dir", direct, direct, "FM", random.nextInt(15) == 0 ? "" : "5");
        }
        if (kind < 92) {
            long frs = FRS_LOW_HZ + (long) FRS_STEP * random.nextInt(15);
            return line(
                    number, "F", frs, frs, random.nextInt(8) == 0 ? "FM" : "NFM", random.nextBoolean() ? "2" : "0.5");
        }
        return line(number, "WX", 162_400_000L + 25_000L * random.nextInt(7), 0, "FM", "");
    }

    /** What anybody may key and hear: each FRS channel once, at half a watt, and weather. 47 CFR 95.561 to 95.579. */
    byte[] forAnybody() {
        StringBuilder text = new StringBuilder(HEADING);
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < 15; i++) {
            long frs = FRS_LOW_HZ + (long) FRS_STEP * i;
            lines.add(line(i + 1, "F", frs, frs, "NFM", "0.5").replaceAll(",(D?[0-9.]*),yes", ",,yes"));
        }
        for (int i = 0; i < 3; i++) {
            lines.add(line(16 + i, "WX", 162_400_000L + 25_000L * i, 0, "FM", ""));
        }
        lines.forEach(line -> text.append(line).append('\n'));
        return text.toString().getBytes(java.nio.charset.StandardCharsets.UTF_8);
    }

    private String line(int number, String name, long receive, long transmit, String mode, String watts) {
        String tone = transmit == 0 ? "" : TONES[random.nextInt(TONES.length)];
        return String.join(
                ",",
                Integer.toString(number),
                name + " " + number,
                megahertz(receive),
                transmit == 0 ? "" : megahertz(transmit),
                mode,
                watts,
                tone,
                "yes",
                transmit == 0 ? "" : "180",
                "");
    }

    private static String megahertz(long hertz) {
        return String.format(Locale.ROOT, "%.4f", hertz / 1e6);
    }
}
