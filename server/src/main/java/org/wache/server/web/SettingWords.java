package org.wache.server.web;

import java.util.LinkedHashMap;
import java.util.Map;

/** What the settings of a list are called on the screen, in place of their places in a context file. */
public final class SettingWords {

    private static final Map<String, String> WORDS = new LinkedHashMap<>();

    static {
        WORDS.put("site.antennaGainDbd", "the antenna gain");
        WORDS.put("site.feedLossDb", "the feed loss");
        WORDS.put("site.antennaHeightM", "the antenna height");
        WORDS.put("site.latitude", "the latitude");
        WORDS.put("site.longitude", "the longitude");
        WORDS.put("site.radiusKm", "the radius");
        WORDS.put("houseRules.maxTimeoutS", "the longest time-out");
        WORDS.put("houseRules.twoMetreRasterKhz", "the raster on 2 m");
        WORDS.put("unitsInUse", "the number of radios in use");
    }

    private SettingWords() {}

    /** A message in the words of the screen. */
    public static String of(String message) {
        String words = message;
        for (Map.Entry<String, String> each : WORDS.entrySet()) {
            words = words.replace(each.getKey(), each.getValue());
        }
        return words;
    }

    /** A message in the words of the screen, as a sentence. */
    public static String sentence(String message) {
        String words = of(message);
        return words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1) + ".";
    }
}
