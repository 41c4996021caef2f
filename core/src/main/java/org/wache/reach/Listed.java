package org.wache.reach;

import org.wache.audit.context.AuditContext;
import org.wache.channel.ChannelList;

/**
 * A list of several, with what it is held against: lists of one operation have places and house rules of their own.
 *
 * @param context the day, the place and the house rules; whom and which radios it names does not matter
 */
public record Listed(AuditContext context, ChannelList list) {}
