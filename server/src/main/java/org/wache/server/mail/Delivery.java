package org.wache.server.mail;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sends what waits: at once what somebody wants at once, the rest in one mail in the morning. What cannot be sent is tried again,
 * later and later; of a mail that went out while its being sent could not be kept, a second one may come.
 */
@Component
class Delivery {

    private static final Logger LOG = LoggerFactory.getLogger(Delivery.class);
    private static final Duration LONGEST = Duration.ofHours(6);
    private static final int DOUBLED = 10;

    private final MailStore store;
    private final Postman postman;
    private final Letters letters;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final LocalTime morning;

    Delivery(
            MailStore store,
            Postman postman,
            TransactionTemplate transaction,
            Clock clock,
            @Value("${wache.address}") String address,
            @Value("${wache.mail.digest-at}") LocalTime morning) {
        this.store = store;
        this.postman = postman;
        this.letters = new Letters(address.replaceAll("/+$", ""));
        this.transaction = transaction;
        this.clock = clock;
        this.morning = morning;
    }

    /** Sends what may be sent now; how many mails that were. */
    int deliver() {
        OffsetDateTime now = OffsetDateTime.now(clock);
        int sent = 0;
        for (long account : store.waiting(now)) {
            Integer mails = transaction.execute(status ->
                    store.taken(account).map(choice -> deliver(choice, now)).orElse(0));
            sent += mails == null ? 0 : mails;
        }
        return sent;
    }

    private int deliver(MailStore.Choice choice, OffsetDateTime now) {
        store.dropOfOthers(choice.account());
        if (choice.address() == null || choice.refused() != null) {
            return 0;
        }
        Map<List<Object>, List<MailStore.Item>> single = new LinkedHashMap<>();
        List<MailStore.Item> daily = new ArrayList<>();
        for (MailStore.Item item : store.items(choice.account(), now)) {
            switch (choice.when().get(item.tiding().kind())) {
                case NEVER -> store.drop(List.of(item));
                case DAILY -> daily.add(item);
                case AT_ONCE ->
                    single.computeIfAbsent(List.of(item.club(), item.tiding().kind()), any -> new ArrayList<>())
                            .add(item);
            }
        }
        int sent = 0;
        for (List<MailStore.Item> items : single.values()) {
            if (!send(choice, items, letters.single(choice.address(), told(items)), now)) {
                return sent; // the server is away, or the address is refused: the rest waits too
            }
            sent++;
        }
        boolean due = !now.toLocalTime().isBefore(morning)
                && (choice.digestOn() == null || choice.digestOn().isBefore(now.toLocalDate()));
        if (due && !daily.isEmpty() && send(choice, daily, letters.digest(choice.address(), told(daily)), now)) {
            store.digested(choice.account(), now.toLocalDate());
            sent++;
        }
        return sent;
    }

    private static List<Letters.Told> told(List<MailStore.Item> items) {
        return items.stream()
                .map(each -> new Letters.Told(each.group(), each.tiding()))
                .toList();
    }

    private boolean send(MailStore.Choice choice, List<MailStore.Item> items, Letter letter, OffsetDateTime now) {
        try {
            postman.send(letter);
            store.sent(items, now);
            return true;
        } catch (Postman.RefusedThere e) {
            LOG.warn("A mail server refused the address of account {} for good", choice.account());
            store.refused(choice.account(), e.getMessage());
        } catch (Postman.NotNow e) {
            int failures =
                    items.stream().mapToInt(MailStore.Item::failures).max().orElse(0);
            Duration pause = Duration.ofMinutes(1L << Math.min(failures, DOUBLED));
            LOG.warn(
                    "Mail for account {} could not be handed over, time {}: {}",
                    choice.account(),
                    failures + 1,
                    e.getMessage().replaceAll("\\S+@\\S+", "(address)"));
            store.failed(items, now.plus(pause.compareTo(LONGEST) > 0 ? LONGEST : pause));
        }
        return false;
    }
}
