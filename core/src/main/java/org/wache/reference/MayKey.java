package org.wache.reference;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Judgement;
import org.wache.audit.RuleSet;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.signal.Frequency;

/**
 * Whether somebody may key a frequency direct, as a person asks: the modes in which they may, or why not in any. Each mode is audited as an entry
 * with little power, so that nothing is told here that the audit would not tell.
 *
 * @param may whether there is a mode in which they may
 * @param modes those in which they may
 * @param words by what right, or why not
 * @param source of that
 */
public record MayKey(boolean may, List<String> modes, String words, String source) {

    /** What hand-helds and transceivers send, the usual first. */
    private static final List<String> MODES = List.of("NFM", "FM", "AM", "USB", "LSB", "CW");

    private static final String LITTLE_W = "0.5";

    /**
     * What the only holder of a context may do on a frequency.
     *
     * @param context with one holder, on the day and at the place
     */
    public static MayKey at(RuleSet rules, AuditContext context, Frequency frequency) {
        Map<String, Judgement> by = new LinkedHashMap<>();
        List<String> modes = new ArrayList<>();
        String words = "";
        String source = "";
        for (String mode : MODES) {
            Channel channel = Channel.of(Map.of(
                    Field.NUMBER,
                    "1",
                    Field.RX_MHZ,
                    frequency.megahertz(),
                    Field.TX_MHZ,
                    frequency.megahertz(),
                    Field.MODE,
                    mode,
                    Field.POWER_W,
                    LITTLE_W,
                    Field.TIMEOUT_S,
                    "60"));
            Audit audit = new Auditor(rules, context).audit(new ChannelList("", List.of(), List.of(channel)));
            Judgement judgement = audit.judgement(0, 0);
            by.put(mode, judgement);
            if (judgement.verdict() != Verdict.HOLD && judgement.route().isPresent()) {
                if (modes.isEmpty()) {
                    words = audit.authority(0, 0)
                            .map(authority -> authority
                                            .licenceClass()
                                            .map(each -> Wording.capital(each) + ", ")
                                            .orElse("")
                                    + authority.segment())
                            .orElse("");
                    source = audit.authority(0, 0)
                            .map(authority -> authority.source())
                            .orElse("");
                }
                modes.add(mode);
            }
        }
        if (!modes.isEmpty()) {
            return new MayKey(true, List.copyOf(modes), words, source);
        }
        Optional<Finding> why = by.values().stream()
                .flatMap(each -> each.findings().stream())
                .filter(Finding::holds)
                .findFirst();
        return new MayKey(
                false,
                List.of(),
                why.map(Finding::message).orElse("No service of this rulebook is for them here."),
                why.map(Finding::source).orElse(""));
    }
}
