package org.wache.compare;

import java.util.Optional;
import org.wache.channel.Channel;

/**
 * An entry in a comparison.
 *
 * @param identity what tells it from others even when all of its texts change; empty where nothing does
 * @param channel the entry
 */
public record Item(Optional<Long> identity, Channel channel) {}
