package org.wache.audit.rules.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.channel.Misread;

/** A field's text cannot be read as what it must be. What it probably meant is offered, never assumed. */
public final class Unreadable implements EntryRule {

    private static final Map<String, String> MODE_NAMES = Map.ofEntries(
            Map.entry("WFM", "FM"),
            Map.entry("FMW", "FM"),
            Map.entry("WIDE", "FM"),
            Map.entry("W", "FM"),
            Map.entry("FMN", "NFM"),
            Map.entry("NBFM", "NFM"),
            Map.entry("NARROW", "NFM"),
            Map.entry("N", "NFM"),
            Map.entry("SSB", "USB"),
            Map.entry("PACKET", "PKT"),
            Map.entry("MORSE", "CW"));
    private static final List<String> COMMON_MODES = List.of("FM", "NFM", "USB");

    @Override
    public Slug slug() {
        return Slug.UNREADABLE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "A field cannot be read",
                "The text of a field is not a frequency, tone, power, mode or designator. The entry cannot be judged or loaded "
                        + "until somebody says what was meant.",
                "Correct the field. Where the text has one likely meaning (a decimal comma, a unit behind the number), that is "
                        + "offered.",
                RulePage.entry("amateur:technician", "rx_mhz=146,520 tx_mhz=146,520 mode=FM power_w=5"),
                RulePage.entry("amateur:technician", "rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        List<Misread> misreads = entry.channel().misreads();
        if (misreads.isEmpty()) {
            return List.of();
        }
        return misreads.stream()
                .map(misread -> finding(entry.channel(), misread))
                .toList();
    }

    private static Finding finding(Channel channel, Misread misread) {
        String what = misread.text().isEmpty() ? "is empty" : "is “" + misread.text() + "”";
        return Finding.hold(Slug.UNREADABLE)
                .message(
                        "%s %s; it should be %s.",
                        Wording.capital(misread.field().words()), what, misread.expected())
                .source("list format")
                .cures(() -> cures(channel, misread));
    }

    private static List<Change> cures(Channel channel, Misread misread) {
        Field field = misread.field();
        List<Change> cures = new ArrayList<>();
        for (String likely : likely(channel, misread)) {
            Channel after = channel.with(Map.of(field, likely));
            if (after.misreads().stream().noneMatch(left -> left.field() == field)) {
                cures.add(
                        Change.of(likely.isEmpty() ? "Clear " + field.words() : "Read it as " + likely, field, likely));
            }
        }
        return cures;
    }

    private static List<String> likely(Channel channel, Misread misread) {
        String text = misread.text().trim();
        String plain = text.toUpperCase(Locale.ROOT);
        String number = plain.replace(',', '.').replaceAll("[^0-9.]", "");
        return switch (misread.field()) {
            case RX_MHZ -> text.isEmpty() ? List.of(channel.text(Field.TX_MHZ)) : List.of(number);
            case TX_MHZ -> List.of(number);
            case MODE ->
                text.isEmpty() ? COMMON_MODES : List.of(MODE_NAMES.getOrDefault(plain.replaceAll("[^A-Z]", ""), ""));
            case EMISSION ->
                channel.mode().isPresent()
                        ? List.of(plain.replaceAll("\\s", ""), "")
                        : List.of(plain.replaceAll("\\s", ""));
            case POWER_W -> List.of(plain.endsWith("MW") ? "0." + number : number);
            case TX_TONE, RX_TONE ->
                plain.startsWith("D")
                        ? List.of(plain.replaceAll("[N \\-]", ""), "")
                        : plain.startsWith("B") ? List.of("") : List.of(number, "");
            default -> List.of("");
        };
    }
}
