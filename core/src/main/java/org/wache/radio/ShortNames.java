package org.wache.radio;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Names for a radio's display: shortened by rule until they fit, in letters that it has, each different from the others.
 * The rules in their order: usual short forms, no blanks, R for RPT, no vowels inside words, a cut; where the cut makes two
 * names one, what makes them differ stays and what they share gives way.
 */
public final class ShortNames {

    /** The characters that a display has. */
    public enum Letters {
        /** Capitals and digits only. */
        CAPITALS("A–Z 0–9", "[^A-Z0-9]"),
        /** Capitals, digits and a few marks. */
        CAPITALS_AND_MARKS("A–Z 0–9 and - + / . blank", "[^A-Z0-9 +/.\\-]"),
        /** Both cases and the marks of ASCII. */
        ASCII("all of ASCII", "[^ -~]");

        private final String title;
        private final String others;

        Letters(String title, String others) {
            this.title = title;
            this.others = others;
        }

        /** What they are, in words. */
        public String title() {
            return title;
        }

        /** Whether the display has all characters of a text. */
        public boolean have(String text) {
            return !text.matches("(?s).*" + others + ".*");
        }
    }

    /** Usual short forms. Common practice, no source. */
    private static final Map<String, String> SHORT = new LinkedHashMap<>();

    static {
        String forms =
                "repeater=RPT rptr=RPT channel=CH weather=WX simplex=SX direct=DIR north=N south=S east=E west=W northern=N"
                        + " southern=S eastern=E western=W central=CTR center=CTR centre=CTR county=CO emergency=EMRG mountain=MTN mount=MT"
                        + " valley=VLY calling=CALL tactical=TAC operations=OPS command=CMD hospital=HOSP airport=APT marine=MAR river=RVR"
                        + " bridge=BRG station=STN service=SVC security=SEC control=CTL network=NET digital=DIG packet=PKT gateway=GWY"
                        + " position=POS reports=RPTS report=RPT shelter=SHLT volunteer=VOL household=HH orchard=ORCH upper=UP lower=LO"
                        + " junction=JCT house=HSE hill=HL ridge=RDG lake=LK island=ISL fire=FIRE medical=MED primary=PRI secondary=SEC"
                        + " backup=BK general=GEN maintenance=MNT transport=TRN traffic=TFC gauge=GGE ferry=FRY";
        for (String each : forms.split(" ")) {
            SHORT.put(each.substring(0, each.indexOf('=')), each.substring(each.indexOf('=') + 1));
        }
    }

    /** Short forms that stay in capitals among small letters. */
    private static final Set<String> INITIALS =
            Set.of("RPT", "CH", "WX", "SX", "N", "S", "E", "W", "CO", "TAC", "OPS", "HH", "TFC");

    private ShortNames() {}

    /**
     * A name for a display.
     *
     * @param name the new name
     * @param how what was done, in words; empty when nothing had to be
     */
    public record Named(String name, List<String> how) {}

    /**
     * Shortens names.
     *
     * @param names the names as they are
     * @param length characters of the display, at least 1
     * @throws IllegalArgumentException when the length is below 1
     */
    public static List<Named> of(List<String> names, int length, Letters letters) {
        if (length < 1) {
            throw new IllegalArgumentException("A display has at least one character, not " + length);
        }
        List<Named> shortened =
                names.stream().map(name -> one(name, length, letters)).toList();
        List<Named> told = apart(names, shortened, length, letters);
        List<Named> all = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (Named each : told) {
            all.add(unique(each, taken::add, length));
        }
        return all;
    }

    /** Where the cut made different names one, what they have in common gives way to what makes them differ. */
    private static List<Named> apart(List<String> names, List<Named> shortened, int length, Letters letters) {
        Map<String, List<Integer>> alike = new LinkedHashMap<>();
        for (int i = 0; i < shortened.size(); i++) {
            alike.computeIfAbsent(shortened.get(i).name(), any -> new ArrayList<>())
                    .add(i);
        }
        List<Named> told = new ArrayList<>(shortened);
        for (List<Integer> group : alike.values()) {
            List<String> full =
                    group.stream().map(i -> lettersOf(names.get(i), letters)).toList();
            if (full.stream().distinct().count() < 2) {
                continue;
            }
            List<String> parted =
                    Differing.of(full.stream().map(ShortNames::words).toList(), length);
            if (Set.copyOf(parted).size() == full.stream().distinct().count()) {
                for (int i = 0; i < group.size(); i++) {
                    List<String> how =
                            new ArrayList<>(shortened.get(group.get(i)).how());
                    how.add("what makes it differ kept");
                    told.set(group.get(i), new Named(parted.get(i), how));
                }
            }
        }
        return told;
    }

