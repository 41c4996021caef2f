package org.wache.typed;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/**
 * What was made of what somebody wrote of one entry.
 *
 * @param fields the texts of the entry by field
 * @param said what was understood, in the order of the fields
 * @param problem why it is no entry; empty when it is one
 */
public record Understood(Map<Field, String> fields, List<Said> said, Optional<String> problem) {

    public Understood {
        fields = Map.copyOf(fields);
        said = List.copyOf(said);
    }

    static Understood not(String problem) {
        return new Understood(Map.of(), List.of(), Optional.of(problem));
    }

    /** The entry, when it is one. */
    public Optional<Channel> channel() {
        return problem.isPresent() ? Optional.empty() : Optional.of(Channel.of(fields));
    }
}
