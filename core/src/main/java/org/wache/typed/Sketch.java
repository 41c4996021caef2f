package org.wache.typed;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.audit.context.HouseRules;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.channel.Field;
import org.wache.rulebook.BandService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.PlanRow;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/**
 * What was said of an entry, bit by bit, and what the rulebook makes of it: the input of a pair from the plan, the mode
 * from the service, the sides of a tone from what it is for.
 */
public final class Sketch {

    /** What an entry of which no transmit frequency is said does. */
    public enum Unsaid {
        /** A pair where the plan has repeater outputs, direct where somebody may talk, listening elsewhere. */
        BY_PLAN,
        /** It only listens. */
        LISTEN,
        /** It talks where it hears. */
        DIRECT
    }

    private final Map<Field, String> texts = new EnumMap<>(Field.class);
    private final Map<Field, String> unread = new EnumMap<>(Field.class);
    private final List<Said> said = new ArrayList<>();
    private final List<Said> heardWords = new ArrayList<>();
    private Frequency receive;
    private Frequency transmit;
    private Shift shift;
    private boolean listen;
    private boolean repeater;
    private Optional<Tone> tone = Optional.empty();
    private boolean bothWays;
    private boolean code;
    private boolean tonesOff;
    private boolean sentOnly;
    private Optional<Tone> sends = Optional.empty();
    private Optional<Tone> opensOn = Optional.empty();
    private WrittenMode mode = new WrittenMode(Optional.empty(), Optional.empty(), Optional.empty(), false);
    private Mode implied;
    private boolean byProgram;
    private String fallbackName = "";

    /** Any field as text, as it was written: number, name, note, service, scan, time-out. */
    public Sketch text(Field field, String text) {
        texts.put(field, text);
        return this;
    }

    /** A text that cannot be read: it goes into the field as it stands, to be held there until it is mended. */
    public Sketch unread(Field field, String text) {
        unread.put(field, text);
        note(Said.doubtful(
                field, "“" + text + "” cannot be read", "it is kept as it stands, and on hold until it is mended"));
        return this;
    }

    /** Whether a text was given for a field. */
    public boolean has(Field field) {
        return texts.containsKey(field);
    }

    /** What to call it when no name is given. */
    public Sketch otherwiseCalled(String name) {
        fallbackName = name;
        return this;
    }

    /** Where it hears. */
    public Sketch hears(Frequency frequency) {
        receive = frequency;
        return this;
    }

    /** Where it hears, when that was said. */
    public Optional<Frequency> receive() {
        return Optional.ofNullable(receive);
    }

    /** Where it talks, in so many words. */
    public Sketch talksOn(Frequency frequency) {
        transmit = frequency;
        return this;
    }

    /** How far from there it talks. */
    public Sketch shifted(Shift by) {
        shift = by;
        return this;
    }

    /** What was said of the shift so far. */
    public Optional<Shift> shift() {
        return Optional.ofNullable(shift);
    }

    /** It only listens. */
    public Sketch listens() {
        listen = true;
        return this;
    }

    /** It goes through a repeater. */
    public Sketch throughRepeater() {
        repeater = true;
        return this;
    }

    /**
     * A tone of which nobody said on which side.
     *
     * @param byCode whether it was said by a consumer code, which such radios send and open on
     */
    public Sketch tone(Tone given, boolean byCode) {
        tone = Optional.of(given);
        code |= byCode;
        return this;
    }

    /** A tone of which no side is said is for both. */
    public Sketch bothWays() {
        bothWays = true;
        return this;
    }

    /** Whatever tones are given are not in use. */
    public Sketch withoutTones() {
        tonesOff = true;
        return this;
    }

    /** The tones only go out; the receiver stays open. */
    public Sketch sendsOnly() {
        sentOnly = true;
        return this;
    }

    /** The tone it sends. */
    public Sketch sends(Tone given) {
        sends = Optional.of(given);
        return this;
    }

    /** The tone that opens it. */
    public Sketch opensOn(Tone given) {
        opensOn = Optional.of(given);
        return this;
    }

