package org.wache.settings;

/** What is looked for in how radios are set. */
public enum SettingRule {
    TIME_OUT_OFF("time-out-off"),
    TIME_OUT_LONG("time-out-long"),
    VOICE_KEYING("voice-keying"),
    ROGER_TONE("roger-tone"),
    BUSY_LOCKOUT("busy-lockout"),
    TRANSMIT_OPEN("transmit-open"),
    SQUELCH_TIGHT("squelch-tight"),
    SAVER("saver"),
    TALKS_LAST_HEARD("talks-last-heard"),
    /** A wish that the model cannot fulfil. */
    CANNOT("cannot");

    private final String text;

    SettingRule(String text) {
        this.text = text;
    }

    /** As written in files. */
    public String text() {
        return text;
    }
}
