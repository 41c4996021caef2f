package org.wache.keypad;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wache.radio.Keypad;
import org.wache.radio.PowerLevels;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * A hand-held that is not there, with its keys and its display. It takes presses as the model does: digits make a
 * frequency or choose a memory, a setting is opened by its number and its value must be kept, and storing into a memory
 * that holds something means its transmit frequency where the model enters two frequencies.
 */
public final class Handset {

    private static final int MEMORY_DIGITS = 3;
    private static final int SETTING_DIGITS = 2;
    private static final int OFFSET_DIGITS = 5;
    private static final int TONE_DIGITS = 4;
    private static final int CODE_DIGITS = 3;
    private static final long KILO = 1_000;
    private static final long TENTH = 100;

    private final RadioModel model;
    private final Keypad keypad;
    private final List<Tone> tones;
    private final Map<Integer, Typed> memories = new TreeMap<>();
    private final Typed[] sides = new Typed[2];
    private List<Event> events = new ArrayList<>();
    private boolean memoryMode = true;
    private int chosen = 1;
    private int side = 1;
    private boolean watching = true;
    private String digits = "";
    private boolean menu;
    private Keypad.Setting setting;
    private boolean editing;
    private int value;
    private int listed;

    /**
     * A hand-held as it comes out of a drawer: in memory mode, the second watch on, something in its first memories.
     *
     * @param tones the tones its settings offer where it has no table of its own
     * @throws IllegalArgumentException when entries cannot be typed into the model
     */
    public Handset(RadioModel model, List<Tone> tones) {
        this.model = model;
        this.keypad = model.keypad()
                .orElseThrow(() -> new IllegalArgumentException(model.name() + " takes no entries by keypad"));
        this.tones = model.tones().table().isEmpty()
                ? tones.stream().filter(model.tones()::has).toList()
                : model.tones().table();
        Frequency start = start();
        int step = steps().get(0);
        Typed begin =
                new Typed(start, start, step, false, powers(start).get(0), Optional.empty(), Optional.empty(), 0, 0);
        sides[0] = begin;
        sides[1] = begin.at(start.plus(steps().get(steps().size() - 1)));
        for (int memory = 1; memory <= 6; memory++) {
            memories.put(
                    memory,
                    begin.at(start.plus((long) memory * steps().get(steps().size() - 1)))
                            .sending(first(Tone.Ctcss.class)));
        }
        boolean hasWatch = keypad.setting(Keypad.Purpose.SECOND_WATCH).isPresent();
        watching = hasWatch;
        side = hasWatch ? 1 : 0;
    }

    private Optional<Tone> first(Class<? extends Tone> kind) {
        return tones.stream().filter(kind::isInstance).findFirst();
    }

    private Frequency start() {
        long low = model.coverage().receive().isEmpty()
                ? 146_000_000
                : model.coverage().receive().get(0).low();
        return new Frequency(Math.max(low, 1));
    }

    private List<Integer> steps() {
        return model.tuning().stepsHz().isEmpty()
                ? List.of(5_000)
                : model.tuning().stepsHz();
    }

    private List<String> powers(Frequency at) {
        List<String> named =
                keypad.setting(Keypad.Purpose.POWER).map(Keypad.Setting::values).orElse(List.of());
        return named.isEmpty()
                ? model.powerAt(at)
                        .map(levels -> levels.levels().stream()
                                .map(PowerLevels.Level::name)
                                .toList())
                        .orElse(List.of("high"))
                : named;
    }

    /** The keys by what they are called in requests: digits, set, up, down, keep, back, direct, side. */
    public void press(String key) {
        events = new ArrayList<>();
        if (key.length() == 1 && Character.isDigit(key.charAt(0))) {
            digit(key);
            return;
        }
        switch (key) {
            case "set" -> set();
            case "up" -> move(1);
            case "down" -> move(-1);
            case "keep" -> keep();
            case "back" -> back();
            case "direct" -> {
                drop();
                leaveMenu();
                memoryMode = !memoryMode;
            }
            case "side" -> {
                drop();
                leaveMenu();
                side = 1 - side;
            }
            default -> throw new IllegalArgumentException("There is no key " + key);
        }
    }

    private void drop() {
        if (!digits.isEmpty()) {
            events.add(new Event(Event.What.DROPPED, digits.length()));
            digits = "";
        }
    }

    private void leaveMenu() {
        if (editing) {
            events.add(Event.of(Event.What.LEFT));
        }
        menu = false;
        editing = false;
        setting = null;
    }

