package org.wache.typed;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Field;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Listening;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * One line as people write an entry: {@code 146.94 - 100}, {@code gmrs 16 rpt 141.3}, {@code 451.8 n d023}. Words stand in
 * any order behind the frequency or channel; what is not understood becomes the name.
 */
public final class AddLine {

    private static final int LONGEST = 400;
    private static final java.util.Set<String> RANGE_WORDS = java.util.Set.of("to", "thru", "through", "until", "till");
    private static final Pattern TOKEN = Pattern.compile("\"([^\"]*)\"|[^\\s;|]+");
    private static final Pattern LEADING_NUMBER = Pattern.compile("^\\s*#?([0-9]{1,4})\\s*[.):]\\s+(?=\\S)");
    private static final Pattern WRITTEN_OUT = Pattern.compile("[0-9]{1,4}[.,][0-9]{2,6}(?:mhz)?");
    private static final Pattern WITH_SIGN =
            Pattern.compile("([0-9]{1,4}[.,][0-9]{1,6}(?:mhz)?)\\(?([+-][0-9.,]*(?:mhz|khz|m|k)?)\\)?r?");
    private static final Pattern TWO =
            Pattern.compile("([0-9]{1,4}[.,][0-9]{2,6})/([0-9]{1,4}[.,][0-9]{2,6}|[0-9]{2,3})");
    private static final Pattern WITH_CODE = Pattern.compile("([0-9]{1,2})[-/]([0-9]{1,2})");
    private static final Pattern TWO_TONES = Pattern.compile("([^/]+)/([^/]+)");
    private static final Pattern SIZE =
            Pattern.compile("[0-5]?[0-9]?(?:[.,][0-9]{1,4})?(?:mhz|m)?|[0-9]{2,4}(?:khz|k)|100[0]|1600|[56]00");

    /** What can only have been meant as a figure. */
    private static final Pattern LEFT_OVER = Pattern.compile("[0-9]+[.,][0-9]+(?:hz)?");

    private final Edition edition;
    private final HouseRules house;
    private final Sketch sketch;
    private final List<String> words;
    private final List<String> name = new ArrayList<>();
    private int at;
    private int tones;
    private boolean service;
    private Optional<String> fault = Optional.empty();

    private AddLine(Edition edition, HouseRules house, List<String> words, Sketch sketch) {
        this.edition = edition;
        this.sketch = sketch;
        this.house = house;
        this.words = words;
    }

    /**
     * What a line may mean.
     *
     * @param best what it is taken for
     * @param others what else it could be, when it is a bare channel number
     */
    public record Meaning(Understood best, List<Understood> others) {}

    /** Reads a line under a rulebook and house rules. */
    public static Meaning read(String line, Edition edition, HouseRules house) {
        if (line.isBlank()) {
            return new Meaning(
                    Understood.not("Write a frequency or a channel"
                            + edition.country().examples().stream()
                                    .limit(2)
                                    .reduce((one, other) -> one + " or " + other)
                                    .map(some -> ", such as " + some)
                                    .orElse("")
                            + "."),
                    List.of());
        }
        if (line.length() > LONGEST) {
            return new Meaning(Understood.not("A line has up to " + LONGEST + " characters."), List.of());
        }
        Sketch sketch = new Sketch();
        List<String> words = Phrases.plainly(split(withoutNumber(line, sketch)), edition, sketch);
        if (words.isEmpty()) {
            return new Meaning(Understood.not("A frequency or a channel is missing."), List.of());
        }
        AddLine reading = new AddLine(edition, house, words, sketch);
        Understood best = reading.understood();
        return new Meaning(best, best.problem().isPresent() ? List.of() : others(edition, house, words));
    }

    /**
     * The entries of what was typed or pasted: a line each, without bullets; those of one line that are parted by
     * semicolons or tabs, where each part is an entry by itself; and each channel of “FRS 1 to 16”.
     */
    public static List<String> parts(String text, Edition edition) {
        List<String> all = new ArrayList<>();
        for (String line : text.split("\\R")) {
            if (!line.isBlank()) {
                all.addAll(SeveralOnALine.of(line, edition));
            }
        }
        return all;
    }

