package org.wache.radio;

import java.util.OptionalInt;

/**
 * How much a radio remembers. What is empty is not known, or not there.
 *
 * @param channels memories in all
 * @param zones zones
 * @param perZone memories in each zone
 * @param scanned entries that a scan can have
 * @param edgeSlots slots for band edges
 * @param talkGroups talk groups, or contacts, that it holds
 */
public record MemorySize(
        OptionalInt channels,
        OptionalInt zones,
        OptionalInt perZone,
        OptionalInt scanned,
        OptionalInt edgeSlots,
        OptionalInt talkGroups) {}