    /** A mode, a width or a designator; what is said later wins where both say it. */
    public Sketch mode(WrittenMode more) {
        mode = new WrittenMode(
                more.mode().or(mode::mode),
                more.narrow().or(mode::narrow),
                more.emission().or(mode::emission),
                more.sideband() || mode.sideband());
        return this;
    }

    /** A setting that only one mode has says the mode, where no other is named. */
    public Sketch impliedBySetting(Mode only) {
        implied = only;
        return this;
    }

    /** It comes from a program that fills in where one talks: where nobody may, it listens. */
    public Sketch filledInByProgram() {
        byProgram = true;
        return this;
    }

    /** Something to tell about how a word was taken. */
    public Sketch note(Said more) {
        heardWords.add(more);
        return this;
    }

    /** The entry that all of it makes under a rulebook and the house rules. */
    public Understood settle(Edition edition, HouseRules house, Unsaid unsaid) {
        if (receive == null) {
            return Understood.not("No frequency and no channel in it.");
        }
        said.clear();
        said.addAll(heardWords);
        Map<Field, String> fields = new EnumMap<>(Field.class);
        fields.putAll(texts);
        Optional<String> problem = settleTransmit(edition, unsaid);
        if (problem.isPresent()) {
            return new Understood(Map.of(), said, problem);
        }
        if (byProgram
                && !listen
                && receive.equals(transmit)
                && edition.ashoreAt(receive).isEmpty()) {
            listen = true;
            said.removeIf(each -> each.field() == Field.TX_MHZ);
            said.add(Said.doubtful(
                    Field.TX_MHZ,
                    "listens only",
                    edition.allocation(receive)
                            .map(whose -> "nobody whom the list is for may key there: it belongs to " + whose.whose())
                            .orElse("nobody whom the list is for may key there")));
        }
        boolean talks = transmit != null && !listen;
        fields.put(Field.RX_MHZ, receive.megahertz());
        fields.put(Field.TX_MHZ, talks ? transmit.megahertz() : "");
        settleMode(edition, talks, fields);
        if (byProgram) {
            withoutStraySettings(fields);
        }
        settleTones(edition, house, talks, fields);
        if (!fields.containsKey(Field.NAME) || fields.get(Field.NAME).isBlank()) {
            String name = fallbackName.isEmpty() ? receive.megahertz() : fallbackName;
            fields.put(Field.NAME, name);
        }
        fields.putAll(unread);
        fields.values().removeIf(String::isEmpty);
        return new Understood(fields, said, Optional.empty());
    }

    /** A program fills in a colour code and a slot for analogue channels too: they are not the entry's. */
    private void withoutStraySettings(Map<Field, String> fields) {
        Optional<Mode> named = Mode.parse(fields.getOrDefault(Field.MODE, ""));
        List<Field> stray = fields.keySet().stream()
                .filter(field -> !field.modes().isEmpty()
                        && named.isPresent()
                        && !field.modes().contains(named.get()))
                .toList();
        for (Field field : stray) {
            said.add(Said.because(
                    field,
                    "no " + field.changed(),
                    named.get().name() + " has none: “" + fields.get(field) + "” is what the program fills in"));
            fields.remove(field);
        }
    }

    private Optional<String> settleTransmit(Edition edition, Unsaid unsaid) {
        if (listen) {
            transmit = null;
            said.add(Said.plainly(Field.TX_MHZ, "listens only"));
            return Optional.empty();
        }
        if (transmit != null) {
            String how = transmit.equals(receive) ? "direct" : "talks on " + transmit;
            if (shift != null && contradicts(shift, transmit.minus(receive))) {
                said.add(Said.doubtful(
                        Field.TX_MHZ, how, "an offset is given too, and leads elsewhere: the frequency is taken"));
            }
            said.add(
                    transmit.equals(receive)
                            ? Said.plainly(Field.TX_MHZ, how)
                            : new Said(
                                    Field.TX_MHZ,
                                    how,
                                    "",
                                    Sum.of(receive, "hears")
                                            .plus(transmit.minus(receive), "offset")
                                            .gives(transmit, "talks on"),
                                    false));
            return Optional.empty();
        }
        boolean direct = shift != null && shift.direct() && !repeater;
        if (direct) {
            transmit = receive;
            said.add(Said.plainly(Field.TX_MHZ, "direct"));
            return Optional.empty();
        }
        if (shift != null && !shift.direct()) {
            return settleShift(edition, shift);
        }
        return repeater ? settleShift(edition, new Shift(false, 0, Optional.empty())) : settleUnsaid(edition, unsaid);
    }