    /** The line behind a number that it begins with, which goes into the sketch, or behind a bullet. */
    private static String withoutNumber(String line, Sketch sketch) {
        Matcher numbered = LEADING_NUMBER.matcher(line);
        if (numbered.find()) {
            sketch.text(Field.NUMBER, numbered.group(1));
            return line.substring(numbered.end());
        }
        return withoutBullet(line);
    }

    static String withoutBullet(String line) {
        return line.replaceFirst("^\\s*[-*\u2022\u00b7\u2013]\\s+(?=\\S)", "");
    }

    /** The words that are left for the name, without marks around them. */
    private String called() {
        return String.join(" ", name)
                .replaceFirst("^[-:,\u2013\u2014\\s]+", "")
                .replaceFirst("[-:,\u2013\u2014\\s]+$", "");
    }

    /**
     * Adds what a piece of text says to a sketch: a cell that holds a frequency with its sign and tone, or a channel's name.
     *
     * @return why it cannot be read
     */
    public static Optional<String> into(Sketch sketch, String text, Edition edition) {
        List<String> words = Phrases.plainly(split(withoutNumber(text, sketch)), edition, sketch);
        AddLine reading = new AddLine(edition, HouseRules.NONE, words, sketch);
        Optional<String> problem = reading.takeAll();
        if (problem.isEmpty() && !reading.called().isEmpty() && !sketch.has(Field.NAME)) {
            sketch.otherwiseCalled(reading.called());
        }
        return problem;
    }

    private static List<String> split(String line) {
        List<String> words = new ArrayList<>();
        Matcher token = TOKEN.matcher(line.replaceAll(",(?=\\s)|,$", " "));
        while (token.find()) {
            words.add(token.group(1) == null ? token.group() : "\"" + token.group(1));
        }
        return words;
    }

    /** A bare number names channels of several services; the personal radio channel is taken first. */
    private static List<Understood> others(Edition edition, HouseRules house, List<String> words) {
        if (!words.get(0).matches("[0-9]{1,2}[aA]?")
                || words.stream()
                        .anyMatch(word -> WRITTEN_OUT.matcher(Plain.of(word)).matches())) {
            return List.of();
        }
        List<Understood> all = new ArrayList<>();
        List<String> tables = new ArrayList<>(edition.services().stream()
                .filter(each -> each instanceof ChannelService && !each.traits().needsLicence())
                .map(Service::id)
                .filter(id -> edition.channelNames().channels().isEmpty() || !named(edition, id))
                .toList());
        edition.listening().tables().stream().map(Listening.Table::words).forEach(each -> tables.add(each.get(0)));
        for (String table : tables) {
            List<String> longer = new ArrayList<>(List.of(table));
            longer.addAll(words);
            if (Channels.of(edition, table, words.get(0), false).isPresent()) {
                Understood other = new AddLine(edition, house, longer, new Sketch()).understood();
                if (other.problem().isEmpty()) {
                    all.add(other);
                }
            }
        }
        return all;
    }

    /** Whether the service's channels are those that personal radios name by a bare number anyway. */
    private static boolean named(Edition edition, String service) {
        return edition.channelNames().channels().stream().anyMatch(each -> edition.servicesAt(each.receive()).stream()
                .anyMatch(there -> there.id().equals(service)));
    }

    private Optional<String> takeAll() {
        while (at < words.size()) {
            Optional<String> problem = take(words.get(at++));
            if (problem.isPresent()) {
                return problem;
            }
        }
        return sketch.receive().isPresent()
                ? Optional.empty()
                : Optional.of(
                        name.isEmpty()
                                ? "A frequency or a channel is missing."
                                : "“" + String.join(" ", name) + "” is no frequency and no channel.");
    }

