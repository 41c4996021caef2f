package org.wache.server.releases;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.LongPredicate;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.wache.exchange.ReleaseFile;
import org.wache.server.prints.ChannelCards;

/** Channel cards as they are printed, for those who carry a release. */
@Component
public class PrintedCards {

    private final ReleaseStore store;
    private final Releases releases;
    private final HolderCards cards;
    private final CardLinks links;
    private final String address;

    PrintedCards(
            ReleaseStore store,
            Releases releases,
            HolderCards cards,
            CardLinks links,
            @Value("${wache.address}") String address) {
        this.store = store;
        this.releases = releases;
        this.cards = cards;
        this.links = links;
        this.address = address;
    }

    /** Where the application is reached: as it is set, or as it was asked. */
    public String base(HttpServletRequest request) {
        return address.isBlank()
                ? request.getRequestURL().toString().replace(request.getRequestURI(), "")
                : address.replaceFirst("/+$", "");
    }

    /** Of the release of a list that is in use, if there is one. */
    public List<ChannelCards.Card> ofList(long account, String base, long list, LongPredicate parties) {
        Optional<ReleaseStore.Head> head = store.newest(list).filter(each -> !each.isRecalled());
        return head.map(each -> of(account, base, each, parties)).orElse(List.of());
    }

    /** Of a release, for those of its carriers whose keys are asked for. */
    List<ChannelCards.Card> of(long account, String base, ReleaseStore.Head head, LongPredicate parties) {
        ReleaseFile file = releases.file(head.id());
        List<ChannelCards.Card> all = new ArrayList<>();
        for (ReleaseStore.Carrier carrier : cards.carriers(head.id())) {
            if (parties.test(carrier.party())) {
                HolderCards.CardList list = cards.list(head, carrier);
                all.add(new ChannelCards.Card(
                        carrier.name(),
                        HolderCards.callSigns(carrier),
                        list.name() + ", release " + head.number(),
                        "SHA-256 " + PaperFile.shortSum(file),
                        base + "/card#" + links.token(account, head.club(), carrier.party()),
                        list.entries().stream()
                                .map(each -> new ChannelCards.Line(
                                        each.number(),
                                        each.name(),
                                        each.talks(),
                                        each.hears(),
                                        each.shift(),
                                        each.sends(),
                                        each.power().isEmpty() ? "" : each.power() + " W"))
                                .toList()));
            }
        }
        return all;
    }
}
