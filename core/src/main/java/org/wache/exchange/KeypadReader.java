package org.wache.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import org.wache.radio.Keypad;
import org.wache.radio.Press;

/** Reads how a model is typed into. */
final class KeypadReader {

    private static final int LONGEST_LABEL = 20;
    private static final int MOST_LEVELS = 6;
    private static final Map<String, String> USUAL = Map.of(
            "set", "Set",
            "up", "Up",
            "down", "Down",
            "keep", "Keep",
            "back", "Back",
            "direct", "Direct",
            "side", "Other",
            "next", "Next",
            "knob", "the knob");

    private final Part part;

    private KeypadReader(Part part) {
        this.part = part;
    }

    /** @throws FileProblem when something in it cannot be read; it names the place and what was expected */
    static Keypad read(Part part) {
        return new KeypadReader(part).keypad();
    }

    private Keypad keypad() {
        Map<String, String> keys = keys();
        if (part.text("menu").filter(Keypad.Menu.KEYS.text()::equals).isPresent()
                && !part.object("keys").has("keep")) {
            keys.remove("keep");
        }
        Keypad.Method method = word("method", Keypad.Method.values(), Keypad.Method::text, Optional.empty());
        Keypad.Menu menu = word("menu", Keypad.Menu.values(), Keypad.Menu::text, Optional.of(Keypad.Menu.NUMBERED));
        List<Keypad.Setting> settings = part.objects("settings").stream()
                .map(each -> new KeypadReader(each).setting(menu, keys))
                .toList();
        for (int i = 0; i < settings.size(); i++) {
            String option = settings.get(i).hiddenBy();
            if (!option.isEmpty()
                    && settings.stream()
                            .noneMatch(each -> each.purpose() == Keypad.Purpose.OPTION
                                    && each.title().equals(option))) {
                throw part.problem("settings[" + i + "].hiddenBy", "the title of a setting whose purpose is option");
            }
        }
        return new Keypad(
                method,
                menu,
                part.whole("digits", 6, 7).orElse(7),
                part.whole("memoryDigits", 1, 3).orElse(3),
                word("choose", Keypad.Choosing.values(), Keypad.Choosing::text, Optional.of(usual(method, menu))),
                keys,
                settings,
                part.has("sequences")
                        ? new KeypadReader(part.object("sequences")).sequences(keys)
                        : Keypad.Sequences.USUAL,
                part.has("lock") ? Optional.of(new KeypadReader(part.object("lock")).lock(keys)) : Optional.empty());
    }

    private static Keypad.Choosing usual(Keypad.Method method, Keypad.Menu menu) {
        return menu == Keypad.Menu.ROUND
                ? Keypad.Choosing.KNOB
                : method == Keypad.Method.FIXED_CHANNELS ? Keypad.Choosing.ARROWS : Keypad.Choosing.DIGITS;
    }

    private Map<String, String> keys() {
        return keys(part);
    }

    /** What is printed on the keys of a keypad, by their identifiers. */
    static Map<String, String> keys(Part part) {
        Map<String, String> keys = new TreeMap<>(USUAL);
        if (part.has("keys")) {
            part.object("keys").texts().forEach((id, label) -> {
                if (label.isBlank() || label.length() > LONGEST_LABEL || !id.matches("[A-Za-z][A-Za-z0-9_-]{0,11}")) {
                    throw part.problem(
                            "keys." + id, "what is printed on the key, up to " + LONGEST_LABEL + " characters");
                }
                keys.put(id, label.strip());
            });
        }
        return keys;
    }

    private Keypad.Setting setting(Keypad.Menu menu, Map<String, String> keys) {
        Keypad.Purpose purpose = word("purpose", Keypad.Purpose.values(), Keypad.Purpose::text, Optional.empty());
        List<String> values = part.texts("values");
        List<String> means = part.texts("means");
        if (!means.isEmpty() && means.size() != values.size()) {
            throw part.problem("means", "as many as there are values, or none");
        }
        List<String> path = part.texts("path");
        if (path.size() > MOST_LEVELS) {
            throw part.problem("path", "up to " + MOST_LEVELS + " levels");
        }
        List<Press> press = presses("press", keys);
        if (menu == Keypad.Menu.KEYS && press.isEmpty()) {
            throw part.problem("press", "the presses that open the setting, such as [\"tone:long\"]");
        }
        int number = menu == Keypad.Menu.NUMBERED
                ? part.whole("number", 0, 99).orElseThrow(() -> part.problem("number", "0 to 99"))
                : part.whole("number", 0, 99).orElse(0);
        return new Keypad.Setting(
                purpose,
                number,
                path,
                press,
                part.text("title").filter(text -> !text.isBlank()).orElse(purpose.text()),
                values,
                means,
                part.text("hiddenBy").orElse(""),
                part.text("light").orElse(""),
                part.flag("taps"));
    }

    private Keypad.Sequences sequences(Map<String, String> keys) {
        return new Keypad.Sequences(
                presses("begin", keys),
                presses("store", keys),
                presses("save", keys),
                presses("listenBack", keys),
                part.text("heard").orElse(""));
    }

    private Keypad.Lock lock(Map<String, String> keys) {
        return new Keypad.Lock(presses("open", keys), presses("close", keys), part.texts("erases"));
    }

    private List<Press> presses(String key, Map<String, String> keys) {
        return presses(part, key, keys);
    }

    /** The presses behind a key of a file. */
    static List<Press> presses(Part part, String key, Map<String, String> keys) {
        List<Press> all = new ArrayList<>();
        for (String text : part.texts(key)) {
            Press press = Press.parse(text)
                    .filter(each -> each.key().equals(Press.MEMORY)
                            || keys.containsKey(each.key())
                            || each.key().matches("[0-9]"))
                    .orElseThrow(() -> part.problem(
                            key + "[" + all.size() + "]",
                            "a press of one of its keys, such as set, set:long, set:3x or set:on, or {memory}"));
            all.add(press);
        }
        return all;
    }

    private <T> T word(String key, T[] all, Function<T, String> text, Optional<T> otherwise) {
        Optional<String> given = part.text(key);
        if (given.isEmpty() && otherwise.isPresent()) {
            return otherwise.get();
        }
        return Arrays.stream(all)
                .filter(each -> given.isPresent() && text.apply(each).equals(given.get()))
                .findFirst()
                .orElseThrow(() -> part.problem(
                        key, "one of " + Arrays.stream(all).map(text).toList()));
    }
}