    private Understood understood() {
        Optional<String> problem = takeAll();
        if (problem.isPresent()) {
            return Understood.not(problem.get());
        }
        setAside();
        String called = called();
        if (!called.isEmpty()) {
            sketch.text(Field.NAME, called).note(Said.plainly(Field.NAME, "called “" + called + "”"));
        }
        return sketch.settle(edition, house, Sketch.Unsaid.BY_PLAN);
    }

    /** A figure that nothing else wanted is no name: it is kept where it is seen. */
    private void setAside() {
        List<String> left =
                name.stream().filter(word -> LEFT_OVER.matcher(word).matches()).toList();
        if (!left.isEmpty()) {
            name.removeAll(left);
            String figures = String.join(" ", left);
            sketch.text(Field.NOTE, "left over: " + figures)
                    .note(Said.doubtful(
                            Field.NOTE,
                            "“" + figures + "” was left over",
                            "it is no tone of the tables, no offset and no frequency, and stands in the note"));
        }
    }

    private String next() {
        return at < words.size() ? Plain.of(words.get(at)) : "";
    }

    private boolean followedByFrequency() {
        return words.subList(at, words.size()).stream()
                .map(Plain::of)
                .anyMatch(word -> WRITTEN_OUT.matcher(word).matches()
                        || WITH_SIGN.matcher(word).matches()
                        || TWO.matcher(word).matches());
    }

    private Optional<String> take(String written) {
        if (written.startsWith("\"")) {
            List<Channels.Named> pair = sketch.receive().isEmpty() && written.endsWith(" pair")
                    ? Channels.named(edition, written.substring(1))
                    : List.of();
            if (!pair.isEmpty()) {
                pair.get(0).into(sketch);
                service = true;
                return Optional.empty();
            }
            name.add(written.substring(1));
            return Optional.empty();
        }
        String word = Plain.unbracketed(Plain.of(written));
        if (digital(word)) {
            return Optional.empty();
        }
        if (word.isEmpty() || word.equals("mhz") || word.equals("hz") || word.equals("@")) {
            return Optional.empty();
        }
        if (sketch.receive().isEmpty()) {
            return first(word, written);
        }
        fault = Optional.empty();
        return keyword(word) ? fault : figure(word, written);
    }

    private boolean digital(String word) {
        String afterNext = at + 1 < words.size() ? Plain.of(words.get(at + 1)) : "";
        Optional<DigitalWords.Setting> setting = DigitalWords.read(word, next(), afterNext)
                .or(() -> DigitalWords.named(word, words.subList(at, words.size()), house.talkGroups()));
        setting.ifPresent(found -> {
            at += found.words() - 1;
            sketch.text(found.field(), found.text());
            found.mode().ifPresent(sketch::impliedBySetting);
            if (found.field() == Field.TALK_GROUP) {
                agreed(found.text());
            }
        });
        return setting.isPresent();
    }

    /** The name that the group's list has for a talk group. */
    private void agreed(String number) {
        house.talkGroups().stream()
                .filter(each -> Integer.toString(each.number()).equals(number))
                .findFirst()
                .ifPresent(each -> sketch.text(Field.CONTACT, each.name()));
    }

