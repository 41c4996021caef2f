package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** A service with fixed channels: personal radio. */
public final class ChannelService extends Service {

    private final List<Span> spans;
    private final FixedChannels channels;

    ChannelService(ServiceTraits traits, List<Span> spans, List<FixedChannel> channels) {
        super(traits);
        this.spans = List.copyOf(spans);
        this.channels = new FixedChannels(channels);
    }

    /** Its channels in its own order. */
    public List<FixedChannel> channels() {
        return channels.all();
    }

    /** The stretches in which its channels lie. */
    public List<Span> spans() {
        return spans;
    }

    @Override
    public Inclusion includes(Frequency frequency) {
        for (int i = 0; i < spans.size(); i++) {
            if (spans.get(i).contains(frequency)) {
                return channels.at(frequency, false).isPresent() ? Inclusion.EXACT : Inclusion.NEAR;
            }
        }
        return Inclusion.OUTSIDE;
    }

    @Override
    public boolean isChannelised(Frequency frequency) {
        return true;
    }

    @Override
    public Optional<FixedChannel> channelAt(Frequency transmit, boolean oneSided) {
        return channels.at(transmit, oneSided);
    }

    @Override
    public Optional<FixedChannel> nearestChannel(Frequency frequency, boolean oneSided) {
        return channels.nearest(frequency, oneSided);
    }

    @Override
    public Optional<Room> room(int licenceClass, Emission emission, Frequency frequency) {
        return Optional.empty();
    }

    @Override
    public List<PowerLimit> powerLimits(int licenceClass, Emission emission, Frequency frequency) {
        Optional<FixedChannel> channel = channels.at(frequency, emission.oneSided());
        if (channel.isEmpty()) {
            return List.of();
        }
        Optional<PowerLimit> sideband = channel.get().sidebandPower();
        return (sideband.isPresent() && emission.is(Content.SSB)
                        ? sideband
                        : channel.get().power())
                .stream().toList();
    }

    @Override
    public Optional<WidthLimit> widthLimit(Emission emission, Frequency frequency) {
        return channels.at(frequency, emission.oneSided()).map(channel -> channel.widthFor(emission));
    }

    @Override
    public Optional<Span> spanAt(Frequency frequency) {
        return spans.stream().filter(span -> span.contains(frequency)).findFirst();
    }

    @Override
    List<EditionDifference.Term> terms() {
        return channels.all().stream().map(EditionDifference.Term::channel).toList();
    }

    @Override
    public List<Partner> partners(Frequency frequency) {
        List<Partner> partners = new ArrayList<>();
        for (FixedChannel channel : channels.all()) {
            channel.reaches().ifPresent(output -> {
                if (channel.centre().equals(frequency)) {
                    partners.add(new Partner(output, false, channel.source()));
                } else if (output.equals(frequency)) {
                    partners.add(new Partner(channel.centre(), true, channel.source()));
                }
            });
        }
        return partners;
    }

    @Override
    public String placeName(Frequency frequency) {
        return channels.at(frequency, false)
                .map(channel -> title() + " channel " + channel.name())
                .orElse(title());
    }
}
