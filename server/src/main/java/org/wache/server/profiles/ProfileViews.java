package org.wache.server.profiles;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiFunction;
import org.springframework.stereotype.Component;
import org.wache.exchange.ReleaseContent.TeamProfile;
import org.wache.radio.LockMode;
import org.wache.radio.OtherSetting;
import org.wache.radio.RadioModel;
import org.wache.radio.SettingKind;
import org.wache.rulebook.Edition;
import org.wache.server.radios.Fleet;
import org.wache.server.rulebooks.Editions;
import org.wache.settings.ProfileCheck;
import org.wache.settings.SettingDifference;
import org.wache.settings.SettingFinding;
import org.wache.settings.SettingPlan;
import org.wache.settings.SettingRule;
import org.wache.settings.SettingsProfile;
import org.wache.signal.Span;

/** Profiles as they are looked at: what they come to in each model, what is wrong with that, and which radios differ. */
@Component
class ProfileViews {

    private final ProfileStore store;
    private final Fleet fleet;
    private final Editions editions;
    private final MayTransmit may;
    private final Clock clock;

    ProfileViews(ProfileStore store, Fleet fleet, Editions editions, MayTransmit may, Clock clock) {
        this.store = store;
        this.fleet = fleet;
        this.editions = editions;
        this.may = may;
        this.clock = clock;
    }

    /** A kind of setting: how its value is said, which there are of it in the group's models, and what they offer. */
    record KindView(SettingKind kind, String label, SettingKind.Form form, List<String> which, List<String> values) {}

    /** Everything on the page of settings. */
    record SettingsPage(List<KindView> kinds, List<String> teams, List<String> models, List<ProfileView> profiles) {}

    /** A profile; id is 0 for one that is not saved. */
    record ProfileView(
            long id,
            int version,
            String team,
            ProfileBody body,
            int people,
            List<SetFinding> findings,
            List<InModel> models,
            List<RadioSet> radios) {}

    /** Something that is wrong with how radios would be set; cure is how it would be well. */
    record SetFinding(
            SettingRule rule,
            boolean hold,
            String model,
            String setting,
            String title,
            String value,
            boolean fromProfile,
            String message,
            String source,
            List<String> holders,
            @Schema(nullable = true) String cure,
            SettingKind kind,
            String which) {}

    /** A profile in a model: its lines, and the settings that it does not speak of. */
    record InModel(String model, List<SetLine> lines, List<String> left) {}

    /** A line: what is set, as the model calls it; null where it cannot be. */
    record SetLine(String label, String wished, @Schema(nullable = true) String set, String title, String problem) {}

    /** A radio for which a profile is: whether somebody looked how it is set, and in what it differs. */
    record RadioSet(
            long unit,
            String label,
            String model,
            @Schema(nullable = true) String who,
            boolean looked,
            List<SetDiffers> differs) {}

    /** A setting that differs; found is empty where it is not known. */
    record SetDiffers(String label, String title, String wanted, String found, String why) {}

    /** The settings of one radio: profile is null when there is none for it. */
    record UnitSettings(
            long unit,
            int version,
            @Schema(nullable = true) String profile,
            String team,
            boolean looked,
            List<UnitSetting> settings,
            List<SetFinding> findings) {}

    /**
     * A setting of one radio: wanted is how it shall be; otherwise what this radio is to be set to otherwise; found how it was found;
     * each null where nothing is said or known.
     */
    record UnitSetting(
            String id,
            String label,
            String title,
            List<String> values,
            String choices,
            String unit,
            String place,
            List<String> erasedBy,
            @Schema(nullable = true) String usual,
            @Schema(nullable = true) String wanted,
            String why,
            @Schema(nullable = true) String otherwise,
            @Schema(nullable = true) String found,
            String problem) {}

    SettingsPage all(long account, long club) {
        Looking looking = looking(account, club);
        Set<String> teams = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
        looking.members.forEach(member -> teams.addAll(member.teams()));
        return new SettingsPage(
                kinds(looking.models),
                List.copyOf(teams),
                looking.models.stream().map(RadioModel::name).toList(),
                looking.stored.stream()
                        .map(each -> view(looking, each.id(), each.version(), Profiles.read(each)))
                        .toList());
    }

    ProfileView draft(long account, long club, String team, SettingsProfile profile) {
        Looking looking = looking(account, club);
        return view(looking, 0, 0, new TeamProfile(team, profile));
    }

    /** What is read once for all profiles. */
    private record Looking(
            List<RadioModel> models,
            List<ProfileStore.Member> members,
            List<ProfileStore.StoredProfile> stored,
            List<Fleet.Unit> units,
            Map<Long, Fleet.Custody> custody,
            Map<Long, Map<String, String>> found,
            Edition edition) {}

    private Looking looking(long account, long club) {
        fleet.visible(account, club);
        return new Looking(
                fleet.models(club),
                store.members(club),
                store.all(club),
                fleet.units(club),
                fleet.custody(club),
                fleet.allFoundSettings(club),
                editions.ofGroup(account, club));
    }

