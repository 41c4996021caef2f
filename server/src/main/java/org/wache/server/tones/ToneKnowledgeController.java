package org.wache.server.tones;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.RulebookReader;
import org.wache.rulebook.ToneTable;
import org.wache.server.accounts.Account;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Refused;
import org.wache.signal.Tone;
import org.wache.typed.WrittenTone;

/** What a group knows of tones. */
@RestController
class ToneKnowledgeController {

    private static final int CODES = 38;

    private final ToneKnowledgeStore store;
    private final ToneTables tables;
    private final Clock clock;

    ToneKnowledgeController(ToneKnowledgeStore store, ToneTables tables, Clock clock) {
        this.store = store;
        this.tables = tables;
        this.clock = clock;
    }

    /** What is known, in its newest version; tables are those typed in and those of the radio models. */
    record KnownTones(int version, ToneKnowledge knowledge, List<ToneKnowledge.ModelTones> tables) {}

    /** New knowledge, and the version it was begun on. */
    record KnownTonesChange(int before, @NotNull @Valid ToneKnowledge knowledge) {}

    @GetMapping("/api/groups/{group}/tones")
    KnownTones tones(Account asking, @PathVariable long group) {
        ToneKnowledgeStore.Known known = store.known(asking.id(), group);
        return new KnownTones(known.version(), known.knowledge(), tables.of(group, known.knowledge()));
    }

    /**
     * A tone in every way of counting that the group knows.
     *
     * @param tone as a list writes it
     * @param words what it is
     * @param code its consumer code number
     * @param sameSound another way of writing the same digital code
     * @param models its number in each model's own table
     */
    record Translated(
            String tone,
            String words,
            @Schema(nullable = true) Optional<Integer> code,
            @Schema(nullable = true) Optional<String> sameSound,
            List<NumberInModel> models) {}

    record NumberInModel(String model, @Schema(nullable = true) Optional<Integer> number) {}

    /** Translates a tone: hertz, a digital code, "code 12", or, with a model, the model's own number. */
    @GetMapping("/api/groups/{group}/tones/translation")
    Translated translate(
            Account asking,
            @PathVariable long group,
            @RequestParam String of,
            @RequestParam(defaultValue = "") String model) {
        List<ToneKnowledge.ModelTones> models =
                tables.of(group, store.known(asking.id(), group).knowledge());
        ToneTable table = RulebookReader.shipped(Rulebooks.usual())
                .on(LocalDate.now(clock))
                .tones();
        Tone tone = model.isEmpty()
                ? WrittenTone.read(of, table)
                        .flatMap(WrittenTone::tone)
                        .orElseThrow(
                                () -> new Refused("“" + of + "” is no tone. Write it like 100.0, D023 or code 12."))
                : inModel(models, model, of);
        Optional<Integer> code = IntStream.rangeClosed(1, CODES)
                .boxed()
                .filter(number ->
                        table.consumerCode(number).filter(tone::equals).isPresent())
                .findFirst();
        Optional<String> other = tone instanceof Tone.Dcs dcs
                ? table.sameSound(new Tone.Dcs(dcs.code(), !dcs.inverted()))
                        .map(same -> new Tone.Dcs(same.code(), true).text())
                : Optional.empty();
        return new Translated(
                tone.text(),
                Wording.tone(tone) + (table.knows(tone) ? "" : ", which is in no table"),
                code,
                other,
                models.stream()
                        .map(each -> new NumberInModel(
                                each.model(),
                                Optional.of(each.tones().indexOf(tone.text()) + 1)
                                        .filter(number -> number > 0)))
                        .toList());
    }

    private static Tone inModel(List<ToneKnowledge.ModelTones> models, String model, String number) {
        ToneKnowledge.ModelTones table = models.stream()
                .filter(each -> each.model().equals(model))
                .findFirst()
                .orElseThrow(() -> new Refused("The group has no table of tones for “" + model + "”."));
        boolean there = number.strip().matches("[0-9]{1,3}")
                && Integer.parseInt(number.strip()) >= 1
                && Integer.parseInt(number.strip()) <= table.tones().size();
        if (!there) {
            throw new Refused(
                    model + " counts its tones from 1 to " + table.tones().size() + ".");
        }
        return Tone.parse(table.tones().get(Integer.parseInt(number.strip()) - 1))
                .orElseThrow();
    }

    @PutMapping("/api/groups/{group}/tones")
    KnownTones setTones(Account asking, @PathVariable long group, @Valid @RequestBody KnownTonesChange change) {
        store.put(asking.id(), group, change.before(), change.knowledge());
        return tones(asking, group);
    }
}
