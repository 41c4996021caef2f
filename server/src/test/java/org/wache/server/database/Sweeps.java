package org.wache.server.database;

import org.springframework.context.ApplicationContext;

/** Lets tests do at once what is done once a day. */
public final class Sweeps {

  private Sweeps() {}

  /** Sweeps now; how much was taken away. */
  public static int now(ApplicationContext context) {
    return context.getBean(DailySweep.class).sweep();
  }
}
