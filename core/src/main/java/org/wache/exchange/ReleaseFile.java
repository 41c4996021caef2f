package org.wache.exchange;

import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.rules.Register;
import org.wache.channel.ChannelList;
import org.wache.radio.LockMode;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.release.Waiver;
import org.wache.rulebook.RulebookReader;
import org.wache.signal.Span;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A release as a file of the format {@code wache-release/1}: everything it was judged by and everything that was found,
 * with the SHA-256 over the canonical form (RFC 8785) of its content.
 */
public final class ReleaseFile {

    static final String FORMAT = "wache-release/1";
    static final String CONTENT = "release";

    private final ObjectNode root;

    ReleaseFile(ObjectNode root) {
        this.root = root;
    }

    /**
     * Reads a release.
     *
     * @throws FileProblem when it is none
     */
    public static ReleaseFile read(byte[] bytes) {
        JsonNode root = JsonText.read(bytes);
        if (!FORMAT.equals(root.path("format").asString(""))
                || !root.path(CONTENT).isObject()
                || !root.path("sha256").isString()) {
            throw new FileProblem(
                    1,
                    1,
                    "not a release: expected an object with \"format\": \"" + FORMAT
                            + "\", \"sha256\" and \"release\"");
        }
        ReleaseFile file = new ReleaseFile((ObjectNode) root);
        if (!root.path(CONTENT).path("parts").isArray()
                || root.path(CONTENT).path("parts").isEmpty()) {
            throw new FileProblem(1, 1, "\"parts\" of a release should hold the list itself, and then its variants");
        }
        file.day();
        return file;
    }

    /** Whether bytes claim to be a release. */
    public static boolean looksLikeOne(byte[] bytes) {
        return new String(bytes, 0, Math.min(bytes.length, 400), StandardCharsets.UTF_8).contains("\"" + FORMAT + "\"");
    }

