package org.wache.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wache.settings.SettingsProfile;
import org.wache.settings.SettingsProfile.Habits;
import org.wache.settings.SettingsProfile.RogerTone;
import org.wache.settings.SettingsProfile.Wish;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** How radios shall be set besides their channels, as a file of the format {@code wache-profile/1}. */
public final class ProfileFile {

    /** What such a file says it is. */
    public static final String FORMAT = "wache-profile/1";

    private static final int MOST_WISHES = 200;
    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_WHY = 300;
    private static final int MOST_S = 3_600;

    private ProfileFile() {}

    /**
     * Reads one.
     *
     * @throws FileProblem when it is not one; it names the place and what was expected
     */
    public static SettingsProfile read(byte[] bytes) {
        Part part = Part.root(JsonText.read(bytes), FORMAT, "a settings profile");
        String name = part.text("name")
                .map(String::strip)
                .filter(text -> !text.isEmpty() && text.length() <= LONGEST_NAME)
                .orElseThrow(
                        () -> part.problem("name", "what the profile is called, up to " + LONGEST_NAME + " letters"));
        List<Part> wishes = part.objects("settings");
        if (wishes.size() > MOST_WISHES) {
            throw part.problem("settings", "up to " + MOST_WISHES + " settings");
        }
        List<Wish> all = new ArrayList<>();
        wishes.forEach(each -> all.add(wish(each)));
        return new SettingsProfile(
                name,
                new Habits(
                        part.text("rogerTone")
                                .map(word -> rogerTone(part, word))
                                .orElse(Habits.USUAL.rogerTone()),
                        part.has("breaksIn") ? part.flag("breaksIn") : Habits.USUAL.breaksIn(),
                        part.has("missesNothing") ? part.flag("missesNothing") : Habits.USUAL.missesNothing(),
                        part.whole("maxTimeoutS", 1, MOST_S)),
                all);
    }

    private static RogerTone rogerTone(Part part, String word) {
        return Arrays.stream(RogerTone.values())
                .filter(each -> each.text().equals(word))
                .findFirst()
                .orElseThrow(() -> part.problem(
                        "rogerTone",
                        "one of "
                                + Arrays.stream(RogerTone.values())
                                        .map(RogerTone::text)
                                        .collect(Collectors.joining(", "))));
    }

    private static Wish wish(Part part) {
        return new Wish(
                SettingsReader.kind(part),
                part.text("which").map(String::strip).orElse(""),
                part.text("value")
                        .map(String::strip)
                        .filter(text -> !text.isEmpty() && text.length() <= LONGEST_NAME)
                        .orElseThrow(() -> part.problem("value", "how it shall be set")),
                part.text("why")
                        .map(String::strip)
                        .map(text -> {
                            if (text.length() > LONGEST_WHY) {
                                throw part.problem("why", "up to " + LONGEST_WHY + " letters");
                            }
                            return text;
                        })
                        .orElse(""),
                part.text("model").map(String::strip).filter(text -> !text.isEmpty()));
    }

    /** The file of a profile. */
    public static String write(SettingsProfile profile) {
        return JsonText.MAPPER.writeValueAsString(node(profile));
    }

    static ObjectNode node(SettingsProfile profile) {
        ObjectNode root = JsonText.MAPPER
                .createObjectNode()
                .put("format", FORMAT)
                .put("name", profile.name())
                .put("rogerTone", profile.habits().rogerTone().text())
                .put("breaksIn", profile.habits().breaksIn())
                .put("missesNothing", profile.habits().missesNothing());
        profile.habits().longestS().ifPresent(seconds -> root.put("maxTimeoutS", seconds));
        ArrayNode wishes = root.putArray("settings");
        profile.wishes().forEach(wish -> {
            ObjectNode node = wishes.addObject()
                    .put("kind", wish.kind().text())
                    .put("which", wish.which())
                    .put("value", wish.value())
                    .put("why", wish.why());
            Optional<String> model = wish.model();
            model.ifPresent(name -> node.put("model", name));
        });
        return root;
    }
}
