package org.wache.server.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.wache.bench.image.Loading;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.exchange.ReleaseContent.TeamProfile;
import org.wache.radio.Radio;
import org.wache.release.Handed;
import org.wache.server.profiles.Profiles;
import org.wache.server.radios.Fleet;
import org.wache.server.releases.Hands;
import org.wache.server.web.Refused;
import org.wache.settings.SettingsProfile;

/** What goes into each radio of a run: the part of the release for whoever has the radio, and what becomes of its entries there. */
final class UnitPlans {

    private final Hands hands;
    private final Profiles profiles;
    private final Hands.Opened release;
    private final String wanted;
    private final Map<List<Object>, Handed> known = new HashMap<>();

    /** @param wanted the part of the release that was chosen for the run */
    UnitPlans(Hands hands, Profiles profiles, Hands.Opened release, String wanted) {
        this.profiles = profiles;
        this.hands = hands;
        this.release = release;
        this.wanted = wanted;
    }

    /** An entry that stays out of a radio, or that only listens there, and why. */
    record LeftOut(String number, String name, String reason) {}

    /** A part of the release of which somebody may key everything that talks. */
    record Fits(String part, String name, int talks) {}

    /**
     * What a run would do with one radio.
     *
     * @param person for whom; empty for nobody in particular
     * @param part of the release that goes in
     * @param notTheirs what they may not key of it
     * @param choice what is done with that; empty when there is none, or nobody decided
     * @param fits the parts of the release that would fit them, when this one does not
     * @param cannotListen why the radio cannot be kept from talking on single entries; null when it can
     * @param talks the places of the entries that have a transmit frequency in the radio
     * @param off whether its transmitter is to be off, so that it keys none of them
     * @param profile the profile of the release that is for it; empty when there is none
     * @param settings how what belongs to no channel shall be set
     * @param cannotBeSet what of the profile the model cannot, in words
     */
    record Planned(
            Optional<Hands.Person> person,
            String part,
            List<LeftOut> leftOut,
            List<LeftOut> notTheirs,
            Optional<Handed.Choice> choice,
            List<Fits> fits,
            String cannotListen,
            List<Integer> talks,
            List<Integer> listens,
            boolean off,
            Loading loading,
            Optional<String> profile,
            Map<String, String> settings,
            List<String> cannotBeSet) {

        /** Whether somebody has to decide before it can be written. */
        boolean isOpen() {
            return !notTheirs.isEmpty() && choice.isEmpty();
        }

        /** What was decided, for the log. */
        String words(String list) {
            String whom = person.map(each -> "for " + each.name()).orElse("for nobody in particular");
            String numbers =
                    String.join(", ", notTheirs.stream().map(LeftOut::number).toList());
            return (part.isEmpty() ? list : part) + " " + whom
                    + (notTheirs.isEmpty()
                            ? ""
                            : "; what they may not key, " + numbers
                                    + (choice.filter(each -> each == Handed.Choice.LISTEN)
                                                    .isPresent()
                                            ? ", only listens"
                                            : ", stays out"));
        }
    }

    Planned of(Fleet.Unit unit, Optional<Hands.Person> person, Order order) {
        String part = order.part()
                .or(() -> person.flatMap(each -> hands.carried(release, each)))
                .orElse(wanted);
        if (!release.has(part)) {
            throw new Refused("“" + part + "” is not part of this release. Choose one of its lists.");
        }
        Handed handed = handed(unit.radio(), person, part);
        List<Integer> notTheirs = handed.at(Handed.Place.NOT_THEIRS);
        String cannotListen = Handed.cannotListen(unit.radio()).orElse(null);
        Optional<Handed.Choice> choice = order.choice()
                .filter(each -> !notTheirs.isEmpty() && !(each == Handed.Choice.LISTEN && cannotListen != null));
        boolean listen = choice.filter(each -> each == Handed.Choice.LISTEN).isPresent();
        ChannelList list = listen ? handed.listening() : handed.list();
        Loading loading = Loading.of(
                list,
                unit.radio().model(),
                handed.entries().stream()
                        .map(each -> each.place() == Handed.Place.TALKS
                                || each.place() == Handed.Place.LISTENS
                                || each.place() == Handed.Place.NOT_THEIRS && listen)
                        .toList());
        Optional<TeamProfile> profile = profiles.forParty(release.file().profiles(), person.map(Hands.Person::id));
        Map<String, String> otherwise = unit.otherwise();
        List<Integer> placed = loading.placed().values().stream().sorted().toList();
        List<LeftOut> out = IntStream.range(0, handed.entries().size())
                .filter(i -> !placed.contains(i) && handed.entries().get(i).place() != Handed.Place.NOT_THEIRS)
                .mapToObj(i -> said(handed, i, "There is no memory for it."))
                .toList();
        return new Planned(
                person,
                part,
                out,
                notTheirs.stream().map(i -> said(handed, i, "")).toList(),
                choice,
                notTheirs.isEmpty() ? List.of() : fits(unit, person, part),
                cannotListen,
                placed.stream()
                        .filter(i -> list.channels().get(i).transmit().isPresent())
                        .toList(),
                placed.stream()
                        .filter(i -> list.channels().get(i).transmit().isEmpty())
                        .toList(),
                unit.radio().inhibited(),
                loading,
                profile.map(TeamProfile::profile).map(SettingsProfile::name),
                Profiles.wanted(profile.map(TeamProfile::profile), unit.radio().model(), otherwise),
                Profiles.inRadio(profile.map(TeamProfile::profile), unit.radio().model(), otherwise).lines().stream()
                        .filter(line -> !line.problem().isEmpty())
                        .map(line -> line.wish().label() + ": " + line.problem())
                        .toList());
    }

    private static LeftOut said(Handed handed, int i, String otherwise) {
        Channel channel = handed.list().channels().get(i);
        String why = handed.entries().get(i).why();
        return new LeftOut(channel.number(), channel.name(), why.isEmpty() ? otherwise : why);
    }

    private List<Fits> fits(Fleet.Unit unit, Optional<Hands.Person> person, String except) {
        List<Fits> fits = new ArrayList<>();
        for (var part : release.parts()) {
            Handed handed = handed(unit.radio(), person, part.name());
            int talks = handed.at(Handed.Place.TALKS).size();
            if (!part.name().equals(except)
                    && handed.at(Handed.Place.NOT_THEIRS).isEmpty()
                    && talks + handed.at(Handed.Place.LISTENS).size() > 0) {
                fits.add(new Fits(part.name(), release.name(part.name()), talks));
            }
        }
        return fits;
    }

    /** Radios of one model that are set alike, for people with the same licences, get the same. */
    private Handed handed(Radio radio, Optional<Hands.Person> person, String part) {
        Radio alike = new Radio(radio.model(), radio.lock(), Optional.empty(), radio.inhibited(), radio.off());
        return known.computeIfAbsent(
                List.of(part, alike, person.map(Hands.Person::licences).orElse("nobody")),
                any -> person.map(each -> hands.toOne(release, part, alike, each))
                        .orElseGet(() -> hands.toNobody(release, part, alike)));
    }
}