    /** The file. */
    public String text() {
        return JsonText.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    private JsonNode release() {
        return root.path(CONTENT);
    }

    /** The sum that stands in the file. */
    public String sum() {
        return root.path("sha256").asString("");
    }

    /** Whether the content still gives the sum that stands in the file. */
    public boolean intact() {
        return sum().equals(CanonicalSum.of(release()));
    }

    public String group() {
        return release().path("group").asString("");
    }

    public String list() {
        return release().path("list").asString("");
    }

    /** Which release of its list it is, from 1. */
    public int number() {
        return release().path("number").asInt(0);
    }

    /** The version of the list that it froze. */
    public int revision() {
        return release().path("revision").asInt(0);
    }

    public int overlayVersion() {
        return release().path("overlayVersion").asInt(0);
    }

    public String rulebook() {
        return release().path("rulebook").path("id").asString("");
    }

    public String edition() {
        return release().path("rulebook").path("edition").asString("");
    }

    /** The texts of what was added to the rulebook as it ships. */
    public List<String> additions() {
        return texts(release().path("rulebook").path("additions"));
    }

    public String releasedAt() {
        return release().path("releasedAt").asString("");
    }

    public String releasedBy() {
        return release().path("releasedBy").asString("");
    }

    public String signedBy() {
        return release().path("signedBy").asString("");
    }

    /**
     * The day it was judged for.
     *
     * @throws FileProblem when it is none
     */
    public LocalDate day() {
        return day(release(), "on")
                .orElseThrow(() -> new FileProblem(1, 1, "\"on\" of a release should be the day it was judged for"));
    }

    private static Optional<LocalDate> day(JsonNode node, String key) {
        try {
            return node.hasNonNull(key)
                    ? Optional.of(LocalDate.parse(node.path(key).asString("")))
                    : Optional.empty();
        } catch (DateTimeException e) {
            throw new FileProblem(1, 1, "\"" + key + "\" should be a day such as 2026-11-25");
        }
    }

    /**
     * The list, or a variant of it, as it went out.
     *
     * @param name of the variant; empty for the list itself
     * @param list the entries
     * @param context what it was held against, as a context file
     */
    public record Part(String name, ChannelList list, ContextFile context) {}

    /**
     * The list itself first, then its variants.
     *
     * @throws FileProblem when one cannot be read
     */
    public List<Part> parts() {
        List<Part> parts = new ArrayList<>();
        for (JsonNode part : release().path("parts")) {
            parts.add(new Part(
                    part.path("name").asString(""),
                    JsonLists.read(bytes(part.path("list")), list()),
                    ContextFile.read(bytes(part.path("context")))));
        }
        return parts;
    }

    /** What an entry came to, as it stands in the file. */
    public record Recorded(String number, String name, String verdict, List<RecordedFinding> findings) {}

    /** Something found, as it stands in the file. */
    public record RecordedFinding(
            String rule, String severity, String message, String working, String source, List<String> holders) {}

    /** What was found of a part, entry by entry. */
    public List<Recorded> recorded(int part) {
        List<Recorded> all = new ArrayList<>();
        for (JsonNode channel : release().path("parts").path(part).path("audit").path("channels")) {
            List<RecordedFinding> findings = new ArrayList<>();
            channel.path("findings")
                    .forEach(each -> findings.add(new RecordedFinding(
                            each.path("rule").asString(""),
                            each.path("severity").asString(""),
                            each.path("message").asString(""),
                            each.path("working").asString(""),
                            each.path("source").asString(""),
                            texts(each.path("holders")))));
            all.add(new Recorded(
                    channel.path("number").asString(""),
                    channel.path("name").asString(""),
                    channel.path("verdict").asString(""),
                    findings));
        }
        return all;
    }

    private static List<String> texts(JsonNode array) {
        List<String> texts = new ArrayList<>();
        array.forEach(each -> texts.add(each.asString("")));
        return texts;
    }

    /** A model of radio that the release is for, and the numbers of the entries that stay out of it. */
    public record Model(String name, Radio radio, List<String> leftOut) {}

    /**
     * The models of radio that the release is for.
     *
     * @throws FileProblem when one cannot be read
     */
    public List<Model> models() {
        List<Model> models = new ArrayList<>();
        for (JsonNode node : release().path("models")) {
            RadioModel model = RadioReader.model(bytes(node.path("radio")));
            Optional<LockMode> lock = model.coverage().lock(node.path("lock").asString(""));
            models.add(new Model(
                    node.path("name").asString(""),
                    new Radio(
                            model,
                            lock,
                            Optional.empty(),
                            node.path("inhibited").asBoolean(false),
                            off(node.path("off"))),
                    texts(node.path("leftOut"))));
        }
        return models;
    }

    private static List<Span> off(JsonNode spans) {
        List<Span> all = new ArrayList<>();
        try {
            spans.forEach(span -> all.add(Span.ofMegahertz(
                    span.path(0).asString("") + "-" + span.path(1).asString(""))));
        } catch (IllegalArgumentException e) {
            throw new FileProblem(1, 1, "\"off\" of a release should be bands such as [\"136\", \"174\"]");
        }
        return all;
    }

    /**
     * How the radios shall be set besides their channels, the whole group's first; empty in a release from before there were profiles.
     *
     * @throws FileProblem when one cannot be read
     */
    public List<ReleaseContent.TeamProfile> profiles() {
        List<ReleaseContent.TeamProfile> all = new ArrayList<>();
        for (JsonNode node : release().path("profiles")) {
            all.add(new ReleaseContent.TeamProfile(
                    node.path("team").asString(""), ProfileFile.read(bytes(node.path("profile")))));
        }
        return all;
    }

    /** The waivers that went out with it. */
    public List<Waiver> waivers() {
        List<Waiver> waivers = new ArrayList<>();
        for (JsonNode node : release().path("waivers")) {
            waivers.add(new Waiver(
                    node.path("print").asString(""),
                    node.path("number").asString(""),
                    node.path("name").asString(""),
                    node.path("rule").asString(""),
                    node.path("model").asString(""),
                    node.path("message").asString(""),
                    node.path("reason").asString(""),
                    node.path("by").asString(""),
                    day(node, "on").orElse(day()),
                    day(node, "until")));
        }
        return waivers;
    }

    /**
     * A part, audited again under the rulebook and on the day of the release.
     *
     * @throws FileProblem when what it was held against cannot be read
     * @throws org.wache.rulebook.RulebookProblem when that rulebook does not ship with this application
     */
    public Audit again(Part part) {
        try {
            return new Auditor(
                            Register.ALL,
                            part.context()
                                    .under(
                                            RulebookReader.with(rulebook(), additions())
                                                    .on(day()),
                                            day(),
                                            part.context().holders()))
                    .audit(part.list());
        } catch (IllegalArgumentException e) {
            throw new FileProblem(
                    1, 1, "not a release: what a part of it was held against cannot be read: " + e.getMessage());
        }
    }

    private static byte[] bytes(JsonNode node) {
        return JsonText.MAPPER.writeValueAsBytes(node);
    }
}
