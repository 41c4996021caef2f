package org.wache.keypad;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.wache.radio.Keypad;
import org.wache.radio.Keypad.Choosing;
import org.wache.radio.Keypad.Menu;
import org.wache.radio.Keypad.Purpose;
import org.wache.radio.Keypad.Setting;
import org.wache.radio.Press;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * A radio that is not there, with its keys and what it shows. It takes presses as the model does: digits make a
 * frequency or choose a memory, a setting is opened in the model's own way and its value must be kept, and storing into a
 * memory that holds something means its transmit frequency where the model enters two frequencies.
 */
public final class Handset {

    private static final int SETTING_DIGITS = 2;
    private static final int OFFSET_DIGITS = 5;
    private static final int TONE_DIGITS = 4;
    private static final int CODE_DIGITS = 3;
    private static final int USED_MEMORIES = 6;
    private static final int MOST_MEMORIES = 999;
    private static final long KILO = 1_000;
    private static final String LETTERS = " ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789abcdefghijklmnopqrstuvwxyz-+*/.#()&'";

    private final RadioModel model;
    private final Keypad keypad;
    private final Values values;
    private final KeyWords words;
    private final Map<Integer, Typed> memories = new TreeMap<>();
    private final Typed[] sides = new Typed[2];
    private final Set<String> options = new HashSet<>();
    private final List<String> pending = new ArrayList<>();
    private List<Event> events = new ArrayList<>();
    private boolean memoryMode = true;
    private int chosen = 1;
    private int side = 1;
    private boolean watching = true;
    private String digits = "";
    /** The settings, or the level of them, are shown; a setting is open for change only while editing. */
    private boolean menu;

    private List<String> level = List.of();
    private int listed;
    private Setting setting;
    private boolean editing;
    private int value;
    private StringBuilder text = new StringBuilder();
    private int letter;
    private int tapped;
    private boolean programming;
    private Map<Purpose, String> round = new EnumMap<>(Purpose.class);
    private String says = "";

    /**
     * A radio as it comes out of a drawer: in memory mode, the second watch on, something in its first memories.
     *
     * @param tones the tones its settings offer where it has no table of its own
     * @throws IllegalArgumentException when entries cannot be typed into the model
     */
    public Handset(RadioModel model, List<Tone> tones) {
        this.model = model;
        this.keypad = model.keypad()
                .orElseThrow(() -> new IllegalArgumentException(model.name() + " takes no entries by keypad"));
        this.values = new Values(model, tones);
        this.words = new KeyWords(model);
        Frequency start = start();
        List<Integer> steps = model.tuning().stepsHz().isEmpty()
                ? List.of(5_000)
                : model.tuning().stepsHz();
        Typed begin = usual(start, steps.get(0));
        int widest = steps.get(steps.size() - 1);
        sides[0] = begin;
        sides[1] = begin.at(start.plus(widest));
        fill(begin, widest, tones);
        watching = keypad.setting(Purpose.SECOND_WATCH).isPresent();
        side = watching ? 1 : 0;
    }

    /** Everything on the first of its values, and tones off. */
    private Typed usual(Frequency start, int step) {
        Typed begin = new Typed(start, start, step, 0, 0, Map.of());
        for (Setting each : keypad.settings()) {
            List<String> all = values.of(each, start);
            boolean kept = each.purpose() != Purpose.OPTION && each.purpose() != Purpose.STEP;
            if (kept && !all.isEmpty()) {
                begin = begin.with(each.purpose(), values.meaning(each, all.get(0)));
            }
        }
        return keypad.setting(Purpose.TRANSMIT).isPresent() ? begin.with(Purpose.TRANSMIT, "on") : begin;
    }

