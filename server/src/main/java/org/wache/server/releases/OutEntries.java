package org.wache.server.releases;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.Verdict;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.compare.ListDifference;
import org.wache.exchange.ReleaseFile;
import org.wache.release.Waiver;
import org.wache.server.accounts.Account;
import org.wache.server.web.Missing;
import org.wache.signal.Tone;

/** The entries that go out, or went out, as a second person reads them: what is new, what was let stand, what stays out of which radio. */
@RestController
class OutEntries {

    private final Gating gating;
    private final Releases releases;
    private final ReleaseStore store;

    OutEntries(Gating gating, Releases releases, ReleaseStore store) {
        this.gating = gating;
        this.releases = releases;
        this.store = store;
    }

    /** The list, with an empty name, or a variant of it. */
    record OutPart(String name, List<OutEntry> entries) {}

    /**
     * An entry.
     *
     * @param shift how far it talks from where it hears, with its sign; empty when direct or when it only listens
     * @param change added or changed since the release before; null when it is as it was
     * @param words what was changed, in radio terms
     * @param waived why a query on it may stand, and by whom
     * @param leftOut the radios that it stays out of
     */
    record OutEntry(
            String number,
            String name,
            String zone,
            String hears,
            String talks,
            String shift,
            String sends,
            String opensOn,
            String mode,
            String power,
            String note,
            @Schema(nullable = true) Verdict verdict,
            @Schema(nullable = true) ListDifference.Kind change,
            List<String> words,
            List<String> waived,
            List<String> leftOut) {}

    @GetMapping("/api/lists/{list}/gate/entries")
    List<OutPart> gate(Account asking, @PathVariable long list) {
        Gating.Stand stand = gating.stand(asking.id(), list);
        Map<String, SinceRelease.Entry> since =
                gating.since(stand).map(SinceRelease::entries).orElse(List.of()).stream()
                        .filter(each -> each.kind() != ListDifference.Kind.REMOVED)
                        .collect(Collectors.toMap(
                                each -> each.number() + "\n" + each.name(), Function.identity(), (one, other) -> one));
        Map<String, List<Integer>> leftOut = stand.frozen().models().stream()
                .collect(Collectors.toMap(
                        model -> model.name(), model -> stand.gate().leftOut(model.name())));
        List<Waiver> waivers = stand.gate().waivers();
        return stand.frozen().parts().stream()
                .map(part -> new OutPart(
                        part.name(),
                        IntStream.range(0, part.audit().entries().size())
                                .mapToObj(i -> {
                                    Channel channel = part.audit().entry(i).channel();
                                    return entry(
                                            channel,
                                            part.audit().entry(i).verdict(),
                                            Optional.ofNullable(since.get(channel.number() + "\n" + channel.name())),
                                            waivers,
                                            leftOut.entrySet().stream()
                                                    .filter(each ->
                                                            each.getValue().contains(i))
                                                    .map(Map.Entry::getKey)
                                                    .sorted()
                                                    .toList());
                                })
                                .toList()))
                .toList();
    }

    @GetMapping("/api/releases/{release}/entries")
    List<OutPart> released(@PathVariable long release) {
        if (store.one(release).isEmpty()) {
            throw new Missing("The release");
        }
        ReleaseFile file = releases.file(release);
        List<ReleaseFile.Part> parts = file.parts();
        List<OutPart> all = new ArrayList<>();
        for (int p = 0; p < parts.size(); p++) {
            List<Channel> channels = parts.get(p).list().channels();
            List<ReleaseFile.Recorded> recorded = file.recorded(p);
            all.add(new OutPart(
                    parts.get(p).name(),
                    IntStream.range(0, channels.size())
                            .mapToObj(i -> entry(
                                    channels.get(i),
                                    i < recorded.size() ? verdict(recorded.get(i)) : null,
                                    Optional.empty(),
                                    file.waivers(),
                                    file.models().stream()
                                            .filter(model -> model.leftOut()
                                                    .contains(channels.get(i).number()))
                                            .map(ReleaseFile.Model::name)
                                            .toList()))
                            .toList()));
        }
        return all;
    }

    /** As it was recorded; nothing where a file says what no verdict is. */
    private static Verdict verdict(ReleaseFile.Recorded recorded) {
        return Arrays.stream(Verdict.values())
                .filter(each -> each.text().equals(recorded.verdict()))
                .findFirst()
                .orElse(null);
    }

    private static OutEntry entry(
            Channel channel,
            Verdict verdict,
            Optional<SinceRelease.Entry> since,
            List<Waiver> waivers,
            List<String> leftOut) {
        boolean talks = channel.transmit().isPresent();
        return new OutEntry(
                channel.number(),
                channel.name(),
                channel.text(Field.ZONE),
                channel.receive().map(f -> f.megahertz()).orElse(channel.text(Field.RX_MHZ)),
                talks ? channel.transmit().get().megahertz() : "",
                shift(channel),
                talks ? channel.sends().map(Tone::text).orElseGet(channel.digital()::text) : "",
                channel.opensOn().map(Tone::text).orElse(""),
                Wording.emission(channel),
                channel.text(Field.POWER_W),
                channel.text(Field.NOTE),
                verdict,
                since.map(SinceRelease.Entry::kind).orElse(null),
                since.map(SinceRelease.Entry::words).orElse(List.of()),
                waivers.stream()
                        .filter(waiver -> waiver.model().isEmpty()
                                && waiver.number().equals(channel.number())
                                && waiver.name().equals(channel.name()))
                        .map(waiver -> waiver.reason() + " (" + waiver.by() + ")")
                        .distinct()
                        .toList(),
                leftOut);
    }

    /** How far an entry talks from where it hears, in MHz with its sign; empty when direct or when it only listens. */
    static String shift(Channel channel) {
        if (channel.transmit().isEmpty()) {
            return "";
        }
        long hertz = channel.transmit().get().hertz()
                - channel.receive()
                        .map(f -> f.hertz())
                        .orElse(channel.transmit().get().hertz());
        return hertz == 0
                ? ""
                : (hertz < 0 ? "−" : "+")
                        + java.math.BigDecimal.valueOf(Math.abs(hertz), 6)
                                .stripTrailingZeros()
                                .toPlainString();
    }
}
