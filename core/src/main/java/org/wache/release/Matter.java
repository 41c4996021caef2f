package org.wache.release;

import java.util.Arrays;
import java.util.List;
import org.apache.commons.codec.digest.DigestUtils;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/**
 * Something found about an entry that has to be settled before the list goes out.
 *
 * @param kind how it can be settled
 * @param position place of the entry in the list, from 0
 * @param channel the entry
 * @param rule by which it was found
 * @param model the model of radio that it is about; empty when about none
 * @param holders whom it concerns
 * @param message what was found
 * @param source the section behind it
 * @param print tells it apart: the same as long as entry and finding are the same
 */
public record Matter(
        Kind kind,
        int position,
        Channel channel,
        Slug rule,
        String model,
        List<String> holders,
        String message,
        String source,
        String print) {

    /** How a matter can be settled. */
    public enum Kind {
        /** Somebody may not key it: only a cure helps. */
        HOLD,
        /** Legal, but a question: cured, or waived by name. */
        QUERY,
        /** A model of radio cannot have it: cured, or left out of that model by name. */
        MISFIT
    }

    /** What is settled belongs to these: when one of them changes, it is another matter. */
    private static final List<Field> TELLING =
            Arrays.stream(Field.values()).filter(Field::judged).toList();

    static Matter of(Kind kind, int position, Channel channel, Finding finding, String model, List<String> holders) {
        return new Matter(
                kind,
                position,
                channel,
                finding.slug(),
                model,
                List.copyOf(holders),
                finding.message(),
                finding.source(),
                print(channel, finding, model));
    }

    private static String print(Channel channel, Finding finding, String model) {
        StringBuilder text = new StringBuilder();
        for (Field field : TELLING) {
            // a column that came later says nothing where it is empty: what was settled before it stands
            if (!field.whereUsed()) {
                text.append(channel.text(field)).append('\u001F');
            } else if (!channel.text(field).isEmpty()) {
                text.append(field.column())
                        .append('=')
                        .append(channel.text(field))
                        .append('\u001F');
            }
        }
        if (finding.slug() == Slug.RADIO_NAME) {
            text.append(channel.name()).append('\u001F');
        }
        text.append(finding.slug().text())
                .append('\u001F')
                .append(model)
                .append('\u001F')
                .append(finding.message())
                .append('\u001F')
                .append(finding.source());
        return DigestUtils.sha256Hex(text.toString());
    }
}