    private void fill(Typed begin, int widest, List<Tone> tones) {
        if (!model.tuning().fixed().isEmpty()) {
            for (int i = 0; i < model.tuning().fixed().size(); i++) {
                var fixed = model.tuning().fixed().get(i);
                memories.put(
                        i + 1,
                        begin.at(fixed.receive()).talkingOn(fixed.transmit().orElse(fixed.receive())));
            }
            return;
        }
        Optional<String> first =
                tones.stream().filter(Tone.Ctcss.class::isInstance).findFirst().map(Tone::text);
        for (int memory = 1; memory <= USED_MEMORIES; memory++) {
            Typed used = begin.at(begin.receive().plus((long) memory * widest));
            memories.put(
                    memory,
                    keypad.method() == Keypad.Method.BY_NUMBER
                            ? begin.at(model.tuning().table().get(0))
                            : first.map(tone -> used.with(Purpose.TONE_SENT, tone))
                                    .orElse(used));
        }
    }

    private Frequency start() {
        if (!model.tuning().fixed().isEmpty()) {
            return model.tuning().fixed().get(0).receive();
        }
        if (!model.tuning().table().isEmpty()) {
            return model.tuning().table().get(0);
        }
        long low = model.coverage().receive().isEmpty()
                ? 146_000_000
                : model.coverage().receive().get(0).low();
        return new Frequency(Math.max(low, 1));
    }

    /** What can be pressed: the digits where there are any, and the keys of the model. */
    public static List<String> keysOf(RadioModel model) {
        Keypad keypad = model.keypad().orElseThrow();
        Set<String> keys = new java.util.LinkedHashSet<>();
        boolean numbers = keypad.menu() == Menu.NUMBERED
                || keypad.choose() == Choosing.DIGITS
                || keypad.method() == Keypad.Method.SHIFT
                || keypad.method() == Keypad.Method.TWO_FREQUENCIES;
        if (keypad.menu() == Menu.NUMBERED || keypad.menu() == Menu.NESTED) {
            keys.add("set");
        }
        keys.addAll(List.of("up", "down"));
        if (keypad.keeps() && keypad.menu() != Menu.ROUND) {
            keys.add("keep");
        }
        if (keypad.menu() == Menu.ROUND || keypad.setting(Purpose.NAME).isPresent()) {
            keys.add("next");
        }
        if (keypad.menu() != Menu.ROUND) {
            keys.add("back");
        }
        boolean filled = keypad.method() != Keypad.Method.FIXED_CHANNELS && keypad.menu() != Menu.ROUND;
        if (filled) {
            keys.add("direct");
        }
        if (keypad.setting(Purpose.SECOND_WATCH).isPresent()) {
            keys.add("side");
        }
        List<List<Press>> all = new ArrayList<>(List.of(
                keypad.fixed().begin(),
                keypad.fixed().store(),
                keypad.fixed().save(),
                keypad.fixed().listenBack()));
        keypad.settings().forEach(each -> all.add(each.press()));
        keypad.lock().ifPresent(lock -> all.addAll(List.of(lock.open(), lock.close())));
        all.forEach(presses -> presses.stream()
                .map(Press::key)
                .filter(key -> !key.equals(Press.MEMORY) && !key.matches("[0-9]"))
                .forEach(keys::add));
        if (keypad.choose() == Choosing.KNOB) {
            keys.add("knob");
        }
        List<String> ordered = new ArrayList<>(keys);
        if (numbers) {
            for (int i = 1; i <= 10; i++) {
                ordered.add(Integer.toString(i % 10));
            }
        }
        return ordered;
    }

    /**
     * One press: a key by its identifier, with {@code :long} or {@code :on} where it is held; {@code knob} turns the knob by
     * one position.
     */
    public void press(String token) {
        events = new ArrayList<>();
        if (programming && token.endsWith(":on")) { // switched off before it was saved
            programming = false;
            say("off", Event.of(Event.What.LOST));
        }
        pending.add(token);
        Way exact = null;
        boolean more = false;
        for (Way way : ways()) {
            int fit = way.fits(pending);
            exact = fit == Way.WHOLE && exact == null ? way : exact;
            more |= fit == Way.BEGINS;
        }
        if (exact != null) {
            pending.clear();
            exact.deed().run();
        } else if (!more) {
            boolean several = pending.size() > 1;
            pending.clear();
            if (several) {
                events.add(Event.of(Event.What.BROKEN_OFF));
            }
            plain(token);
        }
    }