    /** Before a frequency is known: a service, a channel's name, a frequency, or a number or name ahead of it. */
    private Optional<String> first(String word, String written) {
        boolean saidTwice = Channels.isService(edition, word)
                && Channels.glued(edition, next()).isPresent();
        if (saidTwice) { // "weather WX2"
            return Optional.empty();
        }
        if (Channels.isService(edition, word)) {
            while (List.of("ch", "channel", "#", "no", "nr").contains(next())) {
                at++;
            }
            String channel = next().replaceFirst("^(#|ch)(?=[0-9])", "");
            if (channel.isEmpty()) {
                return Optional.of("Which channel of " + word.toUpperCase(Locale.ROOT) + "?");
            }
            if (WRITTEN_OUT.matcher(channel).matches()) { // "gmrs 462.675": the service of a frequency
                sketch.text(Field.SERVICE, word);
                return Optional.empty();
            }
            at++;
            return channel(word, channel);
        }
        Optional<String[]> glued = Channels.glued(edition, word);
        if (glued.isPresent()) {
            return channel(glued.get()[0], glued.get()[1]);
        }
        if (word.equals("ch") || word.equals("channel")) {
            return Optional.empty();
        }
        if (word.matches("[0-9]{1,2}[a-z]?") && Channels.isService(edition, next())) { // "5 murs"
            String ofService = next();
            at++;
            return channel(ofService, word);
        }
        if (Phrases.isBand(edition, word)) {
            return Optional.of(
                    "Which frequency on " + word.replaceFirst("(?=c?m$)", " ") + "? A band alone is no channel.");
        }
        boolean direct = word.equals("simplex") || word.equals("direct");
        if (direct && followedByFrequency()) {
            return shift(word);
        }
        Matcher two = TWO.matcher(word);
        if (two.matches()) {
            return both(two.group(1), two.group(2));
        }
        Matcher signed = WITH_SIGN.matcher(word);
        if (signed.matches()) {
            frequency(signed.group(1));
            Shift.read(signed.group(2), Optional.empty()).ifPresent(sketch::shifted);
            return Optional.empty();
        }
        boolean later = followedByFrequency();
        if (later && word.matches("#?[0-9]{1,4}") && name.isEmpty() && !sketch.has(Field.NUMBER)) {
            sketch.text(Field.NUMBER, word.replace("#", ""));
            return Optional.empty();
        }
        if (!later) {
            List<Channels.Named> named = Channels.named(edition, withRepeater(word));
            if (!named.isEmpty()) {
                named.get(0).into(sketch);
                service = true;
                if (!name.isEmpty() && word.matches("[0-9]{1,2}")) {
                    sketch.note(Said.doubtful(
                            Field.RX_MHZ,
                            "channel " + word + " of personal radio",
                            "“" + String.join(" ", name) + "” is taken for its name: no service here is called so"));
                }
                return Optional.empty();
            }
            Matcher coded = WITH_CODE.matcher(word);
            List<Channels.Named> ofCode = coded.matches() ? Channels.named(edition, coded.group(1)) : List.of();
            if (!ofCode.isEmpty()) {
                ofCode.get(0).into(sketch);
                return code(coded.group(2));
            }
        }
        boolean number = word.matches("[0-9][0-9.,]*(ghz|mhz|khz|hz|m|k)?")
                && (!later || WRITTEN_OUT.matcher(word).matches());
        if (number && frequency(word)) {
            return Optional.empty();
        }
        if (word.equals("listen") || word.equals("monitor") || word.equals("rxonly")) {
            sketch.listens();
            return Optional.empty();
        }
        if (List.of("rx", "hears", "out", "output", "freq").contains(word) && followedByFrequency()) {
            return Optional.empty();
        }
        Optional<WrittenMode> mode = later && word.length() > 1 ? WrittenMode.read(word) : Optional.empty();
        if (mode.flatMap(WrittenMode::mode).isPresent()) {
            sketch.mode(mode.get());
            return Optional.empty();
        }
        name.add(written);
        return Optional.empty();
    }

    /** "16 rpt" names the pair of channel 16. */
    private String withRepeater(String word) {
        boolean said = word.matches("[0-9]{1,2}") && isRepeaterWord(next()) || word.matches("[0-9]{1,2}r(pt)?");
        return said ? "rpt" + word.replaceFirst("r(pt)?$", "") : word;
    }

    private static boolean isRepeaterWord(String word) {
        return List.of("rpt", "rptr", "repeater", "r").contains(word);
    }

