package org.wache.channel;

import java.util.ArrayList;
import java.util.List;

/**
 * A named list of entries in order.
 *
 * @param name what it is called; may be empty
 * @param extraColumns headings of the columns that Wache does not know but keeps
 * @param channels the entries
 */
public record ChannelList(String name, List<String> extraColumns, List<Channel> channels) {

    public ChannelList {
        extraColumns = List.copyOf(extraColumns);
        channels = List.copyOf(channels);
    }

    /** A copy with one entry replaced; positions count from 0. */
    public ChannelList with(int position, Channel channel) {
        List<Channel> copy = new ArrayList<>(channels);
        copy.set(position, channel);
        return new ChannelList(name, extraColumns, copy);
    }
}
