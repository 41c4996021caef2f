package org.wache.audit.rules.digital;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.channel.TalkGroup;

/** A talk group that is not in the group's own list, or that is called or placed otherwise there. */
public final class TalkGroupKnown implements EntryRule {

    private static final String SOURCE = "the group's list of talk groups";

    @Override
    public Slug slug() {
        return Slug.TALK_GROUP;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "A talk group that the group's list does not have so",
                        "A group that keeps a list of its talk groups calls each by one number, one name and on one slot. An entry that "
                                + "calls a number outside of it, by another name, or on another slot calls somebody else, or nobody.",
                        "Take the number, the name or the slot of the list, or add the talk group to it.",
                        RulePage.entry(
                                "amateur:technician",
                                "rx_mhz=442.425 tx_mhz=447.425 mode=DMR power_w=5 colour_code=1 time_slot=1 talk_group=3101"),
                        RulePage.entry(
                                "amateur:technician",
                                "rx_mhz=442.425 tx_mhz=447.425 mode=DMR power_w=5 colour_code=1 time_slot=2 talk_group=3100"))
                .within(
                        "{\"format\": \"wache-context/1\", \"houseRules\": {\"talkGroups\": [{\"number\": 3100, \"name\": \"Valley\", \"slot\": 2}]}}");
    }

    @Override
    public List<Finding> on(Entry entry) {
        List<TalkGroup> known = entry.context().houseRules().talkGroups();
        Channel channel = entry.channel();
        if (known.isEmpty() || channel.digital().talkGroup().isEmpty()) {
            return List.of();
        }
        int number = channel.digital().talkGroup().getAsInt();
        String contact = channel.text(Field.CONTACT).strip();
        Optional<TalkGroup> group =
                known.stream().filter(each -> each.number() == number).findFirst();
        if (group.isEmpty()) {
            Optional<TalkGroup> meant =
                    known.stream().filter(each -> each.isCalled(contact)).findFirst();
            return List.of(Finding.query(Slug.TALK_GROUP)
                    .message("Talk group %d is not in the group's list.", number)
                    .source(SOURCE)
                    .cures(() -> meant.stream()
                            .map(each -> Change.of(
                                    "Call " + each.name() + ", " + each.number(),
                                    Field.TALK_GROUP,
                                    Integer.toString(each.number())))
                            .toList())
                    .advice(() -> List.of("Look at the number again, or add it to the list.")));
        }
        return otherwise(channel, group.get(), contact);
    }

    private static List<Finding> otherwise(Channel channel, TalkGroup group, String contact) {
        List<Finding> found = new ArrayList<>();
        if (!contact.isEmpty() && !group.isCalled(contact)) {
            found.add(Finding.query(Slug.TALK_GROUP)
                    .message("Talk group %d is %s in the group's list, not %s.", group.number(), group.name(), contact)
                    .source(SOURCE)
                    .cures(() -> List.of(Change.of("Call it " + group.name(), Field.CONTACT, group.name()))));
        }
        boolean elsewhere = channel.isPair()
                && group.slot().isPresent()
                && channel.digital().timeSlot().isPresent()
                && channel.digital().timeSlot().getAsInt() != group.slot().getAsInt();
        if (elsewhere) {
            found.add(Finding.query(Slug.TALK_GROUP)
                    .message(
                            "%s is on slot %d in the group's list, not on slot %d.",
                            group.name(),
                            group.slot().getAsInt(),
                            channel.digital().timeSlot().getAsInt())
                    .source(SOURCE)
                    .cures(() -> List.of(Change.of(
                            "Take slot " + group.slot().getAsInt(),
                            Field.TIME_SLOT,
                            Integer.toString(group.slot().getAsInt())))));
        }
        return found;
    }
}