    private Optional<String> channel(String ofService, String channel) {
        Matcher coded = WITH_CODE.matcher(channel);
        String number = coded.matches() ? coded.group(1) : channel;
        boolean repeater = isRepeaterWord(next());
        Optional<Channels.Named> named = Channels.of(edition, ofService, number, repeater);
        if (named.isEmpty()) {
            return Optional.of(ofService.toUpperCase(Locale.ROOT) + " has no channel “" + number + "”.");
        }
        at += repeater ? 1 : 0;
        boolean pair = named.get()
                .transmit()
                .filter(talks -> !talks.equals(named.get().receive()))
                .isPresent();
        if (repeater && !pair) {
            return Optional.of(ofService.toUpperCase(Locale.ROOT) + " " + number + " has no repeater pair.");
        }
        named.get().into(sketch);
        service = true;
        return coded.matches() ? codeOrRange(ofService, number, coded.group(2)) : Optional.empty();
    }

    /** Radios of the trade write channel and code as “5-12”; where both are channels, several may be meant. */
    private Optional<String> codeOrRange(String ofService, String number, String code) {
        boolean rising = Integer.parseInt(number) < Integer.parseInt(code);
        if (rising && Channels.of(edition, ofService, code, false).isPresent()) {
            sketch.note(Said.doubtful(
                    Field.TX_TONE,
                    "channel " + number + " with code " + code,
                    "several channels are written “" + ofService.toUpperCase(Locale.ROOT) + " " + number + " to " + code
                            + "”"));
        }
        return code(code);
    }

    private boolean frequency(String word) {
        Optional<WrittenFrequency> read = WrittenFrequency.read(word, Optional.empty());
        read.ifPresent(found -> {
            sketch.hears(found.frequency());
            if (found.unit() != Unit.MEGAHERTZ && !found.said()) {
                sketch.note(Said.because(
                        Field.RX_MHZ,
                        "hears " + found.frequency(),
                        "“" + word + "” counted in " + found.unit().symbol()));
            }
        });
        return read.isPresent();
    }

    /** Two frequencies in one word; "146.34/94" is the old way of writing input and output. */
    private Optional<String> both(String left, String right) {
        String whole = left.substring(0, Math.max(left.indexOf('.'), left.indexOf(',')));
        boolean shortened = right.matches("[0-9]{2,3}");
        Optional<Frequency> one = WrittenFrequency.read(left, Optional.empty()).map(WrittenFrequency::frequency);
        Optional<Frequency> other = WrittenFrequency.read(shortened ? whole + "." + right : right, Optional.empty())
                .map(WrittenFrequency::frequency);
        if (one.isEmpty() || other.isEmpty()) {
            return Optional.of("“" + left + "/" + right + "” are not two frequencies.");
        }
        boolean turned =
                shortened || !Offsets.outputsOnly(edition, one.get()) && Offsets.outputsOnly(edition, other.get());
        sketch.hears(turned ? other.get() : one.get()).talksOn(turned ? one.get() : other.get());
        if (turned) {
            sketch.note(Said.because(
                    Field.RX_MHZ,
                    "hears " + other.get(),
                    shortened ? "written as input/output" : "the plan has the repeater outputs there"));
        }
        return Optional.empty();
    }