    /** A sequence of presses that does something where the radio stands now. */
    private record Way(List<String> tokens, Runnable deed) {
        private static final int NOT = 0;
        private static final int BEGINS = 1;
        private static final int WHOLE = 2;

        int fits(List<String> pressed) {
            if (pressed.size() > tokens.size()
                    || !tokens.subList(0, pressed.size()).equals(pressed)) {
                return NOT;
            }
            return pressed.size() == tokens.size() ? WHOLE : BEGINS;
        }
    }

    private static List<String> tokens(List<Press> presses) {
        List<String> all = new ArrayList<>();
        for (Press press : presses) {
            if (press.key().equals(Press.MEMORY)) {
                break; // what comes after is asked for when the memory is chosen
            }
            for (int i = 0; i < press.times(); i++) {
                all.add(press.token());
            }
        }
        return all;
    }

    private List<Way> ways() {
        List<Way> all = new ArrayList<>();
        if (keypad.menu() == Menu.ROUND) {
            all.add(new Way(tokens(keypad.fixed().begin()), this::beginRound));
            if (programming) {
                all.add(new Way(tokens(keypad.fixed().save()), this::saveRound));
            }
        } else if (!menu && !editing || keypad.menu() == Menu.KEYS && !keypad.keeps()) {
            if (keypad.menu() == Menu.KEYS) {
                keypad.settings().stream()
                        .filter(this::visible)
                        .forEach(each -> all.add(new Way(tokens(each.press()), () -> open(each))));
            }
            all.add(new Way(tokens(keypad.fixed().begin()), this::changeMode));
            all.add(new Way(tokens(keypad.fixed().store()), this::storeSequence));
        } else if (editing && setting.purpose() == Purpose.STORE) {
            all.add(new Way(afterMemory(), this::keep));
        }
        all.removeIf(way -> way.tokens().isEmpty());
        return all;
    }

    /** What a sequence that stores asks for once the memory is chosen. */
    private List<String> afterMemory() {
        List<Press> store = keypad.fixed().store();
        int at = store.indexOf(Press.of(Press.MEMORY));
        return at < 0 ? List.of() : tokens(store.subList(at + 1, store.size()));
    }

    private void plain(String token) {
        if (token.endsWith(":on")) {
            return; // switched off and on again
        }
        if (token.length() == 1 && Character.isDigit(token.charAt(0))) {
            digit(token);
            return;
        }
        switch (token) {
            case "set" -> set();
            case "up" -> move(1);
            case "down" -> move(-1);
            case "keep" -> keep();
            case "next" -> next();
            case "back" -> back();
            case "direct" -> changeMode();
            case "side" -> {
                drop();
                leaveMenu();
                side = 1 - side;
            }
            case "knob" -> turn();
            default -> events.add(Event.of(Event.What.NOTHING));
        }
    }

    private void changeMode() {
        drop();
        leaveMenu();
        if (keypad.method() == Keypad.Method.FIXED_CHANNELS) {
            events.add(Event.of(Event.What.NOTHING));
        } else {
            memoryMode = !memoryMode;
        }
    }

    private int most() {
        return model.memory().channels().orElse(MOST_MEMORIES);
    }

    private void turn() {
        if (programming) {
            programming = false;
            say("off", Event.of(Event.What.LOST));
        }
        chosen = chosen % Math.min(most(), MOST_MEMORIES) + 1;
        says = keypad.blind() ? Integer.toString(chosen) : "";
    }

    private void say(String what, Event event) {
        says = what;
        events.add(event);
    }

    private void drop() {
        if (!digits.isEmpty()) {
            events.add(new Event(Event.What.DROPPED, digits.length()));
            digits = "";
        }
    }

