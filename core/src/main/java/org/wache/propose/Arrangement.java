package org.wache.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.wache.channel.Channel;
import org.wache.channel.Use;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Service;

/**
 * A list in another order, with other numbers and zones.
 *
 * @param order the places of the entries as they were, in their new order
 * @param numbers the new numbers, for each entry as it was; empty when they stay
 * @param zones the new zones, for each entry as it was; empty when they stay
 */
public record Arrangement(List<Integer> order, List<String> numbers, List<String> zones) {

    /** By what entries are sorted. */
    public enum SortBy {
        AS_THEY_ARE,
        FREQUENCY,
        /** As the channels of their service are numbered; what has no channel comes after, by frequency. */
        CHANNEL,
        NAME,
        NUMBER,
        USE
    }

    /** By what entries are put together. */
    public enum GroupBy {
        NOTHING,
        SERVICE,
        BAND,
        USE,
        ZONE
    }

    /**
     * What is wanted.
     *
     * @param from the first number; empty when numbers stay
     * @param inEachGroup whether numbers begin anew in each group
     * @param zonesFromGroups whether each group becomes a zone
     * @param zoneSize the most entries of a zone; empty without a limit
     */
    public record Wanted(
            SortBy sort,
            GroupBy group,
            OptionalInt from,
            boolean inEachGroup,
            boolean zonesFromGroups,
            OptionalInt zoneSize) {}

    /** Arranges a list. */
    public static Arrangement of(Edition edition, List<Channel> channels, Wanted wanted) {
        Map<String, List<Integer>> groups = new LinkedHashMap<>();
        List<Integer> sorted =
                new ArrayList<>(IntStream.range(0, channels.size()).boxed().toList());
        sorted.sort(Comparator.comparing(channels::get, by(wanted.sort(), edition)));
        for (int place : sorted) {
            groups.computeIfAbsent(group(edition, channels.get(place), wanted.group()), any -> new ArrayList<>())
                    .add(place);
        }
        List<String> titles = new ArrayList<>(groups.keySet());
        if (wanted.group() == GroupBy.BAND) {
            titles.sort(Comparator.comparingLong(title -> groups.get(title).stream()
                    .mapToLong(place -> channels.get(place)
                            .receive()
                            .map(hears -> hears.hertz())
                            .orElse(Long.MAX_VALUE))
                    .min()
                    .orElse(0)));
        }
        List<Integer> order = new ArrayList<>();
        String[] numbers = new String[channels.size()];
        String[] zones = new String[channels.size()];
        int number = wanted.from().orElse(1);
        for (String title : titles) {
            number = wanted.inEachGroup() ? wanted.from().orElse(1) : number;
            List<Integer> members = groups.get(title);
            for (int i = 0; i < members.size(); i++) {
                order.add(members.get(i));
                numbers[members.get(i)] = Integer.toString(number++);
                zones[members.get(i)] = zone(title, i, members.size(), wanted.zoneSize());
            }
        }
        return new Arrangement(
                List.copyOf(order),
                wanted.from().isPresent() ? List.of(numbers) : List.of(),
                wanted.zonesFromGroups() ? List.of(zones) : List.of());
    }

    /** A group larger than a zone may be becomes several: "2 m 1", "2 m 2". */
    private static String zone(String title, int place, int size, OptionalInt most) {
        boolean split = most.isPresent() && size > most.getAsInt();
        String number = split ? Integer.toString(place / most.getAsInt() + 1) : "";
        return title.isEmpty() ? (split ? "Zone " + number : "") : split ? title + " " + number : title;
    }

    private static int channelNumber(Edition edition, Channel channel) {
        return channel.receive()
                .filter(hears -> channel.transmit().isPresent())
                .flatMap(hears -> service(edition, channel).flatMap(service -> service.channelAt(hears, false)))
                .map(fixed -> fixed.name().replaceAll("[^0-9]", ""))
                .filter(digits -> digits.matches("[0-9]{1,4}"))
                .map(Integer::parseInt)
                .orElse(Integer.MAX_VALUE);
    }

    private static Comparator<Channel> by(SortBy sort, Edition edition) {
        return switch (sort) {
            case AS_THEY_ARE -> Comparator.comparing(any -> 0);
            case FREQUENCY ->
                Comparator.comparing((Channel channel) ->
                                channel.receive().map(hears -> hears.hertz()).orElse(Long.MAX_VALUE))
                        .thenComparing(channel ->
                                channel.transmit().map(talks -> talks.hertz()).orElse(0L));
            case CHANNEL ->
                Comparator.comparingInt((Channel channel) -> channelNumber(edition, channel))
                        .thenComparing(by(SortBy.FREQUENCY, edition));
            case NAME -> Comparator.comparing(channel -> channel.name().toLowerCase(Locale.ROOT));
            case NUMBER ->
                Comparator.comparingInt(channel -> channel.number().matches("[0-9]{1,6}")
                        ? Integer.parseInt(channel.number())
                        : Integer.MAX_VALUE);
            case USE -> Comparator.comparing(Channel::use);
        };
    }

    private static String group(Edition edition, Channel channel, GroupBy group) {
        return switch (group) {
            case NOTHING -> "";
            case ZONE -> channel.text(org.wache.channel.Field.ZONE);
            case USE ->
                channel.use() == Use.DIRECT ? "Direct" : channel.use() == Use.REPEATER ? "Repeaters" : "Listening";
            case SERVICE -> service(edition, channel).map(Service::title).orElse("Listening");
            case BAND ->
                channel.receive()
                        .flatMap(hears -> edition.servicesAt(hears).stream()
                                .filter(each -> each instanceof org.wache.rulebook.BandService)
                                .findFirst()
                                .map(each -> each.placeName(hears))
                                .or(() -> service(edition, channel).map(Service::title))
                                .or(() -> edition.allocation(hears)
                                        .map(whose -> org.wache.audit.finding.Wording.capital(whose.whose()))))
                        .orElse("Elsewhere");
        };
    }

    private static Optional<Service> service(Edition edition, Channel channel) {
        return channel.transmit().flatMap(talks -> {
            List<Service> there = edition.servicesAt(talks);
            return there.stream()
                    .filter(each -> each.id().equals(channel.serviceHint()))
                    .findFirst()
                    .or(() -> there.stream().findFirst());
        });
    }
}