    /** The words of a name in their usual short forms. */
    private static List<String> words(String name) {
        List<String> words = new ArrayList<>();
        for (String word : name.split("[ _/-]+")) {
            String form = SHORT.getOrDefault(word.toLowerCase(Locale.ROOT), word);
            boolean small = !name.equals(name.toUpperCase(Locale.ROOT)) && !INITIALS.contains(form);
            words.add(
                    form.isEmpty() || !small
                            ? form
                            : form.charAt(0) + form.substring(1).toLowerCase(Locale.ROOT));
        }
        return words;
    }

    /**
     * Shortens one name so that it is none of those taken.
     *
     * @throws IllegalArgumentException when the length is below 1
     */
    public static Named of(String name, int length, Letters letters, Set<String> taken) {
        return unique(of(List.of(name), length, letters).get(0), candidate -> !taken.contains(candidate), length);
    }

    private static Named one(String name, int length, Letters letters) {
        List<String> how = new ArrayList<>();
        String now = lettersOf(name, letters);
        if (!now.equals(name.strip())) {
            how.add("in the display's letters");
        }
        if (now.length() > length) {
            String words = shortForms(now, length);
            if (!words.equals(now)) {
                how.add("short forms");
                now = words;
            }
        }
        if (now.length() > length && now.indexOf(' ') >= 0) {
            how.add("no blanks");
            now = withoutBlanks(now, length);
        }
        if (now.length() > length && now.matches("(?i).+rpt")) {
            how.add("R for repeater");
            now = now.substring(0, now.length() - 2).replaceFirst("r$", "R");
        }
        if (now.length() > length) {
            String bare = withoutVowels(now, length);
            if (!bare.equals(now)) {
                how.add("vowels left out");
                now = bare;
            }
        }
        if (now.length() > length) {
            how.add("cut");
            now = cut(now, length);
        }
        return new Named(now.strip(), how);
    }

    private static String lettersOf(String name, Letters letters) {
        String plain = Normalizer.normalize(
                        name.strip()
                                .replace("ß", "ss")
                                .replace("æ", "ae")
                                .replace("Æ", "AE")
                                .replace("ø", "o")
                                .replace("Ø", "O")
                                .replace('–', '-')
                                .replace('—', '-')
                                .replace('’', '\''),
                        Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "");
        String cased = letters == Letters.ASCII ? plain : plain.toUpperCase(Locale.ROOT);
        return cased.replaceAll(letters.others, letters == Letters.CAPITALS ? "" : " ")
                .replaceAll(" +", " ")
                .strip();
    }

    private static String shortForms(String name, int length) {
        String[] words = name.split(" ");
        boolean capitals = name.equals(name.toUpperCase(Locale.ROOT));
        for (int i = words.length - 1;
                i >= 0 && String.join(" ", words).length() > length;
                i--) { // the last word tells least
            String form = SHORT.get(words[i].toLowerCase(Locale.ROOT));
            if (form != null && form.length() < words[i].length()) {
                words[i] = capitals || INITIALS.contains(form)
                        ? form
                        : form.charAt(0) + form.substring(1).toLowerCase(Locale.ROOT);
            }
        }
        return String.join(" ", words);
    }

    /** Words run together, from the end on, with a capital where one began. */
    private static String withoutBlanks(String name, int length) {
        StringBuilder text = new StringBuilder(name);
        for (int i = text.lastIndexOf(" "); i >= 0 && text.length() > length; i = text.lastIndexOf(" ")) {
            text.deleteCharAt(i);
            if (i < text.length()) {
                text.setCharAt(i, Character.toUpperCase(text.charAt(i)));
            }
        }
        return text.toString();
    }

    /** Vowels inside words go, the last one first, never the first letter of a word. */
    private static String withoutVowels(String name, int length) {
        StringBuilder text = new StringBuilder(name);
        for (int i = text.length() - 1; i > 0 && text.length() > length; i--) {
            char before = text.charAt(i - 1);
            boolean inside = Character.isLetter(before)
                    && !(Character.isLowerCase(before) && Character.isUpperCase(text.charAt(i)));
            if (inside && "aeiouAEIOU".indexOf(text.charAt(i)) >= 0) {
                text.deleteCharAt(i);
            }
        }
        return text.toString();
    }

    /** The end goes, but a number at the end stays: it tells channels apart. */
    private static String cut(String name, int length) {
        String digits = name.replaceFirst("^.*?([0-9]*)$", "$1");
        return digits.isEmpty() || digits.length() >= length
                ? name.substring(0, length)
                : name.substring(0, length - digits.length()) + digits;
    }

    private static Named unique(Named named, Predicate<String> free, int length) {
        if (free.test(named.name())) {
            return named;
        }
        for (int number = 2; ; number++) {
            String digits = Integer.toString(number);
            String room =
                    named.name().substring(0, Math.max(0, Math.min(named.name().length(), length - digits.length())));
            String candidate = digits.length() > length ? digits : room + digits;
            if (free.test(candidate)) {
                List<String> how = new ArrayList<>(named.how());
                how.add("a number, because another has that name");
                return new Named(candidate, how);
            }
        }
    }
}