    private void leaveMenu() {
        if (editing && keypad.keeps()) {
            events.add(Event.of(Event.What.LEFT));
        }
        menu = false;
        editing = false;
        setting = null;
        level = List.of();
        listed = 0;
    }

    private void digit(String digit) {
        digits += digit;
        if (menu && !editing) {
            choose();
        } else if (editing) {
            typeValue();
        } else if (memoryMode) {
            boolean byDigits = keypad.choose() == Choosing.DIGITS;
            if (!byDigits) {
                digits = "";
                events.add(Event.of(Event.What.NOTHING));
            } else if (digits.length() == keypad.memoryDigits()) {
                int wanted = Integer.parseInt(digits);
                digits = "";
                boolean there = memories.containsKey(wanted);
                chosen = there ? wanted : chosen;
                events.add(new Event(there ? Event.What.CHOSE_MEMORY : Event.What.NO_MEMORY, wanted));
            }
        } else if (digits.length() == keypad.digits()) {
            tune();
        }
    }

    private void choose() {
        if (keypad.menu() != Menu.NUMBERED) {
            digits = "";
            events.add(Event.of(Event.What.NOTHING));
            return;
        }
        if (digits.length() < SETTING_DIGITS) {
            return;
        }
        int number = Integer.parseInt(digits);
        digits = "";
        Optional<Setting> found = keypad.settings().stream()
                .filter(each -> each.number() == number && visible(each))
                .findFirst();
        found.ifPresent(each -> setting = each);
        listed = found.map(shown()::indexOf).orElse(listed);
        events.add(new Event(found.isPresent() ? Event.What.OPENED : Event.What.NO_SETTING, number));
    }

    private boolean visible(Setting each) {
        return each.hiddenBy().isEmpty() || options.contains(each.hiddenBy());
    }

    /** The settings of a numbered menu that are shown. */
    private List<Setting> shown() {
        return keypad.settings().stream().filter(this::visible).toList();
    }

    /** What the level of a nested menu offers: further levels and settings, in the order of the file. */
    private List<String> items() {
        if (keypad.menu() == Menu.NUMBERED) {
            return shown().stream().map(Setting::title).toList();
        }
        return shown().stream()
                .filter(each -> each.path().size() >= level.size()
                        && each.path().subList(0, level.size()).equals(level))
                .map(each -> each.path().size() == level.size()
                        ? each.title()
                        : each.path().get(level.size()))
                .distinct()
                .toList();
    }

    private Optional<Setting> settingHere() {
        String title = items().get(Math.min(listed, items().size() - 1));
        return keypad.menu() == Menu.NUMBERED
                ? Optional.of(shown().get(listed))
                : shown().stream()
                        .filter(each ->
                                each.path().equals(level) && each.title().equals(title))
                        .findFirst();
    }

    /** A frequency: megahertz in three digits, the rest behind the point. */
    private void tune() {
        long typed = Long.parseLong(digits) * KeypadSteps.unit(keypad);
        digits = "";
        Typed now = sides[side];
        boolean heard = typed > 0
                && (model.coverage().receive().isEmpty()
                        || model.coverage().receive().stream().anyMatch(span -> span.contains(typed)));
        if (!heard) {
            events.add(Event.of(Event.What.OUTSIDE));
            return;
        }
        long rounded = typed / now.step() * now.step();
        sides[side] = now.at(new Frequency(rounded));
        events.add(Event.of(rounded == typed ? Event.What.TYPED : Event.What.ROUNDED));
    }

    private void set() {
        drop();
        if (keypad.menu() != Menu.NUMBERED && keypad.menu() != Menu.NESTED || items().isEmpty()) {
            events.add(Event.of(Event.What.NOTHING));
        } else if (!menu) {
            menu = true;
            listed = Math.min(listed, items().size() - 1);
            setting = keypad.menu() == Menu.NUMBERED ? shown().get(listed) : null;
        } else if (editing) {
            events.add(Event.of(Event.What.NOTHING));
        } else {
            Optional<Setting> here = settingHere();
            if (here.isPresent()) {
                open(here.get());
            } else {
                List<String> deeper = new ArrayList<>(level);
                deeper.add(items().get(listed));
                level = List.copyOf(deeper);
                listed = 0;
            }
        }
    }

