package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** A service licensed line by line: business and public safety land mobile. */
public final class AuthorisedService extends Service {

    private final SpanIndex<Band> bands;
    private final SpanIndex<BandService.ContentLimit> width;
    private final List<Band> allBands;
    private final List<BandService.ContentLimit> allWidth;
    private final List<Pair> pairs;
    private final List<Steps> rasters;
    private final String source;

    /** Where base stations and repeaters talk, and how far from there mobiles do. */
    record Pair(Span outputs, long offset, Optional<String> zone, String source) {}

    /** A raster on which lines stand. */
    public record Steps(Span span, Raster raster, String source) {}

    /** One stretch in which lines may be licensed. */
    record Band(Span span, String source) {}

    AuthorisedService(
            ServiceTraits traits,
            List<Band> bands,
            List<BandService.ContentLimit> width,
            List<Pair> pairs,
            List<Steps> rasters,
            String source) {
        super(traits);
        this.bands = SpanIndex.of(bands, Band::span);
        this.width = SpanIndex.of(width, BandService.ContentLimit::span);
        this.allBands = List.copyOf(bands);
        this.allWidth = List.copyOf(width);
        this.pairs = List.copyOf(pairs);
        this.rasters = List.copyOf(rasters);
        this.source = source;
    }

    /** Where lines may be licensed. */
    List<Band> bands() {
        return allBands;
    }

    /** The rasters on which lines stand. */
    public List<Steps> rasters() {
        return rasters;
    }

    /** The section that wants every frequency in a transmitter authorised. */
    public String source() {
        return source;
    }

    @Override
    public Inclusion includes(Frequency frequency) {
        return bands.at(frequency.hertz()).isEmpty() ? Inclusion.OUTSIDE : Inclusion.EXACT;
    }

    @Override
    public boolean isChannelised(Frequency frequency) {
        return false;
    }

    @Override
    public Optional<FixedChannel> channelAt(Frequency transmit, boolean oneSided) {
        return Optional.empty();
    }

    @Override
    public Optional<FixedChannel> nearestChannel(Frequency frequency, boolean oneSided) {
        return Optional.empty();
    }

    @Override
    public Optional<Room> room(int licenceClass, Emission emission, Frequency frequency) {
        return Optional.empty();
    }

    @Override
    public List<PowerLimit> powerLimits(int licenceClass, Emission emission, Frequency frequency) {
        return List.of(); // the licence's own line limits the power
    }

    @Override
    public Optional<WidthLimit> widthLimit(Emission emission, Frequency frequency) {
        for (BandService.ContentLimit each : width.at(frequency.hertz())) {
            return Optional.of(each.limit());
        }
        return Optional.empty();
    }

    @Override
    public Optional<Span> spanAt(Frequency frequency) {
        return bands.at(frequency.hertz()).stream().map(Band::span).findFirst();
    }

    @Override
    List<EditionDifference.Term> terms() {
        List<EditionDifference.Term> terms = new ArrayList<>();
        allBands.forEach(band -> terms.add(new EditionDifference.Term(band.span() + ": by licence", band.source())));
        allWidth.forEach(each -> terms.add(EditionDifference.Term.width(each.span(), each.contents(), each.limit())));
        return terms;
    }

    @Override
    public List<Partner> partners(Frequency frequency) {
        List<Partner> partners = new ArrayList<>();
        for (Pair pair : pairs) {
            if (pair.outputs().contains(frequency)) {
                partners.add(new Partner(frequency.plus(pair.offset()), true, pair.source()));
            } else if (frequency.hertz() > pair.offset()
                    && pair.outputs().contains(frequency.hertz() - pair.offset())) {
                partners.add(new Partner(frequency.plus(-pair.offset()), false, pair.source()));
            }
        }
        return partners;
    }

    /** The raster on which lines stand there. */
    public Optional<Steps> raster(Frequency frequency) {
        return rasters.stream().filter(each -> each.span().contains(frequency)).findFirst();
    }

    /** The stretch of spectrum, by section, in which a frequency may be licensed. */
    public Optional<String> bandSource(Frequency frequency) {
        return bands.at(frequency.hertz()).stream().map(Band::source).findFirst();
    }

    @Override
    public String placeName(Frequency frequency) {
        return "land mobile spectrum";
    }
}