    private boolean keyword(String word) {
        switch (word) {
            case "listen", "listening", "monitor", "mon", "rxonly", "rx-only", "rx", "receive", "rcv", "hear" -> {
                if (word.equals("rx") && oneSide(false)) { // a tone and no frequency
                    return true;
                }
                if (!hasFrequencyNext()) {
                    sketch.listens();
                }
                at += next().equals("only") ? 1 : 0;
                return true;
            }
            case "rpt", "rptr", "repeater" -> {
                sketch.throughRepeater();
                return true;
            }
            case "r", "dec", "decode", "squelch", "sq", "opens" -> {
                return oneSide(false) || repeaterBehind(word);
            }
            case "t", "enc", "encode", "sends" -> {
                return oneSide(true);
            }
            case "no", "without" -> {
                boolean none = next().matches("tones?|pl|ctcss|code");
                at += none ? 1 : 0;
                return none;
            }
            case "c", "ct", "dpl", "dcs", "dtcs", "cdcss" -> {
                return toneBehind(word);
            }
            case "tx",
                    "in",
                    "input",
                    "talks",
                    "on",
                    "talk",
                    "out",
                    "output",
                    "offset",
                    "shift",
                    "pl",
                    "ctcss",
                    "tone",
                    "tones",
                    "pwr",
                    "power",
                    "mode",
                    "bw",
                    "width" -> {
                return prefix(word);
            }
            case "code" -> {
                fault = code(next());
                if (fault.isEmpty()
                        && WrittenTone.read("code " + next(), edition.tones()).isPresent()) {
                    sketch.note(Said.doubtful(
                            Field.TX_TONE,
                            "code " + next() + " of the 38",
                            "some makers number their codes otherwise: look whether this radio's table says the same"));
                }
                at++;
                return true;
            }
            case "both", "tsql" -> {
                sketch.bothWays();
                return true;
            }
            case "scan" -> {
                sketch.text(Field.SCAN, "yes");
                return true;
            }
            case "noscan", "skip" -> {
                sketch.text(Field.SCAN, "no");
                return true;
            }
            case "tot", "timeout", "time-out" -> {
                String seconds = next().replaceFirst("s(ec)?$", "");
                if (!seconds.matches("[0-9]{1,4}")) {
                    return false;
                }
                at++;
                sketch.text(Field.TIMEOUT_S, seconds);
                return true;
            }
            default -> {
                return false;
            }
        }
    }

    private boolean hasFrequencyNext() {
        return WRITTEN_OUT.matcher(next()).matches();
    }

    /** "TX 71.9", "RX 71.9": the tone of one side. */
    private boolean oneSide(boolean sent) {
        Optional<Tone> tone = hasFrequencyNext() && !isTone(next())
                ? Optional.empty()
                : WrittenTone.read(next(), edition.tones())
                        .filter(read -> read.code().isEmpty())
                        .flatMap(WrittenTone::tone)
                        .filter(edition.tones()::knows);
        tone.ifPresent(found -> {
            at++;
            if (sent) {
                sketch.sends(found);
            } else {
                sketch.opensOn(found);
            }
        });
        return tone.isPresent();
    }

    /** "146.94 r": through the repeater. */
    private boolean repeaterBehind(String word) {
        boolean said = word.equals("r") && at == words.size();
        if (said) {
            sketch.throughRepeater();
        }
        return said;
    }

    /** "C 74.4", "dpl 023": a tone under the word that says which kind it is. */
    private boolean toneBehind(String word) {
        boolean digital = word.startsWith("d") || word.startsWith("cd");
        Optional<WrittenTone> read = digital && !next().matches("d?[0-7]{1,3}[nipr]?(?:nv)?")
                ? Optional.empty()
                : WrittenTone.read(digital ? "dcs " + next().replaceFirst("^d", "") : next(), edition.tones());
        Optional<Tone> tone = read.flatMap(WrittenTone::tone);
        tone.ifPresent(found -> {
            at++;
            tone(found, false, "");
        });
        return tone.isPresent();
    }

    /** A word that only says what the next one is: it is passed over when such a one follows. */
    private boolean prefix(String word) {
        if (word.equals("tx") && oneSide(true)) {
            return true;
        }
        boolean toneFollows = WrittenTone.read(next(), edition.tones()).isPresent();
        return switch (word) {
            case "pl", "ctcss", "tone", "tones" -> toneFollows || tones > 0;
            case "pwr", "power" -> WrittenPower.read(next()).isPresent();
            case "mode", "bw", "width" -> WrittenMode.read(next()).isPresent();
            case "offset", "shift" -> Shift.read(next(), Optional.empty()).isPresent();
            default -> hasFrequencyNext();
        };
    }

