package org.wache.radio;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What a setting of a radio that belongs to no channel is for. */
public enum SettingKind {
    SQUELCH("squelch", "Squelch", Form.CHOICE),
    VOICE_KEYING("voice-keying", "Voice-operated keying (VOX)", Form.SWITCH),
    TIME_OUT("time-out", "Time-out timer", Form.SECONDS),
    BUSY_LOCKOUT("busy-lockout", "Busy lockout", Form.SWITCH),
    SECOND_WATCH("second-watch", "Dual watch", Form.SWITCH),
    /** Meanings: {@code chosen}, the line that is marked; {@code last-heard}, the line on which something was heard. */
    TALK_LINE("talk-line", "Which line transmits", Form.CHOICE),
    STEP("step", "Tuning step", Form.CHOICE),
    KEY_BEEP("key-beep", "Key beep", Form.SWITCH),
    ROGER_TONE("roger-tone", "Roger tone", Form.SWITCH),
    KEY_LOCK("key-lock", "Key lock", Form.SWITCH),
    BACKLIGHT("backlight", "Backlight", Form.CHOICE),
    BATTERY_SAVER("battery-saver", "Battery saver", Form.SWITCH),
    SIDE_KEY("side-key", "Side key", Form.CHOICE),
    SCAN_KIND("scan-kind", "How a scan goes on", Form.CHOICE),
    SCAN_LIST("scan-list", "Scan list", Form.CHOICE),
    PRIORITY_CHANNEL("priority-channel", "Priority channel", Form.CHOICE),
    WEATHER_ALERT("weather-alert", "Weather alert", Form.SWITCH),
    BAND_POWER("band-power", "Power on a band", Form.CHOICE),
    BAND_TRANSMIT("band-transmit", "Transmit on a band", Form.SWITCH),
    /** The lock of its band limits, by the names of the model's lock modes. */
    BAND_LIMITS("band-limits", "Band limits", Form.CHOICE),
    START_TEXT("start-text", "Start-up text", Form.TEXT);

    /** How its value is said in a profile. */
    public enum Form {
        /** {@code on} or {@code off}, or one of the model's own kinds of on. */
        SWITCH,
        /** One of the model's choices, or what it means. */
        CHOICE,
        /** Seconds, or {@code off}. */
        SECONDS,
        /** Letters. */
        TEXT
    }

    /** Those that switch off or limit where a radio transmits. */
    public static final List<SettingKind> OF_TRANSMITTING = List.of(BAND_TRANSMIT, BAND_LIMITS);

    private final String text;
    private final String label;
    private final Form form;

    SettingKind(String text, String label, Form form) {
        this.text = text;
        this.label = label;
        this.form = form;
    }

    /** As written in files. */
    public String text() {
        return text;
    }

    /** For people. */
    public String label() {
        return label;
    }

    /** How its value is said. */
    public Form form() {
        return form;
    }

    /** The kind that a text names. */
    public static Optional<SettingKind> of(String text) {
        return Arrays.stream(values()).filter(each -> each.text.equals(text)).findFirst();
    }
}
