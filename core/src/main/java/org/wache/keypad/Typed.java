package org.wache.keypad;

import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * What a display of a hand-held is set to, or what a memory holds.
 *
 * @param receive where it hears
 * @param transmit where it talks
 * @param step the step it is tuned in, in hertz
 * @param narrow whether it is narrow
 * @param power the name of the level of power
 * @param sends the tone it sends
 * @param opensOn the tone it opens on
 * @param shift 0, 1 or −1
 * @param offset the offset in hertz, 0 or more
 */
record Typed(
        Frequency receive,
        Frequency transmit,
        int step,
        boolean narrow,
        String power,
        Optional<Tone> sends,
        Optional<Tone> opensOn,
        int shift,
        long offset) {

    Typed at(Frequency frequency) {
        return new Typed(frequency, frequency, step, narrow, power, sends, opensOn, shift, offset);
    }

    Typed talkingOn(Frequency frequency) {
        return new Typed(receive, frequency, step, narrow, power, sends, opensOn, shift, offset);
    }

    Typed stepped(int hertz) {
        return new Typed(receive, transmit, hertz, narrow, power, sends, opensOn, shift, offset);
    }

    Typed narrow(boolean isNarrow) {
        return new Typed(receive, transmit, step, isNarrow, power, sends, opensOn, shift, offset);
    }

    Typed power(String level) {
        return new Typed(receive, transmit, step, narrow, level, sends, opensOn, shift, offset);
    }

    Typed sending(Optional<Tone> tone) {
        return new Typed(receive, transmit, step, narrow, power, tone, opensOn, shift, offset);
    }

    Typed opening(Optional<Tone> tone) {
        return new Typed(receive, transmit, step, narrow, power, sends, tone, shift, offset);
    }

    Typed shifted(int sign) {
        return new Typed(receive, transmit, step, narrow, power, sends, opensOn, sign, offset);
    }

    Typed offset(long hertz) {
        return new Typed(receive, transmit, step, narrow, power, sends, opensOn, shift, hertz);
    }

    /** With the transmit frequency that shift and offset make. */
    Typed withShiftApplied() {
        long hertz = receive.hertz() + shift * offset;
        return talkingOn(new Frequency(Math.max(1, hertz)));
    }
}
