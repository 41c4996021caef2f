package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.CurePlan;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Difference;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;
import org.wache.place.Area;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.rulebook.Edition;
import org.wache.rulebook.OverlayReader;
import tools.jackson.databind.json.JsonMapper;

/** What must hold for the cures of whole lists, for routes, places, days and overlays, tried on seeded random lists. */
class WholeListTest {

    private static final int LISTS = 30;
    private static final Edition EDITION = Audits.edition(Audits.DAY);

    private final RandomLists random = new RandomLists(11_251_977);

    private static AuditContext context(String holder) {
        return AuditContext.of(EDITION, Audits.DAY, List.of(HolderShorthand.holder(holder, EDITION)));
    }

    private static Audit audit(AuditContext context, ChannelList list) {
        return new Auditor(Register.ALL, context).audit(list);
    }

    private static Set<Integer> on(Audit audit, Verdict verdict) {
        Set<Integer> found = new TreeSet<>();
        for (int i = 0; i < audit.entries().size(); i++) {
            if (audit.entry(i).verdict() == verdict) {
                found.add(i);
            }
        }
        return found;
    }

    @Test
    void afterTheCuresOnlyWhatHasNoneIsOnHold() {
        int cured = 0;
        for (int n = 0; n < LISTS; n++) {
            Audit before = audit(context(random.holder()), random.list());
            CurePlan plan = CurePlan.of(before, CurePlan.Scope.HOLDS);
            assertThat(on(plan.after(), Verdict.HOLD)).isEqualTo(new TreeSet<>(plan.left()));
            Audit again = before.auditor().audit(plan.after().list());
            assertThat(on(again, Verdict.HOLD)).as("audited afresh").isEqualTo(new TreeSet<>(plan.left()));
            cured += plan.steps().size();
        }
        assertThat(cured).isGreaterThan(200);
    }

    @Test
    void theCuresTouchNothingThatWasNotOnHold() {
        for (int n = 0; n < LISTS; n++) {
            Audit before = audit(context(random.holder()), random.list());
            Set<Integer> held = on(before, Verdict.HOLD);
            CurePlan.of(before, CurePlan.Scope.HOLDS).steps().forEach(step -> {
                assertThat(held).contains(step.position());
                assertThat(step.before()).isEqualTo(Verdict.HOLD);
                assertThat(step.labels()).isNotEmpty();
            });
        }
    }

    @Test
    void curedOnceThereIsNothingMoreToCure() {
        for (int n = 0; n < LISTS; n++) {
            CurePlan once = CurePlan.of(audit(context(random.holder()), random.list()), CurePlan.Scope.HOLDS);
            assertThat(CurePlan.of(once.after(), CurePlan.Scope.HOLDS).steps()).isEmpty();
        }
    }

    @Test
    void withTheQueriesTooNoEntryStopsTalkingThatWasNotOnHold() {
        for (int n = 0; n < LISTS; n++) {
            Audit before = audit(context(random.holder()), random.list());
            Set<Integer> held = on(before, Verdict.HOLD);
            CurePlan.of(before, CurePlan.Scope.HOLDS_AND_QUERIES).steps().stream()
                    .filter(step -> !held.contains(step.position()) && !step.drop())
                    .forEach(
                            step -> assertThat(step.changes().get(Field.TX_MHZ)).isNotEqualTo(""));
        }
    }

    @Test
    void aCureSaysWhatItDoesInRadioTerms() {
        for (int n = 0; n < LISTS; n++) {
            Audit before = audit(context(random.holder()), random.list());
            for (CurePlan.Step step :
                    CurePlan.of(before, CurePlan.Scope.HOLDS_AND_QUERIES).steps()) {
                Channel channel = before.entry(step.position()).channel();
                if (!step.drop() && !step.changes().keySet().equals(Set.of(Field.TX_TONE))) {
                    assertThat(Difference.of(channel, channel.with(step.changes())))
                            .isNotEmpty();
                }
            }
        }
    }

    @Test
    void anEntryDoesNotDifferFromItselfAndEachFieldThatChangesIsTold() {
        for (int n = 0; n < LISTS; n++) {
            for (Channel channel : random.list().channels()) {
                assertThat(Difference.of(channel, channel)).isEmpty();
                for (Field field :
                        List.of(Field.NAME, Field.NUMBER, Field.POWER_W, Field.NOTE, Field.SCAN, Field.TIMEOUT_S)) {
                    assertThat(Difference.of(channel, channel.with(Map.of(field, "other 7"))))
                            .hasSize(1);
                }
            }
        }
    }

