package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.wache.signal.Span;

/**
 * Band edges for a transceiver that keeps its transmit limits in a table of so many slots: rising, never overlapping,
 * one contiguous span a slot.
 *
 * @param slots what goes into the table
 * @param left what found no slot, in the same order
 * @param channelised bands used on fixed channels only: they are memories, not ranges
 */
public record EdgeTable(List<Slot> slots, List<Slot> left, List<String> channelised) {

  /**
   * One slot.
   *
   * @param number from 1
   * @param band the band's name
   * @param span the limits, both allowed for the carrier's sidebands together
   */
  public record Slot(int number, String band, Span span) {}

  public EdgeTable {
    slots = List.copyOf(slots);
    left = List.copyOf(left);
    channelised = List.copyOf(channelised);
  }

  /**
   * The table of a class.
   *
   * @param contents set of {@link org.wache.signal.Content} bits: what the operator wants to send
   * @param bands names of the bands wanted; empty for all
   * @param most slots that the transceiver has, at least 1
   */
  public static EdgeTable of(BandService service, int licenceClass, int contents, Set<String> bands, int most) {
    if (most < 1) {
      throw new IllegalArgumentException("A table has at least one slot");
    }
    List<Slot> slots = new ArrayList<>();
    List<Slot> left = new ArrayList<>();
    for (Room room : service.rooms(licenceClass, contents)) {
      if (bands.isEmpty() || bands.contains(room.low().band()) || bands.contains(room.high().band())) {
        Slot slot = new Slot(slots.size() + left.size() + 1, room.band(), room.span());
        (slots.size() < most ? slots : left).add(slot);
      }
    }
    List<String> channelised = service.channelised().stream().map(Grant::band)
        .filter(band -> bands.isEmpty() || bands.contains(band))
        .filter(band -> service.channels().stream().anyMatch(channel -> channel.lowestClass() <= licenceClass
            && (channel.allow() & contents) != 0))
        .toList();
    return new EdgeTable(slots, left, channelised);
  }

  /** As text, a line a slot: {@code 1  14.025000  14.150000  20 m}. */
  public String text() {
    StringBuilder text = new StringBuilder();
    for (Slot slot : slots) {
      text.append(String.format(java.util.Locale.ROOT, "%2d  %12.6f  %12.6f  %s%n", slot.number(),
          slot.span().low() / 1e6, slot.span().high() / 1e6, slot.band()));
    }
    return text.toString().replace("\r\n", "\n");
  }
}
