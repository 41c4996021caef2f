package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.ProvedRemedy;
import org.wache.audit.cure.Remedies;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.exchange.FileProblem;
import org.wache.exchange.HolderShorthand;
import org.wache.exchange.RadioReader;
import org.wache.licence.AuthorisationLine;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.radio.Memories;
import org.wache.radio.MemorySize;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Watts;

/** Lists in radios. The models are those of the demo, whose data the rows name as their source. */
class FitTest {

    private static final Path MODELS = Path.of("..", "demo", "radios");
    private static final List<Field> FIELDS = List.of(
            Field.RX_MHZ,
            Field.TX_MHZ,
            Field.MODE,
            Field.EMISSION,
            Field.POWER_W,
            Field.TX_TONE,
            Field.RX_TONE,
            Field.NAME,
            Field.TIMEOUT_S);

    @ParameterizedTest(name = "{0} {1}: {2}/{3} MHz {4} {6} W {7} “{9}”: {12}")
    @CsvFileSource(resources = "/cases/fit.csv", numLinesToSkip = 1)
    void fit(ArgumentsAccessor row) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        for (int i = 0; i < FIELDS.size(); i++) {
            texts.put(FIELDS.get(i), row.getString(i + 2) == null ? "" : row.getString(i + 2));
        }
        Radio radio = radio(row.getString(0), Optional.ofNullable(row.getString(1)));
        Audit audit = auditor(row.getString(11), radio).audit(Audits.list(Channel.of(texts)));
        List<String> found = audit.findings(0).stream()
                .filter(FitTest::aboutRadios)
                .map(each -> each.slug().text())
                .toList();
        if (row.getString(12).equals("-")) {
            assertThat(found).isEmpty();
        } else {
            assertThat(Audits.rules(audit, 0)).contains(row.getString(12));
        }
    }

    private static boolean aboutRadios(Finding finding) {
        return finding.slug().text().startsWith("radio-")
                || finding.slug() == Slug.NOT_CERTIFIED
                || finding.radio().isPresent();
    }

    static RadioModel model(String file) {
        try {
            return RadioReader.model(Files.readAllBytes(MODELS.resolve(file + ".json")));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static Radio radio(String file, Optional<String> lock) {
        RadioModel model = model(file);
        return new Radio(model, lock.map(name -> model.coverage().lock(name).orElseThrow()), Optional.empty(), false);
    }

    private static RadioModel of(String abilities) {
        return RadioReader.model(
                ("{'model':'M'," + abilities + "}").replace('\'', '"').getBytes(StandardCharsets.UTF_8));
    }

    private static Auditor auditor(String holder, Radio... radios) {
        var edition = Audits.edition(Audits.DAY);
        Holder carrier = holder.equals("land-mobile") ? fleet() : HolderShorthand.holder(holder, edition);
        return new Auditor(
                Register.ALL,
                AuditContext.of(edition, Audits.DAY, List.of(carrier)).forRadios(List.of(radios)));
    }

    private static Holder fleet() {
        return new Holder(
                "fleet",
                List.of(new Licence(
                        "land-mobile",
                        Optional.empty(),
                        Optional.of("WZZB202"),
                        Optional.empty(),
                        List.of(new AuthorisationLine(
                                Frequency.ofMegahertz("451.8").orElseThrow(),
                                Emission.of("11K2F3E"),
                                Optional.of(new Watts(5)),
                                Optional.of(new Watts(5)),
                                OptionalInt.of(20),
                                Optional.empty(),
                                Optional.empty())))));
    }

    private static Channel entry(String text) {
        return RulePage.entry("nobody", text).channel();
    }

    @Test
    void theWrongCountrysSetIsNamedAndTheLockThatCuresItToo() {
        Audit audit = auditor("amateur:technician", radio("heron-h2", Optional.of("Amateur II")))
                .audit(Audits.list(entry("name=WEIR rx_mhz=147.135 tx_mhz=147.735 mode=FM power_w=5 tx_tone=114.8")));
        Finding finding = audit.findings(0).stream()
                .filter(each -> each.slug() == Slug.RADIO_RANGE)
                .findFirst()
                .orElseThrow();
        assertThat(finding.message()).contains("Amateur II").contains("IARU Region 1");
        assertThat(finding.advice().get(0))
                .contains("“Amateur”")
                .contains("erases its memories and settings")
                .contains("save it first");
        assertThat(audit.entry(0).verdict()).isEqualTo(Verdict.HOLD);
    }

    @Test
    void withSeveralRadiosEachIsJudgedAndTheWorstCounts() {
        Channel channel = entry("name=FAM rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM power_w=2");
        assertThat(auditor("gmrs", radio("plover-f2", Optional.empty()))
                        .audit(Audits.list(channel))
                        .findings(0))
                .filteredOn(Finding::holds)
                .isEmpty();
        assertThat(auditor("gmrs", radio("wren-p1", Optional.empty()))
                        .audit(Audits.list(channel))
                        .findings(0))
                .filteredOn(Finding::holds)
                .isEmpty();
        Audit both = auditor(
                        "gmrs",
                        radio("plover-f2", Optional.empty()),
                        radio("wren-p1", Optional.empty()),
                        radio("heron-h2", Optional.of("Open")))
                .audit(Audits.list(channel));
        assertThat(both.entry(0).verdict()).isEqualTo(Verdict.HOLD);
        assertThat(both.findings(0))
                .filteredOn(each -> each.slug() == Slug.NOT_CERTIFIED)
                .extracting(each -> each.radio().orElse(""))
                .containsOnly("Heron H2");
    }

    @Test
    void aSwitchedOffTransmitterNeedsNeitherCertificateNorPower() {
        Radio listener = new Radio(model("heron-h2"), Optional.empty(), Optional.of("For a child"), true);
        Audit audit = auditor("nobody", listener)
                .audit(Audits.list(entry("name=FAM rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM power_w=2")));
        assertThat(audit.findings(0)).filteredOn(FitTest::aboutRadios).isEmpty();
        assertThat(audit.entry(0).verdict()).isEqualTo(Verdict.LISTEN);
    }

    @Test
    void aCodeThatSoundsTheSameIsOfferedAsCure() {
        Audit audit = auditor("land-mobile", radio("badger-b4", Optional.empty()))
                .audit(Audits.list(
                        entry("name=FERRY rx_mhz=451.8 tx_mhz=451.8 mode=NFM power_w=2 tx_tone=D047I rx_tone=D047I")));
        Finding finding = audit.findings(0).stream()
                .filter(each -> each.slug() == Slug.RADIO_TONE)
                .findFirst()
                .orElseThrow();
        assertThat(new Remedies(audit, 0).of(finding))
                .first()
                .satisfies(cure -> assertThat(cure.change().fields()).containsEntry(Field.TX_TONE, "D023"));
    }

    @Test
    void theRadiosOwnFrequencyErrorCountsAtAnEdge() {
        String close = "\"frequencyErrorPpm\":0.1".replace('"', '\'');
        Channel channel = entry("name=TOP rx_mhz=147.9919 tx_mhz=147.9919 mode=FM power_w=5");
        assertThat(Audits.rules(auditor("amateur:technician").audit(Audits.list(channel)), 0))
                .contains("edge-close");
        assertThat(Audits.rules(
                        auditor("amateur:technician", Radio.of(of(close))).audit(Audits.list(channel)), 0))
                .doesNotContain("edge-close");
    }

    @Test
    void aRadioWithoutATimerIsSaid() {
        Channel channel = entry("name=E rx_mhz=146.55 tx_mhz=146.55 mode=FM power_w=5 timeout_s=180");
        assertThat(Audits.rules(
                        auditor("amateur:technician", Radio.of(of("'timeoutsS':[0]")))
                                .audit(Audits.list(channel)),
                        0))
                .contains("timeout-off");
        assertThat(Audits.rules(
                        auditor("amateur:technician", Radio.of(of("'timeoutsS':[0,60]")))
                                .audit(Audits.list(channel)),
                        0))
                .doesNotContain("timeout-off");
    }

    @Test
    void entriesGoIntoTheMemoryOfTheirNumberOrInOrder() {
        MemorySize sixteen = of("'channels':16").memory();
        assertThat(Memories.of(Audits.list(entry("number=3 rx_mhz=146.52"), entry("number=17 rx_mhz=146.55")), sixteen)
                        .slots())
                .extracting(Memories.Slot::memory, Memories.Slot::exists)
                .containsExactly(tuple(3, true), tuple(17, false));
        assertThat(Memories.of(Audits.list(entry("number=R1 rx_mhz=146.52"), entry("number=17 rx_mhz=146.55")), sixteen)
                        .slots())
                .extracting(Memories.Slot::memory, Memories.Slot::exists)
                .containsExactly(tuple(1, true), tuple(2, true));
    }

    private static org.assertj.core.groups.Tuple tuple(Object... values) {
        return org.assertj.core.groups.Tuple.tuple(values);
    }

    @Test
    void entriesCountWithinTheirZone() {
        MemorySize two = of("'zones':2,'channelsPerZone':2").memory();
        Memories memories = Memories.of(
                Audits.list(
                        entry("zone=A rx_mhz=146.52"),
                        entry("zone=B rx_mhz=146.55"),
                        entry("zone=a rx_mhz=146.58"),
                        entry("zone=A rx_mhz=146.5"),
                        entry("zone=C rx_mhz=146.4")),
                two);
        assertThat(memories.slots())
                .extracting(Memories.Slot::zone, Memories.Slot::memory, Memories.Slot::exists)
                .containsExactly(
                        tuple(1, 1, true),
                        tuple(2, 1, true),
                        tuple(1, 2, true),
                        tuple(1, 3, false),
                        tuple(3, 1, false));
    }

    /** What is likely is what the radio can be set to; on FRS not more than 47 CFR 95.567 allows (2 W ERP on 462 MHz). Usual: common practice, no source. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "amateur:technician | rx_mhz=146.52 tx_mhz=146.52 mode=FM       | 'powerLevelsW':[1, 5, 8] | 8 5 1",
                "amateur:technician | rx_mhz=146.52 tx_mhz=146.52 mode=FM       |                          | 5",
                "gmrs               | rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM  | 'powerLevelsW':[0.5, 2, 50] | 2 0.5",
            })
    void whatIsLikelyIsOfferedWhereThePowerIsNotGiven(String holder, String entry, String model, String watts) {
        Audit audit = auditor(holder, model == null ? new Radio[0] : new Radio[] {Radio.of(of(model))})
                .audit(Audits.list(entry(entry)));
        Finding finding = audit.findings(0).stream()
                .filter(each -> each.slug() == Slug.POWER_UNKNOWN)
                .findFirst()
                .orElseThrow();
        assertThat(finding.cures().stream().map(cure -> cure.fields().get(Field.POWER_W)))
                .containsExactly(watts.split(" "));
    }

    @Test
    void anEntryWithoutMemoryIsOfferedOneThatIsFree() {
        Audit numbered = auditor("nobody", Radio.of(of("'channels':3")))
                .audit(Audits.list(entry("number=1 rx_mhz=162.4 mode=NFM"), entry("number=9 rx_mhz=162.55 mode=NFM")));
        assertThat(cures(numbered, 1)).containsExactly(Map.of(Field.NUMBER, "2"));
        Audit zoned = auditor("nobody", Radio.of(of("'zones':2,'channelsPerZone':1")))
                .audit(Audits.list(entry("rx_mhz=162.4 mode=NFM"), entry("rx_mhz=162.55 mode=NFM")));
        assertThat(cures(zoned, 1)).containsExactly(Map.of(Field.ZONE, "Zone 2"));
        Audit full = auditor("nobody", Radio.of(of("'channels':1")))
                .audit(Audits.list(entry("number=1 rx_mhz=162.4 mode=NFM"), entry("number=2 rx_mhz=162.55 mode=NFM")));
        assertThat(cures(full, 1)).isEmpty();
    }

    private static List<Map<Field, String>> cures(Audit audit, int position) {
        Finding finding = audit.findings(position).stream()
                .filter(each -> each.slug() == Slug.RADIO_CAPACITY)
                .findFirst()
                .orElseThrow();
        return new Remedies(audit, position)
                .of(finding).stream().map(cure -> cure.change().fields()).toList();
    }

    @Test
    void aChangeOfNumberOrZoneIsFeltByTheOtherEntries() {
        Radio small = Radio.of(of("'channels':2"));
        Channel[] three = IntStream.of(1, 2, 3)
                .mapToObj(n -> entry("number=" + n + " rx_mhz=162.5" + n + "5 mode=NFM"))
                .toArray(Channel[]::new);
        Audit audit = auditor("nobody", small).audit(Audits.list(three));
        assertThat(Audits.rules(audit, 2)).contains("radio-capacity");
        Audit after = audit.with(0, three[0].with(Map.of(Field.NUMBER, "A")))
                .with(1, three[1].with(Map.of(Field.NUMBER, "9")));
        assertThat(Audits.rules(after, 2)).contains("radio-capacity");
        assertThat(Audits.rules(after, 1)).doesNotContain("radio-capacity");
    }

    @Test
    void itIsTheSameWhetherJudgedAtOnceOrStepByStep() {
        Radio[] radios = {radio("heron-h2", Optional.of("Amateur II")), radio("badger-b4", Optional.empty())};
        Auditor auditor = auditor("amateur:technician", radios);
        List<Channel> channels = new ArrayList<>(new RandomLists(51).list().channels());
        Audit whole = auditor.audit(Audits.list(channels.toArray(Channel[]::new)));
        Audit stepped = auditor.audit(Audits.list(channels.get(0)));
        for (Channel each : channels.subList(1, channels.size())) {
            stepped = stepped.plus(each);
        }
        for (int i = 0; i < channels.size(); i++) {
            assertThat(Audits.rules(stepped, i)).isEqualTo(Audits.rules(whole, i));
        }
    }

    @Test
    void aCureNeverLeavesAHoldInAnyRadio() {
        Radio[] radios = {radio("heron-h2", Optional.of("Amateur")), radio("wren-p1", Optional.empty())};
        for (String holder : List.of("amateur:technician", "gmrs", "amateur:general,gmrs")) {
            Audit audit = auditor(holder, radios).audit(new RandomLists(7).list());
            for (int i = 0; i < audit.entries().size(); i++) {
                Remedies remedies = new Remedies(audit, i);
                for (Finding finding : audit.findings(i)) {
                    for (ProvedRemedy cure : remedies.of(finding)) {
                        EntryAudit after =
                                audit.tried(i, audit.changed(i, cure.change().fields()));
                        assertThat(after.verdict()).isEqualTo(cure.verdictAfter());
                        if (after.verdict() == Verdict.HOLD) {
                            assertThat(finding.holds()
                                            && (finding.service().isPresent()
                                                    || finding.radio().isPresent()))
                                    .isFalse();
                        }
                    }
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "144-146,430-440 | region-1",
                "144-148,420-450 | us",
                "136-174,400-480 | us",
                "144-148,430-450 | australia",
                "144-148,440-450 | region-2-upper",
                "144-147,430-440 | ''"
            })
    void bandLimitsOfCountriesAreRecognised(String spans, String region) {
        List<org.wache.signal.Span> transmits = java.util.Arrays.stream(
                        spans.strip().split(","))
                .map(org.wache.signal.Span::ofMegahertz)
                .toList();
        assertThat(Audits.edition(Audits.DAY)
                        .regionSets()
                        .of(transmits)
                        .map(set -> set.id())
                        .orElse(""))
                .isEqualTo(region.strip());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'transmit':[['148','144']] | transmit[0] should be two frequencies",
                "'stepsKhz':['0'] | stepsKhz should be steps",
                "'stepsKhz':'5' | stepsKhz should be a list",
                "'modes':['ZZ'] | modes should be modes",
                "'kind':'boat' | kind should be hand-held",
                "'channels':0 | channels should be a whole number",
                "'powerLevelsW':[0] | powerLevelsW should be powers",
                "'tones':['x'] | tones should be out of",
                "'toneTable':['abc'] | toneTable should be tones",
                "'timeoutsS':['-1'] | timeoutsS should be whole",
                "'nameLetters':'ascii','nameLength':99 | nameLength should be",
                "'lockModes':[{'transmit':[]}] | lockModes[0].name should be",
                "'powerBands':[{'mhz':['1','2']}] | powerBands[0].levelsW should be",
                "'frontPanel':'some' | frontPanel should be",
                "'keypad':{'method':'x'} | keypad.method should be",
                "'frequencyErrorPpm':'small' | frequencyErrorPpm should be a number"
            })
    void aModelThatCannotBeReadIsRefusedByPath(String abilities, String message) {
        assertThatThrownBy(() -> of(abilities.strip().replace("''", "'")))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining(message.strip());
    }
}
