package org.wache.audit;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.function.Function;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Change;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.radio.Display;
import org.wache.radio.Memories;
import org.wache.radio.Radio;
import org.wache.radio.ShortNames;
import org.wache.rulebook.BandPlan;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Service;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Mode;

/** One entry in its list, before anyone in particular carries it. */
public final class Entry {

    private final Channel channel;
    private final int position;
    private final ChannelList list;
    private final ListIndex index;
    private final AuditContext context;
    private final boolean dataBySideband;
    private List<Service> services; // worked out once, by the one thread that judges this entry
    private Sites.Reached reached; // the same
    /** Asked for by each finding about one site, when it is told. */
    private volatile List<Change> clearing;

    Entry(Channel channel, int position, ChannelList list, ListIndex index, AuditContext context) {
        this(channel, position, list, index, context, false);
    }

    private Entry(
            Channel channel,
            int position,
            ChannelList list,
            ListIndex index,
            AuditContext context,
            boolean dataBySideband) {
        this.dataBySideband = dataBySideband;
        this.channel = channel;
        this.position = position;
        this.list = list;
        this.index = index;
        this.context = context;
    }

    public Channel channel() {
        return channel;
    }

    /**
     * The entry as its routes are judged. An upper sideband with the dial at which sound-card data gathers is data, whatever the
     * list calls it: it becomes so here, and the plan's rule asks about it.
     */
    Entry asSent() {
        boolean data = channel.mode().filter(mode -> mode == Mode.USB).isPresent()
                && channel.emissionFromMode()
                && channel.transmit().filter(plan()::dataDial).isPresent();
        return data
                ? new Entry(channel.with(Map.of(Field.MODE, Mode.DATA.name())), position, list, index, context, true)
                : this;
    }

    /** Whether it is judged as data though the list calls it a sideband. */
    public boolean dataBySideband() {
        return dataBySideband;
    }

    /** Its place in the list, from 0. */
    public int position() {
        return position;
    }

    /** The list it stands in. */
    public ChannelList list() {
        return list;
    }

    public AuditContext context() {
        return context;
    }

    public Edition edition() {
        return context.edition();
    }

    public BandPlan plan() {
        return context.edition().plan();
    }

    public ToneTable tones() {
        return context.edition().tones();
    }

    /** The services to which the transmit frequency belongs; none for a listening entry. */
    public List<Service> services() {
        if (services == null) {
            services = channel.transmit().isPresent()
                    ? edition().servicesAt(channel.transmit().get())
                    : List.of();
        }
        return services;
    }

    /** What the list has as a whole. */
    public ListFacts listFacts() {
        return index.facts();
    }

    /** The position of another entry with the same number. */
    public OptionalInt sameNumber() {
        return index.sameNumber(channel, position);
    }

    /** The position of the first other entry that is the same on the air: frequencies and tones. */
    public OptionalInt sameOnAir() {
        return index.sameOnAir(channel, position);
    }

    /** The position of the first other entry on the same frequencies with other tones. */
    public OptionalInt otherTones() {
        return index.otherTones(channel, position);
    }

    /** What the transmitters that are keyed together with it do to its receiver. */
    public Sites.Reached reached() {
        if (reached == null) {
            reached = index.sites(context).at(position, channel);
        }
        return reached;
    }

    /** What would clear it at its site, found once for all findings that ask. */
    public List<Change> clearing(Function<Entry, List<Change>> find) {
        List<Change> known = clearing;
        if (known == null) {
            known = find.apply(this);
            clearing = known; // a race finds the same twice
        }
        return known;
    }

    /** The memories of a radio that the list's entries go into. */
    public Memories memories(Radio radio) {
        return index.memories(list, radio.model().memory());
    }

    /** The entry's name shortened for a display, to one that no entry of the list has. */
    public String shortName(Display display) {
        return ShortNames.of(channel.name(), display.length(), display.letters(), index.names())
                .name();
    }

    /** How a message calls another entry of the list; made into text when the message is. */
    public Object named(int other) {
        return new Object() {
            @Override
            public String toString() {
                return nameOf(list.channels().get(other), other);
            }
        };
    }

    private static String nameOf(Channel there, int position) {
        String number = there.number().isEmpty() ? "entry " + (position + 1) : "number " + there.number();
        return there.name().isEmpty() ? number : number + " (" + there.name() + ")";
    }
}