    /** Whether an offset that was given is not the way from where it hears to where it talks. */
    private static boolean contradicts(Shift given, long way) {
        return given.direct()
                ? way != 0
                : given.sign() != 0 && given.sign() != Long.signum(way)
                        || given.hertz().filter(size -> size != Math.abs(way)).isPresent();
    }

    /** A sign, a size, both, or only that there is a repeater: what is not said comes from the plan. */
    private Optional<String> settleShift(Edition edition, Shift by) {
        List<Offsets.Usual> usual = Offsets.at(edition, receive);
        if (by.sign() != 0 && by.hertz().isPresent()) {
            long offset = by.sign() * by.hertz().get();
            boolean odd = !usual.isEmpty() && usual.stream().noneMatch(each -> each.hertz() == offset);
            return pair(
                    offset, odd ? "the plan has " + Wording.offset(usual.get(0).hertz()) + " there" : "", odd);
        }
        if (by.hertz().isPresent()) {
            Optional<Offsets.Usual> same = usual.stream()
                    .filter(each -> Math.abs(each.hertz()) == by.hertz().get())
                    .findFirst();
            if (same.isPresent()) {
                return pair(same.get().hertz(), "the sign as in " + same.get().whose(), false);
            }
            return usual.isEmpty()
                    ? Optional.of(
                            "Up or down by " + Wording.offset(by.hertz().get()).substring(1) + "? Nothing is usual on "
                                    + receive + ": write + or −.")
                    : pair(
                            Long.signum(usual.get(0).hertz()) * by.hertz().get(),
                            "the sign as usual there: " + usual.get(0).where() + " "
                                    + Wording.offset(usual.get(0).hertz()),
                            true);
        }
        List<Offsets.Usual> known = usual.isEmpty() ? Offsets.near(edition, receive) : usual;
        if (known.isEmpty()) {
            return Optional.of("How far? No offset is usual on " + receive + ": write it, such as −0.6.");
        }
        Optional<Offsets.Usual> fitting = known.stream()
                .filter(each -> by.sign() == 0 || Long.signum(each.hertz()) == by.sign())
                .findFirst();
        if (fitting.isPresent()) {
            return pair(fitting.get().hertz(), fitting.get().whose(), usual.isEmpty());
        }
        return pair(
                by.sign() * Math.abs(known.get(0).hertz()),
                "the sign as written; " + known.get(0).where() + " "
                        + Wording.offset(known.get(0).hertz()),
                true);
    }

    private Optional<String> pair(long offset, String why, boolean doubt) {
        if (receive.hertz() + offset < 1) {
            return Optional.of("An offset of " + Wording.offset(offset) + " from " + receive + " leaves no frequency.");
        }
        transmit = receive.plus(offset);
        said.add(new Said(
                Field.TX_MHZ,
                "talks on " + transmit,
                why,
                Sum.of(receive, "hears").plus(offset, "offset").gives(transmit, "talks on"),
                doubt));
        return Optional.empty();
    }

    private Optional<String> settleUnsaid(Edition edition, Unsaid unsaid) {
        if (unsaid == Unsaid.LISTEN) {
            said.add(Said.because(Field.TX_MHZ, "listens only", "no transmit frequency is given"));
            return Optional.empty();
        }
        if (unsaid == Unsaid.DIRECT) {
            transmit = receive;
            said.add(Said.because(Field.TX_MHZ, "direct", "no offset is given"));
            return Optional.empty();
        }
        if (edition.ashoreAt(receive).isEmpty()) {
            listen = true;
            said.add(Said.because(
                    Field.TX_MHZ,
                    "listens only",
                    edition.allocation(receive)
                            .map(whose -> "it belongs to " + whose.whose() + ": " + whose.say())
                            .orElse("no service that a club may use is there")));
            return Optional.empty();
        }
        List<Offsets.Usual> usual = Offsets.at(edition, receive);
        if (Offsets.outputsOnly(edition, receive) && !usual.isEmpty()) {
            return pair(usual.get(0).hertz(), usual.get(0).whose() + "; repeater outputs lie there", false);
        }
        transmit = receive;
        said.add(Said.because(Field.TX_MHZ, "direct", "no offset is given"));
        return Optional.empty();
    }