    private void open(Setting opened) {
        menu = true;
        editing = true;
        setting = opened;
        value = current(opened);
        text = new StringBuilder();
        letter = 0;
        digits = "";
    }

    private void storeSequence() {
        open(new Setting(Purpose.STORE, 0, List.of(), List.of(), "STORE", List.of(), List.of(), "", "", false));
        if (!keypad.fixed().store().contains(Press.of(Press.MEMORY))) {
            digits = words.number(chosen);
            keep();
        }
    }

    private void move(int by) {
        if (!digits.isEmpty()) {
            drop();
        }
        if (programming) {
            moveInRound(by);
        } else if (editing && setting.purpose() == Purpose.NAME) {
            letter = Math.floorMod(letter + by, LETTERS.length());
        } else if (editing && (setting.purpose() == Purpose.STORE || setting.purpose() == Purpose.CLEAR)) {
            chosen = Math.floorMod(chosen - 1 + by, Math.min(most(), MOST_MEMORIES)) + 1;
            listed = 0;
            digits = "";
            says = words.number(chosen);
        } else if (editing) {
            int many = values.of(setting, sides[side].receive()).size();
            value = many == 0 ? value : Math.floorMod(value + by, many);
            if (!keypad.keeps() && many > 0) {
                take();
            }
        } else if (menu) {
            listed = Math.floorMod(listed + by, items().size());
            setting = keypad.menu() == Menu.NUMBERED ? shown().get(listed) : null;
        } else if (memoryMode && keypad.choose() != Choosing.KNOB) {
            List<Integer> numbers = new ArrayList<>(memories.keySet());
            chosen = numbers.isEmpty()
                    ? chosen
                    : numbers.get(Math.floorMod(numbers.indexOf(chosen) + by, numbers.size()));
            events.add(new Event(Event.What.CHOSE_MEMORY, chosen));
        } else if (!memoryMode && keypad.method() != Keypad.Method.BY_NUMBER) {
            Typed now = sides[side];
            sides[side] = now.at(new Frequency(Math.max(1, now.receive().hertz() + (long) by * now.step())));
        } else {
            events.add(Event.of(Event.What.NOTHING));
        }
    }

    private void next() {
        if (programming) {
            nextInRound();
        } else if (editing && setting.purpose() == Purpose.NAME) {
            text.append(LETTERS.charAt(letter));
            letter = 0;
        } else {
            events.add(Event.of(Event.What.NOTHING));
        }
    }

    private void back() {
        drop();
        if (editing && keypad.menu() != Menu.KEYS) {
            events.add(Event.of(Event.What.LEFT));
            editing = false;
            setting = keypad.menu() == Menu.NUMBERED ? setting : null;
            if (keypad.menu() == Menu.NUMBERED) {
                menu = false;
            }
        } else if (menu && !level.isEmpty()) {
            level = level.subList(0, level.size() - 1);
            listed = 0;
        } else if (menu) {
            leaveMenu();
        } else {
            events.add(Event.of(Event.What.NOTHING));
        }
    }

    private int current(Setting of) {
        Typed now = target();
        String meaning =
                switch (of.purpose()) {
                    case SECOND_WATCH -> watching ? "on" : "off";
                    case OPTION -> options.contains(of.title()) ? "on" : "off";
                    case STEP -> Frequency.kilohertz(now.step()).replaceFirst("\\.0$", "");
                    case SHIFT -> now.shift() == 0 ? "off" : now.shift() > 0 ? "+" : "-";
                    default -> now.on(of.purpose(), "");
                };
        List<String> all = values.of(of, now.receive());
        for (int i = 0; i < all.size(); i++) {
            if (values.meaning(of, all.get(i)).equals(meaning)) {
                return i;
            }
        }
        return 0;
    }

