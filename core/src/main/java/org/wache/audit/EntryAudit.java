package org.wache.audit;

import java.util.List;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;

/**
 * What an audit says of one entry.
 *
 * @param channel the entry
 * @param own findings that hold whoever carries it
 * @param judgements one for each set of licences, in the order of {@link Auditor#profiles()}
 * @param verdict the worst of all
 */
public record EntryAudit(Channel channel, List<Finding> own, List<Judgement> judgements, Verdict verdict) {}