    private static List<KindView> kinds(List<RadioModel> models) {
        return Arrays.stream(SettingKind.values())
                .map(kind -> {
                    Set<String> which = new LinkedHashSet<>();
                    Set<String> values = new LinkedHashSet<>();
                    models.stream()
                            .flatMap(model -> SettingPlan.all(model).stream())
                            .filter(setting -> setting.kind() == kind)
                            .forEach(setting -> {
                                which.add(setting.which());
                                setting.values().forEach(value -> values.add(setting.meaning(value)));
                            });
                    if (kind.form() == SettingKind.Form.SWITCH) {
                        values.addAll(List.of("off", "on"));
                    }
                    which.remove("");
                    return new KindView(kind, kind.label(), kind.form(), List.copyOf(which), List.copyOf(values));
                })
                .toList();
    }

    private ProfileView view(Looking looking, long id, int version, TeamProfile of) {
        List<TeamProfile> all = new ArrayList<>();
        looking.stored.stream()
                .filter(each -> each.id() != id && !each.team().equalsIgnoreCase(of.team()))
                .forEach(each -> all.add(Profiles.read(each)));
        all.add(of);
        List<ProfileStore.Member> people = looking.members.stream()
                .filter(member ->
                        Profiles.chosen(all, member.teams()).filter(of::equals).isPresent())
                .toList();
        SettingsProfile profile = of.profile();
        List<SetFinding> findings = new ArrayList<>();
        List<InModel> models = new ArrayList<>();
        List<Fleet.Unit> units = looking.units.stream()
                .filter(unit -> Profiles.chosen(all, teams(looking, unit))
                        .filter(of::equals)
                        .isPresent())
                .toList();
        for (RadioModel model : inUse(looking, units)) {
            List<ProfileStore.Member> holders = people.stream()
                    .filter(member -> units.stream()
                            .anyMatch(unit -> unit.radio().model().equals(model) && has(looking, member, unit)))
                    .toList();
            findings.addAll(findings(looking.edition, profile, model, holders));
            SettingPlan plan = SettingPlan.of(profile, model);
            models.add(new InModel(
                    model.name(),
                    plan.lines().stream()
                            .map(line -> new SetLine(
                                    line.setting()
                                            .map(OtherSetting::label)
                                            .orElse(line.wish().label()),
                                    line.wish().value(),
                                    line.value()
                                            .map(value -> value + unit(line, value))
                                            .orElse(null),
                                    line.setting().map(OtherSetting::title).orElse(""),
                                    line.problem()))
                            .toList(),
                    plan.left().stream().map(OtherSetting::label).toList()));
        }
        return new ProfileView(
                id,
                version,
                of.team(),
                ProfileBody.of(profile),
                people.size(),
                findings,
                models,
                units.stream().map(unit -> radio(looking, unit, profile)).toList());
    }

    /** The models of these radios; every model of the group while there are none. */
    private static List<RadioModel> inUse(Looking looking, List<Fleet.Unit> units) {
        return units.isEmpty()
                ? looking.models
                : looking.models.stream()
                        .filter(model -> units.stream()
                                .anyMatch(unit -> unit.radio().model().equals(model)))
                        .toList();
    }

    private static boolean has(Looking looking, ProfileStore.Member member, Fleet.Unit unit) {
        Fleet.Custody held = looking.custody.get(unit.id());
        return held != null && held.party() == member.party() && !unit.radio().inhibited();
    }

    /** The teams of whoever has a radio; none for one on the shelf. */
    private static List<String> teams(Looking looking, Fleet.Unit unit) {
        return Optional.ofNullable(looking.custody.get(unit.id()))
                .flatMap(held -> looking.members.stream()
                        .filter(member -> member.party() == held.party())
                        .findFirst())
                .map(ProfileStore.Member::teams)
                .orElse(List.of());
    }

    private RadioSet radio(Looking looking, Fleet.Unit unit, SettingsProfile profile) {
        SettingPlan plan = Profiles.inRadio(Optional.of(profile), unit.radio().model(), unit.otherwise());
        Optional<Map<String, String>> found = Optional.ofNullable(looking.found.get(unit.id()));
        return new RadioSet(
                unit.id(),
                unit.radio().label().orElse(""),
                unit.radio().model().name(),
                Optional.ofNullable(looking.custody.get(unit.id()))
                        .map(Fleet.Custody::name)
                        .orElse(null),
                found.isPresent(),
                SettingDifference.of(
                                plan,
                                found.orElse(Map.of()),
                                unit.radio().lock().map(LockMode::name))
                        .stream()
                        .map(each ->
                                new SetDiffers(each.label(), each.title(), each.wanted(), each.found(), each.why()))
                        .toList());
    }

    private List<SetFinding> findings(
            Edition edition, SettingsProfile profile, RadioModel model, List<ProfileStore.Member> people) {
        LocalDate today = LocalDate.now(clock);
        BiFunction<String, Span, Boolean> mayKey = (name, band) -> people.stream()
                .filter(each -> each.name().equals(name))
                .anyMatch(each -> may.in(edition, today, each.licences(), model, band));
        return ProfileCheck.of(
                        profile,
                        model,
                        people.stream().map(ProfileStore.Member::name).toList(),
                        mayKey)
                .stream()
                .map(each -> finding(each, model))
                .toList();
    }

