package org.wache.server.site;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.wache.audit.Audit;
import org.wache.audit.Verdict;
import org.wache.channel.Channel;
import org.wache.server.lists.Audited;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Views;
import org.wache.station.Figure;
import org.wache.station.Station;
import org.wache.station.StationSheet;

/** The figures of a station with the entries of a list. */
@Component
public class StationSheets {

    private static final int MOST = 200;

    private final ListService service;

    StationSheets(ListService service) {
        this.service = service;
    }

    /** A sheet: general figures, those of each entry, and the exposure with all of them keyed at once. */
    public record Sheet(
            List<FigureView> general,
            List<EntryFigures> entries,
            List<FigureView> together,
            List<Long> added,
            int left) {}

    /** A figure with its sum. */
    public record FigureView(
            String id, String label, String amount, String unit, List<Views.SumLine> sum, String source) {}

    /** The figures of an entry; limit is what its power is held against. */
    public record EntryFigures(
            long entry,
            String number,
            String name,
            long txHz,
            String emission,
            double outputW,
            List<FigureView> figures,
            @io.swagger.v3.oas.annotations.media.Schema(nullable = true) PowerHeld limit,
            Verdict verdict,
            List<String> findings) {}

    /** A power against its limit. */
    public record PowerHeld(
            String measure, double watts, double limitW, boolean over, List<Views.SumLine> sum, String source) {}

    /**
     * Works a sheet out.
     *
     * @param entries keys of the entries that the station works; empty for all that transmit
     * @param atOnce keys of those that may be keyed at one time; empty where there is one transmitter
     * @throws IllegalArgumentException when a figure of the station cannot be
     */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public Sheet of(long account, long list, Station station, List<Long> entries, List<Long> atOnce) {
        Audited audited = service.seen(account, list).audited();
        Audit audit = audited.audit();
        List<Integer> positions = new ArrayList<>();
        for (int i = 0; i < audited.stored().size(); i++) {
            Channel channel = audited.stored().get(i).channel();
            boolean wanted = entries.isEmpty()
                    || entries.contains(audited.stored().get(i).id());
            if (wanted && channel.transmit().isPresent() && channel.emission().isPresent()) {
                positions.add(i);
            }
        }
        List<Integer> some = positions.subList(0, Math.min(MOST, positions.size()));
        StationSheet sheet = StationSheet.of(
                station,
                audit,
                some,
                some.stream()
                        .filter(i -> atOnce.contains(audited.stored().get(i).id()))
                        .toList());
        return new Sheet(
                figures(sheet.general()),
                sheet.entries().stream().map(each -> entry(each, audited)).toList(),
                figures(sheet.together()),
                sheet.added().stream().map(i -> audited.stored().get(i).id()).toList(),
                positions.size() - some.size());
    }

    private static EntryFigures entry(StationSheet.OnEntry on, Audited audited) {
        ListStore.Stored stored = audited.stored().get(on.position());
        return new EntryFigures(
                stored.id(),
                stored.channel().number(),
                stored.channel().name(),
                stored.channel().transmit().orElseThrow().hertz(),
                stored.channel().emission().orElseThrow().designator(),
                on.output().value(),
                figures(on.figures()),
                on.limit().map(StationSheets::held).orElse(null),
                on.verdict(),
                on.findings().stream()
                        .map(finding -> finding.message())
                        .distinct()
                        .toList());
    }

    private static PowerHeld held(StationSheet.Held held) {
        return new PowerHeld(
                held.measure(),
                held.watts().value(),
                held.limit().value(),
                held.over(),
                DeskWriter.sum(held.sum()),
                held.source());
    }

    private static List<FigureView> figures(List<Figure> figures) {
        return figures.stream()
                .map(each -> new FigureView(
                        each.id(), each.label(), each.amount(), each.unit(), DeskWriter.sum(each.sum()), each.source()))
                .toList();
    }
}
