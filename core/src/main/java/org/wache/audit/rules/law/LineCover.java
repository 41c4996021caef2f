package org.wache.audit.rules.law;

import org.wache.signal.Emission;

/** How the emission of a licence line stands to one that is sent: by what each carries, symbol by symbol (47 CFR 2.201). */
enum LineCover {
    /** The line's emission takes it in. */
    COVERED,
    /** The same message by a modulation that the line does not name: the licensee has to say. */
    UNSURE,
    /** Another kind of message. */
    NOT_COVERED;

    private static final String DIGITAL = "127";
    private static final String ANGLE = "FG";

    /** The cover of everything but the width. */
    static LineCover of(Emission line, Emission sent) {
        return worse(
                worse(modulation(symbol(line, 0), symbol(sent, 0)), nature(symbol(line, 1), symbol(sent, 1))),
                information(symbol(line, 2), symbol(sent, 2)));
    }

    private static char symbol(Emission emission, int index) {
        return emission.kind().charAt(index);
    }

    private static LineCover modulation(char line, char sent) {
        if (line == sent || line == 'X') {
            return COVERED;
        }
        return ANGLE.indexOf(line) >= 0 && ANGLE.indexOf(sent) >= 0 ? UNSURE : NOT_COVERED;
    }

    /** Seven is several digital channels: one of them is within it. Nine and X are combinations and what no figure names. */
    private static LineCover nature(char line, char sent) {
        if (line == sent || line == '7' && DIGITAL.indexOf(sent) >= 0 || line == '9') {
            return COVERED;
        }
        boolean bothDigital = DIGITAL.indexOf(line) >= 0 && DIGITAL.indexOf(sent) >= 0;
        boolean named = line == 'X' || sent == 'X' || sent == '9';
        return bothDigital || named && line != '3' && sent != '3' ? UNSURE : NOT_COVERED;
    }

    /** W is a combination of the others. */
    private static LineCover information(char line, char sent) {
        return line == sent || line == 'W' ? COVERED : sent == 'W' ? UNSURE : NOT_COVERED;
    }

    private static LineCover worse(LineCover one, LineCover other) {
        return one.compareTo(other) >= 0 ? one : other;
    }
}