    @Test
    void aHolderMayKeyWhatSomeRouteAllowsAndNothingElse() {
        for (int n = 0; n < LISTS; n++) {
            Audit audit = audit(context(random.holder()), random.list());
            for (int i = 0; i < audit.entries().size(); i++) {
                boolean own = audit.entry(i).own().stream().anyMatch(Finding::holds);
                List<RouteOutcome> routes = audit.routes(i, 0);
                if (!own && audit.entry(i).channel().transmit().isPresent()) {
                    boolean legal = routes.stream().anyMatch(RouteOutcome::legal);
                    assertThat(audit.judgement(i, 0).verdict() != Verdict.HOLD).isEqualTo(legal);
                    assertThat(audit.authority(i, 0).isPresent()).isEqualTo(legal);
                }
                if (!routes.isEmpty() && routes.get(0).legal()) {
                    assertThat(audit.authority(i, 0)).contains(routes.get(0).authority());
                }
            }
        }
    }

    /** Somewhere in the middle of the country, where no grant holds that does not hold everywhere. */
    private Area somewhere(double radiusKm) {
        return new Circle(Place.at(26 + random.upTo(2_200) / 100.0, -122 + random.upTo(5_200) / 100.0), radiusKm);
    }

    @Test
    void aPlaceTakesAwayAndNeverGives() {
        for (int n = 0; n < LISTS; n++) {
            AuditContext anywhere = context(random.holder());
            ChannelList list = random.list();
            Set<Integer> held = on(audit(anywhere, list), Verdict.HOLD);
            Audit there = audit(anywhere.at(Optional.of(somewhere(0))), list);
            assertThat(on(there, Verdict.HOLD)).containsAll(held);
        }
    }

    @Test
    void whereThePlaceIsKnownNothingAsksForIt() {
        for (int n = 0; n < LISTS; n++) {
            Audit there = audit(context(random.holder()).at(Optional.of(somewhere(0))), random.list());
            for (int i = 0; i < there.entries().size(); i++) {
                assertThat(there.findings(i))
                        .noneMatch(finding -> finding.slug() == Slug.PLACE_UNKNOWN)
                        .noneMatch(finding -> finding.slug() == Slug.RESTRICTED_AREA && !finding.holds());
            }
        }
    }

    @Test
    void aSmallerAreaAroundTheSamePlaceIsNeverWorse() {
        for (int n = 0; n < LISTS; n++) {
            AuditContext anywhere = context(random.holder());
            ChannelList list = random.list();
            Circle wide = (Circle) somewhere(120);
            Set<Integer> all = on(audit(anywhere.at(Optional.of(wide)), list), Verdict.HOLD);
            Set<Integer> less = on(audit(anywhere.at(Optional.of(new Circle(wide.centre(), 10))), list), Verdict.HOLD);
            assertThat(all).containsAll(less);
        }
    }

    @Test
    void anOverlayNeitherMakesNorLiftsAHold() {
        Edition planned = EDITION.withPlan(
                EDITION.plan()
                        .overlaid(
                                OverlayReader.rows(
                                        JsonMapper.builder()
                                                .build()
                                                .readTree(
                                                        """
        [{"mhz":"144.100-148.000","uses":"data","warning":"ask first"},{"mhz":"442-445","uses":"repeater-output",
          "offsetsMhz":["5"],"rasters":["442.000+25"]},{"mhz":"146.520","uses":"any"}]"""))));
        for (int n = 0; n < LISTS; n++) {
            String holder = random.holder();
            ChannelList list = random.list();
            AuditContext local = AuditContext.of(planned, Audits.DAY, List.of(HolderShorthand.holder(holder, planned)));
            assertThat(on(audit(local, list), Verdict.HOLD)).isEqualTo(on(audit(context(holder), list), Verdict.HOLD));
        }
    }

    @Test
    void holdersJudgedTogetherAreJudgedAsEachAlone() {
        List<String> names = List.of("nobody", "gmrs", "amateur:technician", "amateur:extra", "amateur:general,gmrs");
        for (int n = 0; n < LISTS; n++) {
            ChannelList list = random.list();
            Audit together =
                    Audits.auditor(Audits.DAY, names.toArray(String[]::new)).audit(list);
            List<Audit> alone = new ArrayList<>();
            names.forEach(name -> alone.add(Audits.auditor(Audits.DAY, name).audit(list)));
            for (int i = 0; i < list.channels().size(); i++) {
                int entry = i;
                IntStream.range(0, names.size())
                        .forEach(h -> assertThat(together.judgement(entry, h).verdict())
                                .isEqualTo(alone.get(h).judgement(entry, 0).verdict()));
                Verdict worst = alone.stream()
                        .map(each -> each.entry(entry).verdict())
                        .reduce(Verdict::worse)
                        .orElseThrow();
                assertThat(together.entry(i).verdict())
                        .as("the least privileged decides")
                        .isEqualTo(worst);
            }
        }
    }
}