    /** What a setting works on: the channel itself where the channels are fixed. */
    private Typed target() {
        return keypad.method() == Keypad.Method.FIXED_CHANNELS
                ? memories.getOrDefault(chosen, sides[side])
                : sides[side];
    }

    private void put(Typed changed) {
        if (keypad.method() == Keypad.Method.FIXED_CHANNELS) {
            memories.put(chosen, changed);
        } else {
            sides[side] = changed;
        }
    }

    private void typeValue() {
        switch (setting.purpose()) {
            case CLEAR, STORE -> limit(keypad.memoryDigits());
            case OFFSET -> limit(OFFSET_DIGITS);
            default -> {
                if (!Values.isTone(setting.purpose())) {
                    digits = "";
                    events.add(Event.of(Event.What.NO_VALUE));
                } else if (digits.length() == TONE_DIGITS) {
                    found(new Tone.Ctcss(Integer.parseInt(digits)).text());
                }
            }
        }
    }

    private void limit(int most) {
        if (digits.length() > most) {
            digits = digits.substring(most);
        }
    }

    private void found(String wanted) {
        int index = values.of(setting, sides[side].receive()).indexOf(wanted);
        digits = "";
        if (index < 0) {
            events.add(Event.of(Event.What.NO_VALUE));
        } else {
            value = index;
        }
    }

    private void keep() {
        if (!editing) {
            drop();
            events.add(Event.of(Event.What.NOTHING));
            return;
        }
        if (Values.isTone(setting.purpose()) && digits.length() == CODE_DIGITS) {
            found("D" + digits);
            if (!events.isEmpty()) {
                return;
            }
        }
        switch (setting.purpose()) {
            case CLEAR -> clear();
            case STORE -> store();
            case OFFSET -> offset();
            case NAME -> {
                text.append(LETTERS.charAt(letter));
                put(target().with(Purpose.NAME, text.toString().strip()));
                kept();
            }
            default -> take();
        }
        menu = false;
        editing = false;
        setting = null;
        level = List.of();
        listed = keypad.menu() == Menu.NUMBERED ? listed : 0;
        digits = "";
    }

    private void take() {
        String meaning = values.meaning(
                setting, values.of(setting, sides[side].receive()).get(value));
        if (setting.purpose() == Purpose.SECOND_WATCH || setting.purpose() == Purpose.OPTION) {
            boolean on = meaning.equals("on");
            if (setting.purpose() == Purpose.SECOND_WATCH) {
                watching = on;
            } else if (on) {
                options.add(setting.title());
            } else {
                options.remove(setting.title());
            }
            events.add(Event.of(Event.What.KEPT));
            return;
        }
        Typed now = target();
        put(
                switch (setting.purpose()) {
                    case STEP -> now.stepped((int) Math.round(Double.parseDouble(meaning) * KILO));
                    case SHIFT -> now.shifted(meaning.equals("off") ? 0 : meaning.equals("+") ? 1 : -1);
                    case FREQUENCY -> numbered(now, meaning, true);
                    case FREQUENCY_SENT -> numbered(now, meaning, false);
                    default -> now.with(setting.purpose(), meaning);
                });
        kept();
    }

    /** A frequency by its number in the table; 0 talks where it hears. */
    private Typed numbered(Typed now, String number, boolean hears) {
        int place = Integer.parseInt(number);
        return hears
                ? now.at(model.tuning().table().get(place - 1)).with(Purpose.FREQUENCY, number)
                : now.talkingOn(
                                place == 0
                                        ? now.receive()
                                        : model.tuning().table().get(place - 1))
                        .with(Purpose.FREQUENCY_SENT, number);
    }

    private void kept() {
        boolean lost = memoryMode && keypad.method() != Keypad.Method.FIXED_CHANNELS;
        events.add(Event.of(lost ? Event.What.KEPT_FOR_NOW : Event.What.KEPT));
    }

