package org.wache.server.lists;

import org.springframework.stereotype.Component;
import org.wache.channel.ChannelList;
import org.wache.server.problems.Missing;

/** How other parts of the server make lists and add to them. */
@Component
public class ListTaking {

  private final ListService service;
  private final ListStore store;

  ListTaking(ListService service, ListStore store) {
    this.service = service;
    this.store = store;
  }

  /** Makes a list of which nothing else is known. */
  public long add(long account, long club, ChannelList list) {
    return service.add(account, club, list, Context.initial());
  }

  /**
   * Adds entries to a list of this group.
   *
   * @return the key of the list
   */
  public long append(long account, long club, long list, ChannelList more) {
    store.head(account, list).filter(head -> head.clubId() == club).orElseThrow(() -> new Missing("The list"));
    service.append(account, list, more);
    return list;
  }

  /** Makes sure that the account may see a list. */
  public void visible(long account, long list) {
    store.head(account, list).orElseThrow(() -> new Missing("The list"));
  }
}
