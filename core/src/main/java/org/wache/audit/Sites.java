package org.wache.audit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.wache.channel.Channel;
import org.wache.rulebook.Nearness;
import org.wache.site.Findings;
import org.wache.site.Keying;
import org.wache.site.SiteStudy;

/** The sites of a list: for each part of it that is keyed together what its transmitters do to its receivers. */
public final class Sites {

    /**
     * A part of the list and its study.
     *
     * @param name whose it is; empty for all of the list
     * @param study what disturbs what
     */
    public record Site(String name, SiteStudy study) {}

    private final List<Site> all;
    private final List<Channel> channels;
    private final Map<Integer, Reached> reached = new ConcurrentHashMap<>();

    /**
     * What reaches an entry, and where most of it does.
     *
     * @param site the site where most does
     * @param findings what does there
     */
    public record Reached(Optional<Site> site, Findings findings) {}

    Sites(List<Channel> channels, Keying keying, List<Nearness> nearness) {
        this.channels = channels;
        this.all = keying.parts(channels).stream()
                .map(part -> new Site(part.name(), new SiteStudy(channels, part.positions(), nearness)))
                .toList();
    }

    /** All of them. */
    public List<Site> all() {
        return all;
    }

    /** What reaches an entry of the list; where several sites use it, the one where most does counts. */
    public Reached at(int position) {
        return reached.computeIfAbsent(position, any -> worst(position, channels.get(position)));
    }

    /** What would reach an entry if it were this, the others as they are. */
    Reached at(int position, Channel changed) {
        return channels.get(position) == changed ? at(position) : worst(position, changed);
    }

    private Reached worst(int position, Channel channel) {
        Reached worst = new Reached(Optional.empty(), Findings.NONE);
        for (Site site : sitesOf(position)) {
            Findings there = site.study().at(position, channel);
            worst = there.total() > worst.findings().total() ? new Reached(Optional.of(site), there) : worst;
        }
        return worst;
    }

    private List<Site> sitesOf(int position) {
        List<Site> some = new ArrayList<>();
        for (Site site : all) {
            if (site.study().uses(position)) {
                some.add(site);
            }
        }
        return some;
    }
}
