package org.wache.reach;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.LicenceKind;
import org.wache.rulebook.Service;

/** What could be added so that somebody reaches somebody: licences, the least first, and channels of the services. */
final class Helps {

    private final Edition edition;

    Helps(Edition edition) {
        this.edition = edition;
    }

    /** Somebody with one licence more. */
    record Licensed(Holder holder, String words) {}

    /** Each licence that can be had without naming frequencies: plain ones, then classes from the least up. */
    Stream<Licensed> licences(Holder holder) {
        List<Licensed> all = new ArrayList<>();
        for (Service service : edition.services()) {
            if (service.traits().licence() == LicenceKind.PLAIN) {
                all.add(new Licensed(with(holder, Licence.of(service.id())), "a licence for " + service.inText()));
            } else if (service.traits().licence() == LicenceKind.CLASS) {
                service.traits()
                        .classes()
                        .forEach(each -> all.add(new Licensed(
                                with(holder, Licence.ofClass(service.id(), each)),
                                "the class " + each + " in " + service.inText())));
            }
        }
        return all.stream();
    }

    private static Holder with(Holder holder, Licence more) {
        List<Licence> licences = new ArrayList<>(holder.licences());
        licences.add(more);
        return new Holder(holder.name(), licences);
    }

    /** The first channels of each service that has fixed ones, used directly. */
    Stream<Channel> channels() {
        return edition.services().stream()
                .filter(ChannelService.class::isInstance)
                .map(ChannelService.class::cast)
                .filter(service -> !service.traits().terms().aboardOnly())
                .flatMap(service -> service.channels().stream()
                        .filter(each ->
                                each.reaches().isEmpty() && each.restricted().isEmpty())
                        .limit(1)
                        .map(each -> Channel.of(Map.of(
                                Field.NUMBER,
                                "1",
                                Field.NAME,
                                service.title() + " " + each.name(),
                                Field.RX_MHZ,
                                each.centre().megahertz(),
                                Field.TX_MHZ,
                                each.centre().megahertz(),
                                Field.MODE,
                                each.width().hertz() > 12_500 ? "FM" : "NFM",
                                Field.POWER_W,
                                "0.5",
                                Field.SERVICE,
                                service.id()))));
    }
}
