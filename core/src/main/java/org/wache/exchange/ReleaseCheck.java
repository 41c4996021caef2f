package org.wache.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.wache.audit.Audit;
import org.wache.audit.Told;
import org.wache.release.Gate;
import org.wache.release.Matter;
import org.wache.rulebook.RulebookProblem;

/**
 * Whether a release is what it says it is, from its file alone: the sum over its content, what is found when it is audited
 * again as of its day, and whether it could pass the gate.
 */
public final class ReleaseCheck {

    private final List<Line> lines = new ArrayList<>();

    /** One thing that was looked at. */
    public record Line(boolean good, String text) {}

    private ReleaseCheck() {}

    /** Looks at everything. */
    public static ReleaseCheck of(ReleaseFile file) {
        ReleaseCheck check = new ReleaseCheck();
        check.line(
                file.intact(),
                file.intact()
                        ? "The content gives the SHA-256 that stands in the file. Compare it with the one printed on its papers."
                        : "The content was changed after the release: it does not give the SHA-256 that stands in the file.");
        try {
            check.audits(file);
        } catch (RulebookProblem e) {
            check.line(false, "It cannot be audited again: " + e.getMessage() + ".");
        }
        return check;
    }

    private void audits(ReleaseFile file) {
        List<ReleaseFile.Part> parts = file.parts();
        List<Gate.Part> judged = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            Audit audit = file.again(parts.get(i));
            judged.add(new Gate.Part(parts.get(i).name(), audit));
            found(parts.get(i).name().isEmpty() ? "The list" : parts.get(i).name(), file.recorded(i), audit);
        }
        Audit list = judged.get(0).audit();
        List<Gate.Meant> models = file.models().stream()
                .map(model -> new Gate.Meant(
                        model.name(),
                        new org.wache.audit.Auditor(
                                        org.wache.audit.rules.Register.ALL,
                                        list.auditor().context().forRadios(List.of(model.radio())))
                                .audit(list.list())))
                .toList();
        Gate gate = Gate.of(judged, models, file.waivers(), file.day());
        gated("on hold", gate.open(Matter.Kind.HOLD));
        gated("with a query that nobody waived", gate.open(Matter.Kind.QUERY));
        gated("unfit for a model and not left out of it", gate.open(Matter.Kind.MISFIT));
        file.models().forEach(model -> left(model, gate, list));
    }

    private void left(ReleaseFile.Model model, Gate gate, Audit list) {
        Set<String> expected = gate.leftOut(model.name()).stream()
                .map(i -> list.entry(i).channel().number())
                .collect(Collectors.toCollection(TreeSet::new));
        line(
                expected.equals(new TreeSet<>(model.leftOut())),
                model.name()
                        + (model.leftOut().isEmpty()
                                ? " has every entry."
                                : " is without " + (model.leftOut().size() == 1 ? "entry " : "entries ")
                                        + String.join(", ", model.leftOut()) + "."));
    }

    private void found(String what, List<ReleaseFile.Recorded> recorded, Audit audit) {
        List<String> other = new ArrayList<>();
        for (int i = 0; i < Math.max(recorded.size(), audit.entries().size()); i++) {
            if (i >= recorded.size() || i >= audit.entries().size() || !same(recorded.get(i), audit, i)) {
                other.add(
                        i < audit.entries().size()
                                ? audit.entry(i).channel().number()
                                : recorded.get(i).number());
            }
        }
        line(
                other.isEmpty(),
                other.isEmpty()
                        ? what + ": " + recorded.size() + " entries, audited again with the same findings."
                        : what + ": audited again, other things are found of "
                                + (other.size() == 1 ? "entry " : "entries ") + String.join(", ", other)
                                + ". Either they were changed, or this Wache has other values in its rulebook than the one that made the release.");
    }

    private static boolean same(ReleaseFile.Recorded recorded, Audit audit, int position) {
        List<String> then = recorded.findings().stream()
                .map(each -> each.rule() + each.severity() + each.message() + each.source())
                .toList();
        List<String> now = Told.of(audit.auditor(), audit.entry(position)).stream()
                .map(Told::finding)
                .map(each -> each.slug().text() + (each.holds() ? "hold" : "query") + each.message() + each.source())
                .toList();
        return recorded.verdict().equals(audit.entry(position).verdict().text()) && then.equals(now);
    }

    private void gated(String what, List<Matter> open) {
        if (!open.isEmpty()) {
            line(
                    false,
                    open.size() + (open.size() == 1 ? " entry is " : " entries are ") + what + ": "
                            + open.stream()
                                    .map(each -> (each.channel().number() + " "
                                                            + each.channel().name())
                                                    .strip() + " ("
                                            + each.rule().text() + ")")
                                    .distinct()
                                    .collect(Collectors.joining(", "))
                            + ". Such a list does not pass the gate.");
        }
    }

    private void line(boolean good, String text) {
        lines.add(new Line(good, text));
    }

    /** What was looked at, in order. */
    public List<Line> lines() {
        return List.copyOf(lines);
    }

    /** Whether everything is as it was released. */
    public boolean good() {
        return lines.stream().allMatch(Line::good);
    }
}
