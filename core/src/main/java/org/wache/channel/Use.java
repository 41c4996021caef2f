package org.wache.channel;

/** What an entry is for. */
public enum Use {
  /** From radio to radio on one frequency. */
  DIRECT,
  /** Through a repeater: hears its output, talks on its input. */
  REPEATER,
  /** Never transmits. */
  LISTEN
}