    private void digit(String digit) {
        digits += digit;
        if (menu && !editing) {
            choose();
        } else if (menu) {
            typeValue();
        } else if (memoryMode) {
            if (digits.length() == MEMORY_DIGITS) {
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
        if (digits.length() < SETTING_DIGITS) {
            return;
        }
        int number = Integer.parseInt(digits);
        digits = "";
        Optional<Keypad.Setting> found = keypad.settings().stream()
                .filter(each -> each.number() == number)
                .findFirst();
        found.ifPresent(each -> setting = each);
        listed = found.map(keypad.settings()::indexOf).orElse(listed);
        events.add(new Event(found.isPresent() ? Event.What.OPENED : Event.What.NO_SETTING, number));
    }

    /** A frequency: megahertz in three digits, the rest behind the point. */
    private void tune() {
        long typed = Long.parseLong(digits) * (keypad.digits() == 7 ? TENTH : KILO);
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
        if (!menu) {
            menu = true;
            setting = keypad.settings().get(listed);
        } else if (!editing) {
            editing = true;
            value = current();
        } else {
            events.add(Event.of(Event.What.NOTHING));
        }
    }

    private void move(int by) {
        if (!digits.isEmpty()) {
            drop();
        }
        if (editing) {
            int many = values().size();
            value = many == 0 ? value : Math.floorMod(value + by, many);
        } else if (menu) {
            listed = Math.floorMod(listed + by, keypad.settings().size());
            setting = keypad.settings().get(listed);
        } else if (memoryMode) {
            List<Integer> numbers = new ArrayList<>(memories.keySet());
            chosen = numbers.isEmpty()
                    ? chosen
                    : numbers.get(Math.floorMod(numbers.indexOf(chosen) + by, numbers.size()));
        } else {
            Typed now = sides[side];
            sides[side] = now.at(new Frequency(Math.max(1, now.receive().hertz() + (long) by * now.step())));
        }
    }

    private void back() {
        drop();
        if (menu) {
            leaveMenu();
        } else {
            events.add(Event.of(Event.What.NOTHING));
        }
    }

    /** The values of the setting shown, as the display writes them. */
    private List<String> values() {
        return switch (setting.purpose()) {
            case TONE_SENT, TONE_RECEIVED -> {
                List<String> all = new ArrayList<>(List.of("off"));
                tones.forEach(tone -> all.add(tone.text()));
                yield all;
            }
            case POWER -> powers(sides[side].receive());
            default -> setting.values();
        };
    }

    private int current() {
        Typed now = sides[side];
        return Math.max(
                0,
                switch (setting.purpose()) {
                    case SECOND_WATCH -> values().indexOf(watching ? "on" : "off");
                    case STEP ->
                        values().indexOf(Frequency.kilohertz(now.step()).replaceFirst("\\.0$", ""));
                    case WIDTH -> values().indexOf(now.narrow() ? "narrow" : "wide");
                    case POWER -> values().indexOf(now.power());
                    case TONE_SENT ->
                        now.sends().map(tone -> values().indexOf(tone.text())).orElse(0);
                    case TONE_RECEIVED ->
                        now.opensOn().map(tone -> values().indexOf(tone.text())).orElse(0);
                    case SHIFT -> values().indexOf(now.shift() == 0 ? "off" : now.shift() > 0 ? "+" : "-");
                    case OFFSET, CLEAR, STORE -> 0;
                });
    }

    private void typeValue() {
        switch (setting.purpose()) {
            case CLEAR, STORE -> {
                if (digits.length() > MEMORY_DIGITS) {
                    digits = digits.substring(MEMORY_DIGITS);
                }
            }
            case OFFSET -> {
                if (digits.length() > OFFSET_DIGITS) {
                    digits = digits.substring(OFFSET_DIGITS);
                }
            }
            case TONE_SENT, TONE_RECEIVED -> {
                if (digits.length() == TONE_DIGITS) {
                    found(new Tone.Ctcss(Integer.parseInt(digits)).text());
                }
            }
            default -> {
                digits = "";
                events.add(Event.of(Event.What.NO_VALUE));
            }
        }
    }

    private void found(String text) {
        int index = values().indexOf(text);
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
        boolean tone =
                setting.purpose() == Keypad.Purpose.TONE_SENT || setting.purpose() == Keypad.Purpose.TONE_RECEIVED;
        if (tone && digits.length() == CODE_DIGITS) {
            found("D" + digits);
            if (!events.isEmpty()) {
                return;
            }
        }
        switch (setting.purpose()) {
            case CLEAR -> clear();
            case STORE -> store();
            case OFFSET -> offset();
            default -> take();
        }
        menu = false;
        editing = false;
        setting = null;
        digits = "";
    }

    private void take() {
        String text = values().get(value);
        if (setting.purpose() == Keypad.Purpose.SECOND_WATCH) {
            watching = text.equals("on");
            events.add(Event.of(Event.What.KEPT));
            return;
        }
        Typed now = sides[side];
        sides[side] = switch (setting.purpose()) {
            case STEP -> now.stepped((int) Math.round(Double.parseDouble(text) * KILO));
            case WIDTH -> now.narrow(text.equals("narrow"));
            case POWER -> now.power(text);
            case TONE_SENT -> now.sending(Tone.parse(text.equals("off") ? "" : text));
            case TONE_RECEIVED -> now.opening(Tone.parse(text.equals("off") ? "" : text));
            case SHIFT -> now.shifted(text.equals("off") ? 0 : text.equals("+") ? 1 : -1);
            default -> now;
        };
        events.add(Event.of(memoryMode ? Event.What.KEPT_FOR_NOW : Event.What.KEPT));
    }

    private void offset() {
        if (digits.length() != OFFSET_DIGITS) {
            events.add(Event.of(Event.What.NO_VALUE));
            return;
        }
        sides[side] = sides[side].offset(Long.parseLong(digits) * KILO);
        events.add(Event.of(memoryMode ? Event.What.KEPT_FOR_NOW : Event.What.KEPT));
    }

    private Optional<Integer> memory() {
        int most = model.memory().channels().orElse(999);
        return digits.length() == MEMORY_DIGITS
                ? Optional.of(Integer.parseInt(digits)).filter(each -> each >= 1 && each <= most)
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
        boolean other = watching && side == 0 || side == 1;
        Typed before = memories.get(memory.get());
        if (keypad.method() == Keypad.Method.SHIFT) {
            memories.put(memory.get(), shown.withShiftApplied());
            events.add(new Event(before == null ? Event.What.STORED : Event.What.STORED_OVER, memory.get()));
        } else if (before == null) {
            memories.put(memory.get(), shown.talkingOn(shown.receive()));
            events.add(new Event(Event.What.STORED, memory.get()));
        } else {
            memories.put(memory.get(), before.talkingOn(shown.receive()));
            events.add(new Event(Event.What.STORED_TRANSMIT, memory.get()));
        }
        if (other && keypad.setting(Keypad.Purpose.SECOND_WATCH).isPresent()) {
            events.add(new Event(Event.What.STORED_OTHER, memory.get()));
        }
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
    Typed shown() {
        return sides[side];
    }

    boolean inMemoryMode() {
        return memoryMode;
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
        return new Screen(line(0), line(1), side == 0, watching, marks(), menuText());
    }

    private String line(int which) {
        if (memoryMode && which == side) {
            return memories.containsKey(chosen)
                    ? String.format(
                            "%03d  %s", chosen, show(memories.get(chosen).receive()))
                    : String.format("%03d  empty", chosen);
        }
        boolean typing = which == side && !menu && !digits.isEmpty();
        return typing ? partly() : show(sides[which].receive());
    }

    private String partly() {
        StringBuilder text = new StringBuilder(digits);
        while (text.length() < keypad.digits()) {
            text.append('-');
        }
        return text.insert(3, '.').toString();
    }

    private static String show(Frequency frequency) {
        String text = frequency.megahertz();
        return text.length() - text.indexOf('.') > 4 ? text : text + "0";
    }

    private String marks() {
        Typed now = memoryMode && memories.containsKey(chosen) ? memories.get(chosen) : sides[side];
        List<String> marks = new ArrayList<>();
        marks.add(now.narrow() ? "narrow" : "wide");
        marks.add(now.power());
        now.sends().ifPresent(tone -> marks.add("sends " + tone.text()));
        now.opensOn().ifPresent(tone -> marks.add("opens " + tone.text()));
        if (!now.transmit().equals(now.receive())) {
            marks.add("talks " + show(now.transmit()));
        } else if (now.shift() != 0) {
            marks.add("shift " + (now.shift() > 0 ? "+" : "−"));
        }
        return String.join(" · ", marks);
    }

    private String menuText() {
        if (!menu) {
            return memoryMode && !digits.isEmpty() ? "memory " + digits : "";
        }
        String number = String.format("%02d %s", setting.number(), setting.title());
        if (!editing) {
            return digits.isEmpty() ? number : digits + "-";
        }
        if (!digits.isEmpty()) {
            return number + ": " + digits;
        }
        return number + ": "
                + (values().isEmpty()
                        ? switch (setting.purpose()) {
                            case OFFSET -> String.format("%06.3f", sides[side].offset() / 1e6);
                            default -> "---";
                        }
                        : values().get(value));
    }
}
