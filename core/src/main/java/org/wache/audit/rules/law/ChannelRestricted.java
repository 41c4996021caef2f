package org.wache.audit.rules.law;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.context.Whereabouts;
import org.wache.audit.context.Whereabouts.Lies;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.channel.Field;
import org.wache.radio.RadioKind;
import org.wache.rulebook.Condition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Restriction;
import org.wache.signal.Content;

/** A channel or part of a band that the law keeps for something else. */
public final class ChannelRestricted implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.CHANNEL_RESTRICTED;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Kept for something else by law",
                "The channel is for emergencies, for fixed links, for hand-held portables or for a use on a condition, and not "
                        + "for ordinary traffic. One for emergencies may stay on purpose: everybody may key it then.",
                "Listen only, or use another channel.",
                RulePage.entry("nobody", "rx_mhz=27.065 tx_mhz=27.065 mode=AM power_w=4"),
                RulePage.entry("nobody", "rx_mhz=27.185 tx_mhz=27.185 mode=AM power_w=4"));
    }

    private static Finding notPortable(Route route, RadioKind kind) {
        String name = route.radio().orElseThrow().name();
        return route.hold(Slug.CHANNEL_RESTRICTED)
                .radio(name)
                .message(
                        "%s is for hand-held portables only; %s is a %s.",
                        Wording.capital(route.place()), name, kind.words())
                .source(route.cite(route.channel().orElseThrow().source()))
                .cures(() -> List.of(Change.listenOnly()));
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<RadioKind> kind = route.radio().flatMap(radio -> radio.model().kind());
        if (route.channel().filter(FixedChannel::handheldOnly).isPresent()
                && kind.filter(each -> each != RadioKind.HAND_HELD).isPresent()) {
            return List.of(notPortable(route, kind.get()));
        }
        List<Finding> found = new ArrayList<>();
        Optional<Restriction> restriction = route.channel().isPresent()
                ? route.channel().flatMap(FixedChannel::restricted)
                : route.bands().flatMap(bands -> bands.restriction(route.transmit()));
        restriction.map(kept -> restricted(route, kept)).ifPresent(found::add);
        found.addAll(SpecialUses.on(route));
        if (route.placed()) {
            route
                    .service()
                    .traits()
                    .terms()
                    .conditions(route.transmit(), route.emission().contents())
                    .stream()
                    .filter(each -> applies(route, each))
                    .forEach(each -> found.add(asked(route, each)));
        }
        mixture(route).ifPresent(found::add);
        return found;
    }

    private static Finding restricted(Route route, Restriction kept) {
        return (kept.inEmergency() ? route.query(Slug.CHANNEL_RESTRICTED) : route.hold(Slug.CHANNEL_RESTRICTED))
                .message(
                        kept.inEmergency()
                                ? "%s (%s) is kept for %s: for that everybody may key it, and for nothing else."
                                : "%s (%s) is kept for %s.",
                        route.transmit(),
                        route.place(),
                        kept.purpose())
                .source(route.cite(kept.source()))
                .cures(() -> List.of(Change.listenOnly()));
    }

    private static boolean applies(Route route, Condition condition) {
        String use = route.throughRepeater() ? "repeater" : route.on().use().text();
        if (!condition.uses().isEmpty() && !condition.uses().contains(use)) {
            return false;
        }
        return condition
                .zone()
                .map(id -> {
                    Whereabouts where = route.entry().context().where();
                    return route.entry()
                            .edition()
                            .geography()
                            .zone(id)
                            .map(where::to)
                            .filter(lies -> lies == Lies.IN
                                    || lies == Lies.PARTLY
                                    || lies == Lies.UNKNOWN && where.area().isPresent())
                            .isPresent();
                })
                .orElse(true);
    }

    private static Finding asked(Route route, Condition condition) {
        return route.query(Slug.CHANNEL_RESTRICTED)
                .message("%s (%s): %s.", route.transmit(), route.place(), condition.say())
                .working(() -> Sum.of(route.transmit(), "talks on").inside(condition.span(), "where that holds"))
                .source(route.cite(condition.source()))
                .cures(() -> List.of(Change.listenOnly()));
    }

    /** Designators of voice with data together, where the law that names voice does not name these. */
    private static Optional<Finding> mixture(Route route) {
        String section = route.service().traits().terms().mixtureSource();
        boolean combined = route.emission().is(Content.DIGITAL_VOICE)
                && route.emission().kind().charAt(2) == 'W';
        return section.isEmpty() || !combined
                ? Optional.empty()
                : Optional.of(route.query(Slug.CHANNEL_RESTRICTED)
                        .message(
                                "%s is voice and data in one; the designators that are named as voice end in E.",
                                route.emission())
                        .source(route.cite(section))
                        .cures(() ->
                                List.of(Change.of("Name the voice: " + voice(route), Field.EMISSION, voice(route)))));
    }

    private static String voice(Route route) {
        String designator = route.emission().designator();
        String nature = designator.charAt(5) == '7' || designator.charAt(5) == '9' ? "X" : designator.substring(5, 6);
        return designator.substring(0, 5) + nature + "E";
    }
}