    /** The unit of a number. */
    private static String unit(SettingPlan.Line line, String value) {
        return value.matches("[0-9.]+")
                ? line.setting()
                        .map(OtherSetting::unit)
                        .filter(unit -> !unit.isEmpty())
                        .map(unit -> " " + unit)
                        .orElse("")
                : "";
    }

    /** What a value means, where that means no other value too: it holds for other models as well. */
    private static String plain(Optional<OtherSetting> setting, String value) {
        return setting.filter(each -> each.values().stream()
                                .filter(other -> each.meaning(other).equals(each.meaning(value)))
                                .count()
                        == 1)
                .map(each -> each.meaning(value))
                .orElse(value);
    }

    private static SetFinding finding(SettingFinding found, RadioModel model) {
        Optional<OtherSetting> setting = SettingPlan.all(model).stream()
                .filter(each -> each.id().equals(found.id()))
                .findFirst();
        return new SetFinding(
                found.rule(),
                found.hold(),
                found.model(),
                setting.map(OtherSetting::label).orElse(found.id()),
                found.title(),
                found.value(),
                found.fromProfile(),
                found.message(),
                found.source(),
                found.holders(),
                found.cure().map(cure -> plain(setting, cure)).orElse(null),
                setting.map(OtherSetting::kind)
                        .orElseGet(() -> SettingKind.of(found.id()).orElseThrow()),
                setting.map(OtherSetting::which).orElse(""));
    }

    /**
     * What must not stay so in the radios that a list is for, in words.
     *
     * @param profiles those that go out with it
     * @param parties who carries it
     * @param models the models that it is for
     */
    List<String> holds(
            Edition edition, long club, List<TeamProfile> profiles, Collection<Long> parties, List<RadioModel> models) {
        List<ProfileStore.Member> carriers = store.members(club).stream()
                .filter(member -> parties.contains(member.party()))
                .toList();
        List<String> all = new ArrayList<>();
        for (TeamProfile of : profiles) {
            List<ProfileStore.Member> people = carriers.stream()
                    .filter(member -> Profiles.chosen(profiles, member.teams())
                            .filter(of::equals)
                            .isPresent())
                    .toList();
            models.stream()
                    .filter(model -> !people.isEmpty())
                    .flatMap(model -> findings(edition, of.profile(), model, people).stream())
                    .filter(SetFinding::hold)
                    .map(found -> "the profile “" + of.profile().name() + "” sets " + found.model()
                            + " so that it must not go out: " + found.message())
                    .forEach(all::add);
        }
        return all.stream().distinct().toList();
    }

    UnitSettings ofUnit(long account, long id) {
        Fleet.Unit unit = fleet.unit(account, id);
        RadioModel model = unit.radio().model();
        Optional<ProfileStore.Member> holder = Optional.ofNullable(
                        fleet.custody(unit.club()).get(id))
                .flatMap(held -> store.members(unit.club()).stream()
                        .filter(member -> member.party() == held.party())
                        .findFirst());
        List<TeamProfile> all =
                store.all(unit.club()).stream().map(Profiles::read).toList();
        Optional<TeamProfile> profile =
                Profiles.chosen(all, holder.map(ProfileStore.Member::teams).orElse(List.of()));
        Map<String, String> otherwise = unit.otherwise();
        SettingsProfile whole = Profiles.of(profile.map(TeamProfile::profile), model, otherwise);
        SettingPlan plan = SettingPlan.of(whole, model);
        Map<String, String> found = fleet.foundSettings(id);
        return new UnitSettings(
                id,
                unit.version(),
                profile.map(each -> each.profile().name()).orElse(null),
                profile.map(TeamProfile::team).orElse(""),
                !found.isEmpty(),
                model.otherSettings().stream()
                        .map(setting -> setting(setting, plan, otherwise, found))
                        .toList(),
                unit.radio().inhibited()
                        ? List.of()
                        : findings(
                                editions.ofGroup(account, unit.club()),
                                whole,
                                model,
                                holder.map(List::of).orElse(List.of())));
    }

    private static UnitSetting setting(
            OtherSetting setting, SettingPlan plan, Map<String, String> otherwise, Map<String, String> found) {
        Optional<SettingPlan.Line> line = plan.lines().stream()
                .filter(each -> each.setting().filter(setting::equals).isPresent())
                .findFirst();
        return new UnitSetting(
                setting.id(),
                setting.label(),
                setting.title(),
                setting.values(),
                setting.choices(),
                setting.unit(),
                setting.way().place(),
                setting.erasedBy(),
                setting.usual().orElse(null),
                line.flatMap(SettingPlan.Line::value).orElse(null),
                line.map(each -> each.wish().why()).orElse(""),
                otherwise.get(setting.id()),
                found.get(setting.id()),
                line.map(SettingPlan.Line::problem).orElse(""));
    }
}