    private Optional<String> code(String number) {
        if (!number.matches("[0-9]{1,3}")) {
            return Optional.of("Which code? Write code 1 to 38.");
        }
        Optional<WrittenTone> read = WrittenTone.read("code " + number, edition.tones());
        Optional<Tone> hertz = read.isEmpty() ? hertz(number) : Optional.empty();
        if (hertz.isPresent()) {
            tone(hertz.get(), true, "“" + number + "” is no code of the 38, and a tone in hertz");
            return Optional.empty();
        }
        if (read.isEmpty()) {
            return Optional.of(
                    "Code " + number + " is not one of the 38; digital codes are numbered by each maker. Write the"
                            + " code itself, such as D023.");
        }
        read.get().tone().ifPresent(tone -> tone(tone, true, "code " + number + " is " + tone.text() + " Hz"));
        return Optional.empty();
    }

    /** The tone of a whole number of hertz, said in full or without its decimal: 67, 100, 71 for 71.9. */
    private Optional<Tone> hertz(String number) {
        if (!number.matches("[0-9]{2,3}")) {
            return Optional.empty();
        }
        int whole = Integer.parseInt(number) * 10;
        List<Tone.Ctcss> near = edition.tones().ctcss().stream()
                .filter(each -> each.tenths() >= whole && each.tenths() < whole + 10)
                .toList();
        Optional<Tone.Ctcss> exact =
                near.stream().filter(each -> each.tenths() == whole).findFirst();
        if (exact.isEmpty() && near.size() == 1) {
            sketch.note(Said.doubtful(
                    Field.TX_TONE,
                    "tone " + near.get(0).text(),
                    "“" + number + "” taken for the only tone of the table that begins so"));
            return Optional.of(near.get(0));
        }
        return exact.map(Tone.class::cast);
    }

    private void tone(Tone tone, boolean both, String why) {
        tones++;
        if (tones == 1) {
            sketch.tone(tone, both);
        } else {
            sketch.opensOn(tone);
            sketch.note(Said.because(
                    Field.RX_TONE, "opens with " + tone.text(), "the second tone is the one it opens with"));
        }
        if (!why.isEmpty()) {
            sketch.note(Said.because(Field.TX_TONE, "tone " + tone.text(), why));
        }
    }

