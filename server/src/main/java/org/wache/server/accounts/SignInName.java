package org.wache.server.accounts;

import com.ibm.icu.text.SpoofChecker;
import com.ibm.icu.text.SpoofChecker.RestrictionLevel;
import java.text.Normalizer;
import java.util.Locale;
import org.wache.server.web.Refused;
import rocks.xmpp.precis.PrecisProfiles;

/**
 * A name to sign in with: the one spelling that counts (RFC 8265, UsernameCaseMapped: small letters, no blanks, nothing that is not
 * seen), and what it looks like (Unicode Technical Standard 39), so that nobody can take a name that reads like another's.
 *
 * @param key the spelling by which accounts are told apart
 * @param looks the same for all names that look alike
 */
record SignInName(String key, String looks) {

    private static final int LONGEST = 64;
    private static final SpoofChecker CHECKER = new SpoofChecker.Builder()
            .setChecks(SpoofChecker.RESTRICTION_LEVEL
                    | SpoofChecker.INVISIBLE
                    | SpoofChecker.MIXED_NUMBERS
                    | SpoofChecker.HIDDEN_OVERLAY)
            .setRestrictionLevel(RestrictionLevel.HIGHLY_RESTRICTIVE)
            .build();

    /**
     * A new name.
     *
     * @throws Refused when it has blanks, letters of several alphabets, or signs that are not seen
     */
    static SignInName chosen(String text) {
        String key;
        try {
            key = PrecisProfiles.USERNAME_CASE_MAPPED.enforce(text);
        } catch (IllegalArgumentException e) {
            throw new Refused(
                    "A name to sign in with has letters, figures and signs such as “.” or “-”: no blanks, no line breaks, and nothing that is not seen. Choose another.");
        }
        if (key.length() > LONGEST) {
            throw new Refused("A name to sign in with has up to " + LONGEST + " letters.");
        }
        if (CHECKER.failsChecks(key)) {
            throw new Refused(
                    "A name to sign in with keeps to one alphabet, since letters of several look alike. Choose another.");
        }
        return of(key);
    }

    /** A name as it was kept before names had a spelling that counts, or as somebody types it: never refused, found if it is there. */
    static SignInName of(String text) {
        String key;
        try {
            key = PrecisProfiles.USERNAME_CASE_MAPPED.enforce(text);
        } catch (IllegalArgumentException e) {
            key = Normalizer.normalize(text.strip(), Normalizer.Form.NFC).toLowerCase(Locale.ROOT);
        }
        return new SignInName(key, CHECKER.getSkeleton(key));
    }
}
