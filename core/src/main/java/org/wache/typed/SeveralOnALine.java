package org.wache.typed;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.wache.audit.context.HouseRules;
import org.wache.rulebook.Edition;

/** Several entries that are named on one line: parted by marks, a range of channels, channels one after the other. */
final class SeveralOnALine {

    private static final int LONGEST_RANGE = 100;
    private static final String SERVICE = "\\s*([a-z][a-z-]*)\\s*(?:ch(?:an(?:nel)?)?s?\\.?\\s*)?#?";
    /** “FRS 1 to 16”; what follows holds for each. */
    private static final Pattern RANGE = Pattern.compile(
            SERVICE
                    + "([0-9]{1,3})\\s*(?:to|thru|through|until|till|\\.{2,3}|\u2026|\u2192)\\s*(?:[a-z-]+\\s*)?#?([0-9]{1,3})\\b(.*)",
            Pattern.CASE_INSENSITIVE);
    /** “FRS 1, 2 and 7”. */
    private static final Pattern ENUMERATED = Pattern.compile(
            SERVICE + "([0-9]{1,3}[a-z]?(?:\\s*(?:,|&|\\+|,?\\s*\\band\\b)\\s*#?[0-9]{1,3}[a-z]?)+)\\s*",
            Pattern.CASE_INSENSITIVE);

    /** A service and a number. */
    private static final Pattern NAMED = Pattern.compile(SERVICE + "[0-9]{1,3}\\b.*", Pattern.CASE_INSENSITIVE);

    private SeveralOnALine() {}

    /** The entries of a line, each as a line of its own; the line itself where it is one. */
    static List<String> of(String line, Edition edition) {
        List<String> parts = Arrays.stream(line.split("[;\t]"))
                .map(String::strip)
                .filter(part -> !part.isEmpty())
                .toList();
        boolean several = parts.size() > 1
                && parts.stream()
                        .flatMap(part -> channels(part, edition).stream())
                        .allMatch(part -> isEntry(part, edition) || namesAChannel(part, edition));
        return (several ? parts.stream() : Stream.of(line.strip()))
                .flatMap(part -> channels(part, edition).stream())
                .toList();
    }

    private static boolean isEntry(String part, Edition edition) {
        return AddLine.read(part, edition, HouseRules.NONE).best().problem().isEmpty();
    }

    /** “gmrs 99” means an entry of its own, though there is none: what it says is not to be read into the entry before it. */
    private static boolean namesAChannel(String part, Edition edition) {
        Matcher named = NAMED.matcher(AddLine.withoutBullet(part));
        return named.matches() && isService(named.group(1), edition);
    }

    private static List<String> channels(String part, Edition edition) {
        String bare = AddLine.withoutBullet(part);
        Matcher range = RANGE.matcher(bare);
        if (range.matches() && isService(range.group(1), edition)) {
            int from = Integer.parseInt(range.group(2));
            int to = Integer.parseInt(range.group(3));
            int step = Integer.signum(to - from);
            return step != 0 && Math.abs(to - from) < LONGEST_RANGE
                    ? IntStream.rangeClosed(0, Math.abs(to - from))
                            .mapToObj(i -> range.group(1) + " " + (from + step * i) + range.group(4))
                            .toList()
                    : List.of(part);
        }
        Matcher each = ENUMERATED.matcher(bare);
        if (!each.matches() || !isService(each.group(1), edition)) {
            return List.of(part);
        }
        List<String> names = Arrays.stream(each.group(2).split("(?i)[\\s,&+#]+(?:and\\b[\\s#]*)?"))
                .filter(name -> !name.isEmpty())
                .toList();
        return names.stream().allMatch(name -> isChannel(each.group(1), name, edition)) // else it is a tone
                ? names.stream().map(name -> each.group(1) + " " + name).toList()
                : List.of(part);
    }

    private static boolean isChannel(String service, String name, Edition edition) {
        return Channels.of(edition, service.toLowerCase(Locale.ROOT), name.toLowerCase(Locale.ROOT), false)
                .isPresent();
    }

    private static boolean isService(String word, Edition edition) {
        return Channels.isService(edition, word.toLowerCase(Locale.ROOT));
    }
}