    private void offset() {
        if (digits.length() != OFFSET_DIGITS) {
            events.add(Event.of(Event.What.NO_VALUE));
            return;
        }
        sides[side] = sides[side].offset(Long.parseLong(digits) * KILO);
        kept();
    }

    private Optional<Integer> memory() {
        if (digits.isEmpty() && keypad.choose() != Choosing.DIGITS) {
            return Optional.of(chosen);
        }
        return digits.length() == keypad.memoryDigits()
                ? Optional.of(Integer.parseInt(digits)).filter(each -> each >= 1 && each <= most())
                : Optional.empty();
    }

    private void clear() {
        Optional<Integer> memory = memory();
        memory.ifPresent(memories::remove);
        events.add(memory.map(each -> new Event(Event.What.CLEARED, each)).orElse(Event.of(Event.What.NO_VALUE)));
    }

    private void store() {
        Optional<Integer> memory = memory();
        if (memory.isEmpty()) {
            events.add(Event.of(Event.What.NO_VALUE));
            return;
        }
        if (memoryMode) {
            events.add(new Event(Event.What.NOT_STORED, memory.get()));
            return;
        }
        Typed shown = watching || side == 1 ? sides[1] : sides[0];
        boolean hasOther = keypad.setting(Purpose.SECOND_WATCH).isPresent();
        Typed before = memories.get(memory.get());
        if (keypad.method() != Keypad.Method.TWO_FREQUENCIES) {
            memories.put(memory.get(), keypad.method() == Keypad.Method.SHIFT ? shown.withShiftApplied() : shown);
            events.add(new Event(before == null ? Event.What.STORED : Event.What.STORED_OVER, memory.get()));
        } else if (before == null) {
            memories.put(memory.get(), shown.talkingOn(shown.receive()));
            events.add(new Event(Event.What.STORED, memory.get()));
        } else {
            memories.put(memory.get(), before.talkingOn(shown.receive()));
            events.add(new Event(Event.What.STORED_TRANSMIT, memory.get()));
        }
        if (hasOther && (watching || side == 1)) {
            events.add(new Event(Event.What.STORED_OTHER, memory.get()));
        }
    }

    private void beginRound() {
        programming = true;
        round = new EnumMap<>(Purpose.class);
        listed = 0;
        tapped = 0;
        announce(Event.of(Event.What.OPENED));
    }

    private void announce(Event event) {
        setting = keypad.settings().get(listed);
        value = current(setting);
        say(setting.title(), event);
    }

    private void moveInRound(int by) {
        List<String> all = values.of(setting, sides[0].receive());
        if (setting.taps()) {
            tapped = by > 0 ? tapped + 1 : 0;
            value = Math.max(0, all.indexOf(Integer.toString(tapped)));
        } else {
            value = Math.floorMod(value + by, all.size());
        }
        round.put(setting.purpose(), all.get(value));
        says = setting.taps() ? Integer.toString(tapped) : all.get(value);
    }

    private void nextInRound() {
        tapped = 0;
        listed = (listed + 1) % keypad.settings().size();
        announce(Event.of(Event.What.OPENED));
    }

    private void saveRound() {
        Typed now = memories.getOrDefault(chosen, sides[0]);
        for (Setting each : keypad.settings()) {
            String entered = round.get(each.purpose());
            if (entered != null) {
                String meaning = values.meaning(each, entered);
                now = switch (each.purpose()) {
                    case FREQUENCY -> numbered(now, meaning, true);
                    case FREQUENCY_SENT -> numbered(now, meaning, false);
                    default -> now.with(each.purpose(), meaning);
                };
            }
        }
        memories.put(chosen, now);
        programming = false;
        setting = null;
        say("saved", new Event(Event.What.STORED, chosen));
    }

    RadioModel model() {
        return model;
    }

    /** What happened on the last press. */
    List<Event> events() {
        return events;
    }

