package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.rules.Register;
import org.wache.exchange.HolderShorthand;
import org.wache.place.Area;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.place.Region;
import org.wache.rulebook.Edition;

/** What depends on where a list is used; towns with coordinates as in any atlas, the law's areas from memory. */
class PlacesTest {

    private static Audit audited(Optional<Area> site, String holder, String entry) {
        Edition edition = Audits.edition(Audits.DAY);
        AuditContext context = AuditContext.of(edition, Audits.DAY, List.of(HolderShorthand.holder(holder, edition)))
                .at(site);
        return new Auditor(Register.ALL, context)
                .audit(Audits.list(RulePage.entry("", entry).channels()));
    }

    @ParameterizedTest(name = "{10}: {4} MHz {6} W at {0} {1} {3}: {8}")
    @CsvFileSource(resources = "/cases/places.csv", numLinesToSkip = 1)
    void places(ArgumentsAccessor row) {
        String entry = String.format(
                Locale.ROOT,
                "rx_mhz=%1$s tx_mhz=%1$s mode=%2$s power_w=%3$s",
                row.getString(4),
                row.getString(5),
                row.getString(6));
        Audit audit = audited(site(row), row.getString(7), entry);
        assertThat(Audits.said(audit)).isEqualTo(Audits.said(row.getString(8), row.getString(9)));
    }

    private static Optional<Area> site(ArgumentsAccessor row) {
        if (row.getString(0) != null) {
            double radius = row.getString(2) == null ? 0 : row.getDouble(2);
            return Optional.of(new Circle(Place.at(row.getDouble(0), row.getDouble(1)), radius));
        }
        return Optional.ofNullable(row.getString(3)).map(Region::new);
    }

    @Test
    void aClosureShowsHowTheSiteLiesToTheLine() {
        Finding finding = audited(
                        Optional.of(Circle.site(Place.at(42.33, -83.05))),
                        "amateur:technician",
                        "rx_mhz=425 tx_mhz=425 mode=NFM power_w=5")
                .findings(0)
                .stream()
                .filter(each -> each.slug() == Slug.RESTRICTED_AREA)
                .findFirst()
                .orElseThrow();
        assertThat(finding.message())
                .isEqualTo("420.000–430.000 MHz is closed to amateur stations north of Line A, and the place"
                        + " where the list is used lies there.");
        assertThat(finding.working().text())
                .startsWith(
                        "425.000 MHz; inside 420.000–430.000 MHz: closed there; 42.3300 ° N;" + " limit 41.0000 ° N");
        assertThat(finding.source()).isEqualTo("47 CFR 97.303(m)");
    }

    @Test
    void powerInAnAreaShowsTheDistanceFromItsMiddle() {
        Finding finding = audited(
                        Optional.of(Circle.site(Place.at(39.53, -119.81))),
                        "amateur:technician",
                        "rx_mhz=446 tx_mhz=446 mode=FM power_w=100")
                .findings(0)
                .stream()
                .filter(each -> each.slug() == Slug.POWER_OVER)
                .findFirst()
                .orElseThrow();
        assertThat(finding.message())
                .isEqualTo(
                        "100 W PEP is above the 50 W that 70 cm allows within 240 km of Beale, where the list is used.");
        assertThat(finding.working().text()).matches("100 W; limit 50 W; 14[5-7]\\.\\d km; limit 240\\.0 km");
        assertThat(finding.source()).isEqualTo("47 CFR 97.313(f)");
    }
}
