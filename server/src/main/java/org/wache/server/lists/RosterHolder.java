package org.wache.server.lists;

import java.util.List;
import org.wache.server.papers.PartyKind;

/**
 * Someone of the roster.
 *
 * @param party key
 * @param kind person, family or firm
 * @param name as findings name them
 * @param teams the teams they are in
 * @param licences what they hold, in the form of a context file
 */
public record RosterHolder(long party, PartyKind kind, String name, List<String> teams, String licences) {}