    /** Behind the frequency: a sign, an offset, a second frequency, a tone, a power, a width; else a word of the name. */
    private Optional<String> figure(String word, String written) {
        boolean sign = word.equals("+") || word.equals("-");
        boolean size = sign && !next().isEmpty() && SIZE.matcher(next()).matches();
        if (size) {
            String both = word + next();
            at++;
            Shift.read(both, Optional.empty()).ifPresent(sketch::shifted);
            return Optional.empty();
        }
        boolean shift = sign
                || word.matches(
                        "[+-][0-9.,]+(mhz|khz|hz|m|k)?|[0-9.,]+(mhz|khz|m|k)?[+-]|[0-9.,]+(khz|k|mhz|m)|simplex|simp|direct|dir|s|sx|plus|minus|up|down");
        boolean frequency = word.matches("[0-9]{2,4}[.,][0-9]{2,6}(mhz)?|[0-9]{2,4}[.,][0-9]+mhz");
        boolean exactTone = word.matches("[0-9]+[.,][0-9]") && isTone(word);
        if (frequency && !exactTone) {
            return second(word);
        }
        if (shift) {
            return shift(word);
        }
        Optional<WrittenPower> power =
                word.matches("[0-9.,]+\\s*(w|watts?|mw|dbm)") ? WrittenPower.read(word) : Optional.empty();
        if (power.isPresent()) {
            sketch.text(Field.POWER_W, power.get().watts().orElse(""));
            return Optional.empty();
        }
        Matcher twoTones = TWO_TONES.matcher(word);
        if (twoTones.matches()
                && WrittenTone.read(twoTones.group(1), edition.tones()).isPresent()
                && WrittenTone.read(twoTones.group(2), edition.tones()).isPresent()) {
            return tones(twoTones.group(1), twoTones.group(2));
        }
        if (word.matches("[0-9]{3,4}") && usualKilohertz(Long.parseLong(word))) {
            return shift(word + "k");
        }
        boolean smallNumber = word.matches("[0-9]{1,2}");
        if (service && RANGE_WORDS.contains(word) && next().matches("[0-9]{1,3}")) {
            return Optional.of("Several channels in one entry: write each as an entry of its own.");
        }
        if (smallNumber && service) {
            if (tones > 0) {
                sketch.note(Said.doubtful(
                        Field.RX_TONE,
                        "a second code, " + word,
                        "channels one after the other are written with commas"));
            }
            return code(word);
        }
        Optional<Tone> hertz = smallNumber && word.length() == 2 ? hertz(word) : Optional.empty();
        if (hertz.isPresent()) {
            tone(hertz.get(), false, "");
            return Optional.empty();
        }
        Optional<Shift> bare = word.matches("[0-9]?[.,]?[0-9]") ? Shift.read(word, Optional.empty()) : Optional.empty();
        if (bare.isPresent()
                && !bare.get().direct()
                && sketch.shift().flatMap(Shift::hertz).isEmpty()) {
            sketch.shifted(sketch.shift().flatMap(bare.get()::and).orElse(bare.get()));
            return Optional.empty();
        }
        Optional<WrittenTone> tone = smallNumber || word.equals("x") || word.equals("sq")
                ? Optional.empty()
                : WrittenTone.read(word, edition.tones());
        if (tone.isPresent()) {
            tone.get()
                    .tone()
                    .ifPresent(each -> tone(
                            each,
                            false,
                            tone.get().code().map(code -> "code " + code).orElse("")));
            return Optional.empty();
        }
        Optional<WrittenMode> mode = WrittenMode.read(word);
        if (mode.isPresent() && !smallNumber) {
            sketch.mode(mode.get());
            return Optional.empty();
        }
        if (WrittenMode.read(word).isPresent() && next().startsWith("khz")) {
            at++;
            sketch.mode(mode.get());
            return Optional.empty();
        }
        name.add(written);
        return Optional.empty();
    }

    /** What is sent, and what opens: either may be none. */
    private Optional<String> tones(String sent, String opens) {
        WrittenTone.read(sent, edition.tones()).flatMap(WrittenTone::tone).ifPresent(sketch::sends);
        WrittenTone.read(opens, edition.tones()).flatMap(WrittenTone::tone).ifPresent(sketch::opensOn);
        sketch.note(
                Said.because(Field.TX_TONE, "sends " + sent + ", opens with " + opens, "written as sent/opened on"));
        return Optional.empty();
    }

    /** Whether a bare number is the offset that is usual there, in kilohertz, and no tone. */
    private boolean usualKilohertz(long kilohertz) {
        return !isTone(Long.toString(kilohertz))
                && Offsets.at(edition, sketch.receive().orElseThrow()).stream()
                        .anyMatch(each -> Math.abs(each.hertz()) == kilohertz * 1000);
    }

    private boolean isTone(String word) {
        return WrittenTone.read(word, edition.tones())
                .flatMap(WrittenTone::tone)
                .filter(edition.tones()::knows)
                .isPresent();
    }

    private Optional<String> second(String word) {
        Optional<WrittenFrequency> read = WrittenFrequency.read(word, Optional.empty());
        if (read.isEmpty()) {
            return Optional.of("“" + word + "” is not a frequency.");
        }
        sketch.talksOn(read.get().frequency());
        return Optional.empty();
    }

    private Optional<String> shift(String word) {
        Optional<Shift> read = Shift.read(word, Optional.empty());
        if (read.isEmpty()) {
            return Optional.of("“" + word + "” is no offset. Write it like −0.6 or +5 MHz.");
        }
        Optional<Shift> joined =
                sketch.shift().isEmpty() ? read : sketch.shift().get().and(read.get());
        if (joined.isEmpty()) {
            return Optional.of("Two offsets that contradict each other.");
        }
        sketch.shifted(joined.get());
        return Optional.empty();
    }
}
