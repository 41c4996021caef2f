package org.wache.server.tones;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.wache.server.radios.Fleet;
import org.wache.signal.Tone;

/** The tables of tones of a group's radio models: those of the models themselves, and those typed in beside them. */
@Component
public class ToneTables {

    private final Fleet fleet;

    ToneTables(Fleet fleet) {
        this.fleet = fleet;
    }

    /** All of them; a model's own table goes before one that was typed in under the same name. */
    public List<ToneKnowledge.ModelTones> of(long club, ToneKnowledge knowledge) {
        List<ToneKnowledge.ModelTones> all = new ArrayList<>();
        fleet.toneTables(club)
                .forEach((model, tones) -> all.add(new ToneKnowledge.ModelTones(
                        model, tones.stream().map(Tone::text).toList())));
        knowledge.tables().stream()
                .filter(typed -> all.stream().noneMatch(own -> own.model().equalsIgnoreCase(typed.model())))
                .forEach(all::add);
        return all;
    }
}
