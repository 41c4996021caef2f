package org.wache.exchange;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.Told;
import org.wache.audit.context.AuditContext;
import org.wache.release.Waiver;
import org.wache.signal.Frequency;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Makes files of the format {@code wache-release/1}, and the sum for which a second person signs. */
public final class ReleaseWriter {

    private ReleaseWriter() {}

    /** When, by whom and as which number of its list something was released. */
    public record Stamp(int number, OffsetDateTime at, String releasedBy, String signedBy) {}

    /** A new release. */
    public static ReleaseFile of(ReleaseContent content, Stamp stamp) {
        ObjectNode release = content(content);
        release.put("number", stamp.number())
                .put(
                        "releasedAt",
                        stamp.at().toInstant().truncatedTo(ChronoUnit.SECONDS).toString())
                .put("releasedBy", stamp.releasedBy())
                .put("signedBy", stamp.signedBy())
                .put("on", content.on().toString());
        ObjectNode root = JsonText.MAPPER
                .createObjectNode()
                .put("format", ReleaseFile.FORMAT)
                .put("sha256", CanonicalSum.of(release));
        root.set(ReleaseFile.CONTENT, release);
        return new ReleaseFile(root);
    }

    /**
     * The sum over what would be released, whenever and by whomever: what a second person signs for. The day does not
     * count, unless something comes out otherwise on it.
     */
    public static String state(ReleaseContent content) {
        ObjectNode release = content(content);
        release.path("parts").forEach(part -> ((ObjectNode) part.path("context")).remove("on"));
        release.path("parts")
                .forEach(part -> part.path("audit").path("channels").forEach(channel -> channel.path("findings")
                        .forEach(finding ->
                                ((ObjectNode) finding).remove("working")))); // the days left are part of a sum
        return CanonicalSum.of(release);
    }

    private static ObjectNode content(ReleaseContent content) {
        ObjectNode release = JsonText.MAPPER
                .createObjectNode()
                .put("group", content.group())
                .put("list", content.list())
                .put("revision", content.revision())
                .put("overlayVersion", content.overlayVersion());
        AuditContext context = content.parts().get(0).audit().auditor().context();
        ObjectNode rulebook = release.putObject("rulebook")
                .put("id", context.edition().rulebook())
                .put("edition", context.edition().dates().id());
        if (!context.edition().additions().isEmpty()) {
            context.edition().additions().forEach(rulebook.putArray("additions")::add);
        }
        ArrayNode parts = release.putArray("parts");
        content.parts().forEach(part -> part(parts.addObject(), part));
        ArrayNode models = release.putArray("models");
        content.models().forEach(model -> model(models.addObject(), model));
        if (!content.profiles().isEmpty()) { // a release without any is as releases were before there were profiles
            ArrayNode profiles = release.putArray("profiles");
            content.profiles().forEach(each -> profiles.addObject()
                    .put("team", each.team())
                    .set("profile", ProfileFile.node(each.profile())));
        }
        ArrayNode waivers = release.putArray("waivers");
        content.waivers().forEach(waiver -> waiver(waivers.addObject(), waiver));
        return release;
    }

    private static void part(ObjectNode node, ReleaseContent.PartContent part) {
        node.put("name", part.name());
        node.set("context", JsonText.MAPPER.readTree(part.context()));
        node.set("list", JsonText.MAPPER.readTree(JsonLists.write(part.audit().list())));
        audit(node.putObject("audit"), part.audit());
    }

    private static void audit(ObjectNode node, Audit audit) {
        ArrayNode channels = node.putArray("channels");
        for (EntryAudit entry : audit.entries()) {
            ObjectNode channel = channels.addObject()
                    .put("number", entry.channel().number())
                    .put("name", entry.channel().name())
                    .put("verdict", entry.verdict().text());
            ArrayNode findings = channel.putArray("findings");
            for (Told told : Told.of(audit.auditor(), entry)) {
                ObjectNode finding = findings.addObject()
                        .put("rule", told.finding().slug().text())
                        .put("severity", told.finding().holds() ? "hold" : "query")
                        .put("message", told.finding().message())
                        .put("working", told.finding().working().text())
                        .put("source", told.finding().source());
                ArrayNode holders = finding.putArray("holders");
                told.holders().forEach(holders::add);
            }
        }
    }

    private static void model(ObjectNode node, ReleaseContent.ModelContent model) {
        node.put("name", model.name()).put("lock", model.lock()).put("inhibited", model.inhibited());
        if (!model.off().isEmpty()) {
            ArrayNode off = node.putArray("off");
            model.off()
                    .forEach(span ->
                            off.addArray().add(Frequency.megahertz(span.low())).add(Frequency.megahertz(span.high())));
        }
        node.set("radio", JsonText.MAPPER.readTree(model.body()));
        ArrayNode out = node.putArray("leftOut");
        model.leftOut().forEach(out::add);
    }

    private static void waiver(ObjectNode node, Waiver waiver) {
        node.put("print", waiver.print())
                .put("number", waiver.number())
                .put("name", waiver.name())
                .put("rule", waiver.rule())
                .put("model", waiver.model())
                .put("message", waiver.message())
                .put("reason", waiver.reason())
                .put("by", waiver.by())
                .put("on", waiver.on().toString())
                .put("until", waiver.until().map(LocalDate::toString).orElse(null));
    }
}