    /** What a memory holds. */
    Optional<Typed> memory(int number) {
        return Optional.ofNullable(memories.get(number));
    }

    /** What the display that is marked is set to. */
    Typed shownNow() {
        return sides[side];
    }

    boolean inMemoryMode() {
        return memoryMode && !programming;
    }

    int chosen() {
        return chosen;
    }

    boolean watching() {
        return watching;
    }

    /** Whether the marked display is the one that stores. */
    boolean storesHere() {
        return side == 0;
    }

    /** What can be read on it now. */
    public Screen screen() {
        boolean other = keypad.setting(Purpose.SECOND_WATCH).isPresent();
        boolean blind = keypad.blind();
        return new Screen(
                blind ? "" : main(),
                other && !blind ? show(sides[1 - side].receive()) : "",
                side == 0,
                watching,
                blind ? "" : marks(),
                blind ? "" : menuText(),
                blind ? (says.isEmpty() ? "position " + chosen : says) : "",
                programming && setting != null ? setting.light() : "");
    }

    private String main() {
        if (memoryMode) {
            if (!model.tuning().fixed().isEmpty()) {
                return model.tuning().fixed().get(chosen - 1).name();
            }
            String number = words.number(chosen);
            return memories.containsKey(chosen)
                    ? number + "  " + show(memories.get(chosen).receive())
                    : number + "  empty";
        }
        boolean typing = !menu && !digits.isEmpty();
        return typing ? partly() : show(sides[side].receive());
    }

    private String partly() {
        StringBuilder typed = new StringBuilder(digits);
        while (typed.length() < keypad.digits()) {
            typed.append('-');
        }
        return typed.insert(3, '.').toString();
    }

    private static String show(Frequency frequency) {
        String shown = frequency.megahertz();
        return shown.length() - shown.indexOf('.') > 4 ? shown : shown + "0";
    }

    private String marks() {
        Typed now = memoryMode ? memories.getOrDefault(chosen, sides[side]) : sides[side];
        List<String> marks = new ArrayList<>();
        for (Purpose purpose : List.of(Purpose.NAME, Purpose.MODE, Purpose.WIDTH, Purpose.POWER)) {
            String mark = now.on(purpose, "");
            if (!mark.isEmpty()) {
                marks.add(mark);
            }
        }
        now.sends().ifPresent(tone -> marks.add("sends " + tone.text()));
        now.opensOn().ifPresent(tone -> marks.add("opens " + tone.text()));
        if (!now.transmit().equals(now.receive())) {
            marks.add("talks " + show(now.transmit()));
        } else if (now.shift() != 0) {
            marks.add("shift " + (now.shift() > 0 ? "+" : "−"));
        }
        if (now.on(Purpose.TRANSMIT, "on").equals("off")) {
            marks.add("never talks");
        }
        return String.join(" · ", marks);
    }

    private String menuText() {
        if (!menu) {
            return memoryMode && !digits.isEmpty() ? "memory " + digits : "";
        }
        if (!editing) {
            return level(items().get(Math.min(listed, items().size() - 1)))
                    + (digits.isEmpty() ? "" : " " + digits + "-");
        }
        String title = level(setting.title());
        if (setting.purpose() == Purpose.NAME) {
            return title + ": " + text + LETTERS.charAt(letter);
        }
        if (!digits.isEmpty()) {
            return title + ": " + digits;
        }
        List<String> all = values.of(setting, sides[side].receive());
        return title + ": "
                + (all.isEmpty()
                        ? setting.purpose() == Purpose.OFFSET
                                ? String.format(Locale.ROOT, "%06.3f", sides[side].offset() / 1e6)
                                : keypad.choose() == Choosing.DIGITS ? "---" : words.number(chosen)
                        : all.get(value));
    }

    private String level(String title) {
        return keypad.menu() == Menu.NUMBERED
                ? String.format(Locale.ROOT, "%02d %s", setting.number(), setting.title())
                : level.isEmpty() ? title : String.join(" › ", level) + " › " + title;
    }
}