    private void settleMode(Edition edition, boolean talks, Map<Field, String> fields) {
        if (mode.emission().isPresent()) {
            fields.put(Field.EMISSION, mode.emission().get());
            mode.mode().ifPresent(given -> fields.put(Field.MODE, given.name()));
            return;
        }
        Frequency where = talks ? transmit : receive;
        if (mode.sideband() && mode.mode().isEmpty()) {
            Mode side = edition.plan().lowerSidebandAt(where) ? Mode.LSB : Mode.USB;
            fields.put(Field.MODE, side.name());
            said.add(Said.because(Field.MODE, side.name(), "the usual sideband there"));
            return;
        }
        boolean fm =
                mode.mode().map(given -> given == Mode.FM || given == Mode.NFM).orElse(implied == null);
        if (fm && mode.narrow().isPresent()) {
            fields.put(Field.MODE, mode.narrow().get() ? Mode.NFM.name() : Mode.FM.name());
        } else if (mode.mode().isPresent()) {
            fields.put(Field.MODE, mode.mode().get().name());
        } else if (implied != null) {
            fields.put(Field.MODE, implied.name());
            said.add(Said.because(Field.MODE, implied.name(), "what is said of it only that mode has"));
        } else {
            UsualMode.Usual usual =
                    UsualMode.of(edition, where, receive, talks, fields.getOrDefault(Field.SERVICE, ""));
            fields.put(Field.MODE, usual.mode().name());
            said.add(Said.because(Field.MODE, usual.mode().name(), usual.why()));
        }
    }

    /**
     * A tone of which no side is said goes out; it opens the receiver too on a direct channel that is not a calling
     * channel, unless the house rule is to keep receivers open.
     */
    private void settleTones(Edition edition, HouseRules house, boolean talks, Map<Field, String> fields) {
        if (tonesOff) {
            return;
        }
        Optional<Tone> out = sends.or(() -> tone);
        Optional<Tone> in =
                sentOnly ? Optional.empty() : bothWays && opensOn.isEmpty() && tone.isEmpty() ? sends : opensOn;
        if (!sentOnly && tone.isPresent() && in.isEmpty() && sends.isEmpty()) {
            boolean direct = talks && transmit.equals(receive);
            boolean calling =
                    edition.plan().rowAt(receive).flatMap(PlanRow::calling).isPresent();
            boolean open = house.directTones()
                    .filter(rule -> rule == HouseRules.DirectTones.OPEN)
                    .isPresent();
            boolean amateur = edition.ashoreAt(receive).stream().anyMatch(BandService.class::isInstance);
            boolean settled = house.directTones().isPresent();
            if (talks && !calling && !open && (bothWays || direct && (code || settled || !amateur))) {
                in = tone;
                said.add(Said.because(
                        Field.RX_TONE,
                        "sends and opens with " + tone.get().text(),
                        bothWays
                                ? "it is said to be for both sides"
                                : settled
                                        ? "the house rule for direct channels"
                                        : "the same on both sides, as on a fleet's direct channel"));
            } else if (!talks) {
                in = tone;
                said.add(Said.because(Field.RX_TONE, "opens with " + tone.get().text(), "it only listens"));
            } else {
                said.add(Said.because(
                        Field.TX_TONE,
                        "sends " + tone.get().text(),
                        direct
                                ? calling ? "a calling channel stays open to hear everyone" : "the receiver stays open"
                                : "it opens the repeater; the receiver stays open"));
            }
        }
        if (talks) {
            out.ifPresent(each -> fields.put(Field.TX_TONE, each.text()));
        }
        in.ifPresent(each -> fields.put(Field.RX_TONE, each.text()));
    }
}
