package org.wache.rulebook;

import java.util.List;
import java.util.Optional;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** A service licensed line by line: business and public safety land mobile. */
public final class AuthorisedService extends Service {

  private final SpanIndex<Band> bands;
  private final SpanIndex<BandService.ContentLimit> width;
  private final String source;

  /** One stretch in which lines may be licensed. */
  record Band(Span span, String source) {}

  AuthorisedService(ServiceTraits traits, List<Band> bands, List<BandService.ContentLimit> width, String source) {
    super(traits);
    this.bands = SpanIndex.of(bands, Band::span);
    this.width = SpanIndex.of(width, BandService.ContentLimit::span);
    this.source = source;
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
  public Optional<PowerLimit> powerLimit(int licenceClass, Emission emission, Frequency frequency) {
    return Optional.empty(); // the licence's own line limits the power
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
  public String placeName(Frequency frequency) {
    return "land mobile spectrum";
  }
}
