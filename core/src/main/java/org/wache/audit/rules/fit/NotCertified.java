package org.wache.audit.rules.fit;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.radio.Radio;
import org.wache.rulebook.Certification;

/** The radio is not certified for the service of the route. Amateur stations need no certified radio. */
public final class NotCertified implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.NOT_CERTIFIED;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The radio is not certified for the service",
                        "Most services want radios that are certified for them, whatever else they can do. An unlocked hand-held that "
                                + "covers the channels is not for that reason allowed there.",
                        "Use a certified model for these channels, or only listen.",
                        RulePage.entry("nobody", "rx_mhz=151.820 tx_mhz=151.820 mode=NFM power_w=2"),
                        RulePage.entry("gmrs", "rx_mhz=462.550 tx_mhz=462.550 mode=FM power_w=5"))
                .within(
                        "{\"format\": \"wache-context/1\", \"radios\": [{\"model\": \"The hand-held\", \"certifiedFor\": [\"95E\"]}]}");
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<Certification> wanted = route.service().traits().certification();
        if (wanted.isEmpty() || route.radio().isEmpty()) {
            return List.of();
        }
        Radio radio = route.radio().get();
        Optional<List<String>> has = radio.model().certifiedFor();
        if (has.isPresent()
                && has.get().stream()
                        .anyMatch(part -> wanted.get().parts().stream().anyMatch(part::equalsIgnoreCase))) {
            return List.of();
        }
        String needed = "Part " + String.join(" or ", wanted.get().parts());
        Finding finding = has.isEmpty()
                ? route.query(Slug.NOT_CERTIFIED)
                        .message(
                                "Nothing is said of what %s is certified for; %s needs %s.",
                                radio.name(), route.service().inText(), needed)
                : route.hold(Slug.NOT_CERTIFIED)
                        .message(
                                "%s is not certified for %s (%s); it %s.",
                                radio.name(),
                                route.service().inText(),
                                needed,
                                has.get().isEmpty()
                                        ? "has no certification"
                                        : "is certified for Part " + Wording.list(has.get()));
        return List.of(finding.radio(radio.name())
                .source(route.cite(wanted.get().source()))
                .cures(() -> List.of(Change.listenOnly()))
                .advice(() -> List.of("Use a model that is certified under " + needed + ".")));
    }
}
