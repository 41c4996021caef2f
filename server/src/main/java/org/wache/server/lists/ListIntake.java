package org.wache.server.lists;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;
import org.wache.exchange.ListFiles;
import org.wache.licence.Holder;
import org.wache.rulebook.Edition;
import org.wache.server.rulebooks.Rulebooks;

/** Takes in lists that come with all that is known about them. */
@Component
public class ListIntake {

    private final ListService service;
    private final ListStore store;
    private final Audits audits;
    private final ListTaking taking;
    private final Rulebooks rulebooks;

    ListIntake(ListService service, ListStore store, Audits audits, ListTaking taking, Rulebooks rulebooks) {
        this.rulebooks = rulebooks;
        this.taking = taking;
        this.service = service;
        this.store = store;
        this.audits = audits;
    }

    /**
     * Takes in a list file with its context file. Where teams carry it, the holders of the context are left out.
     *
     * @param editionSeen the edition under which it was last looked at; empty for the one in force
     */
    @Transactional
    public long take(
            long account, long club, String name, byte[] file, String context, List<String> teams, String editionSeen) {
        Context own =
                teams.isEmpty() ? Context.of(context) : Context.of(context).with(List.of());
        long list = service.add(account, club, ListFiles.read(file, name), own);
        store.choose(list, new ListStore.Chosen(List.of(), teams));
        if (!editionSeen.isEmpty()) {
            store.setEditionSeen(list, editionSeen);
        }
        return list;
    }

    /** Chooses a model, as it is set, that a list is for. */
    @Transactional
    public void meantFor(long account, long list, long model, String lock) {
        service.setMeant(
                account, list, store.meant(list), new Meant(List.of(new Meant.Setting(model, lock, false)), List.of()));
    }

    /** Adds an entry behind the others. */
    public void add(long account, long list, Map<Field, String> fields) {
        taking.addEntry(account, list, fields);
    }

    /** Makes a list that follows another, for holders of these licences, as on the command line. */
    @Transactional
    public long follow(long account, long list, String name, String words) {
        Edition edition =
                rulebooks.of(audits.rulebook(service.source(account, list))).on(audits.today());
        Holder holder = HolderShorthand.holder(words, edition);
        Views.Carrier carrier = new Views.Carrier(
                org.wache.audit.finding.Wording.capital(words.replaceFirst("^[^:]*:", "")),
                holder.licences().stream().map(HolderViews::licence).toList());
        return service.addVariant(account, list, name, new Views.CarrierChoice(List.of(carrier), List.of(), List.of()));
    }
}
