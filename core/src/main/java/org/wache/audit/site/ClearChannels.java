package org.wache.audit.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.EntryAudit;
import org.wache.audit.Finding;
import org.wache.audit.Sites;
import org.wache.audit.Verdict;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.signal.Frequency;
import org.wache.signal.Span;
import org.wache.site.Findings;
import org.wache.site.Hit;
import org.wache.site.Receiver;
import org.wache.site.SiteStudy;

/** Picks direct channels that everyone who carries a list may use, and that its site leaves clear. */
public final class ClearChannels {

  /** So that not all picks are neighbours of the best one. */
  private static final long BAND = 10_000_000;
  private static final int OF_A_BAND = 4;

  private ClearChannels() {}

  /**
   * A channel that could be taken.
   *
   * @param entry the entry, without a name
   * @param verdict what it comes to for those who carry the list: clear or query
   * @param findings what is asked of it
   * @param near how many transmitters of the site are so near that they need filters or turns
   * @param apart how far the nearest frequency of the site is, hertz
   */
  public record Pick(Channel entry, Verdict verdict, List<Finding> findings, long near, long apart) {}

  /**
   * The channels, the best first: clear before query, without near transmitters before others, then those that stand
   * furthest from the rest of the site.
   *
   * @param audit the list under audit
   * @param site the site that it would be added to
   * @param service only of this service; empty for any
   * @param powerW output in watts as text; empty for unknown
   * @param most how many are wanted, 1 or more
   */
  public static List<Pick> of(Audit audit, Sites.Site site, String service, String powerW, int most) {
    Auditor auditor = audit.auditor();
    Set<Long> taken = new HashSet<>();
    audit.list().channels().forEach(channel -> {
      channel.receive().ifPresent(each -> taken.add(each.hertz()));
      channel.transmit().ifPresent(each -> taken.add(each.hertz()));
    });
    auditor.context().neighbours().all().forEach(each -> {
      taken.add(each.frequency().hertz());
      each.input().ifPresent(input -> taken.add(input.hertz()));
    });
    List<Pick> legal = new ArrayList<>();
    for (Channel each : DirectChannels.of(auditor.context())) {
      if (taken.contains(each.transmit().orElseThrow().hertz()) || !service.isEmpty() && !each.serviceHint().equals(service)) {
        continue;
      }
      Channel entry = each.with(Map.of(Field.POWER_W, powerW));
      Span span = entry.occupied().orElseThrow();
      Findings heard = site.study().at(new Receiver(-1, (span.low() + span.high()) / 2, span.length() / 2));
      if (heard.total() - heard.count(Hit.Kind.NEAR) > 0) {
        continue;
      }
      EntryAudit alone = auditor.audit(new ChannelList("", audit.list().extraColumns(), List.of(entry))).entry(0);
      if (alone.verdict() != Verdict.HOLD) {
        List<Finding> asked = new ArrayList<>(alone.own());
        alone.judgements().forEach(judgement -> asked.addAll(judgement.findings()));
        legal.add(new Pick(entry, alone.verdict(), asked, heard.count(Hit.Kind.NEAR), apart(site.study(), entry)));
      }
    }
    legal.sort(Comparator.comparing((Pick each) -> each.verdict() != Verdict.CLEAR).thenComparing(each -> each.near() > 0)
        .thenComparing(Comparator.comparingLong(Pick::apart).reversed()));
    long before = Clearing.total(site.study());
    List<Pick> picked = new ArrayList<>();
    Map<Long, Integer> inBand = new HashMap<>();
    for (Pick each : legal) {
      if (picked.size() == most) {
        break;
      }
      if (inBand.merge(each.entry().transmit().orElseThrow().hertz() / BAND, 1, Integer::sum) > OF_A_BAND) {
        continue;
      }
      if (Clearing.total(with(audit, site, each.entry())) <= before) {
        picked.add(each);
      }
    }
    return picked;
  }

  /** The site with one more entry. */
  private static SiteStudy with(Audit audit, Sites.Site site, Channel entry) {
    List<Channel> channels = new ArrayList<>(audit.list().channels());
    channels.add(entry);
    List<Integer> positions = new ArrayList<>(site.study().positions());
    positions.add(channels.size() - 1);
    return new SiteStudy(channels, positions, audit.auditor().context().edition().nearness());
  }

  private static long apart(SiteStudy study, Channel entry) {
    long here = entry.transmit().map(Frequency::hertz).orElseThrow();
    long nearest = Long.MAX_VALUE;
    for (Receiver receiver : study.receivers()) {
      nearest = Math.min(nearest, Math.abs(receiver.centre() - here));
    }
    for (var emitter : study.emitters()) {
      nearest = Math.min(nearest, Math.abs(emitter.centre() - here));
    }
    return nearest;
  }
}
