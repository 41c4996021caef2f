package org.wache.exchange;

import org.wache.channel.ChannelList;

/** Lists as files, CSV and JSON told apart by what is in them. */
public final class ListFiles {

  private ListFiles() {}

  /**
   * Reads a list of which nothing is kept.
   *
   * @param name what to call it when the file does not say
   * @throws FileProblem when it is neither
   */
  public static ChannelList read(byte[] bytes, String name) {
    return read(bytes, name, ListLimits.READ_ONLY);
  }

  /**
   * Reads a list.
   *
   * @param name what to call it when the file does not say
   * @throws FileProblem when it is neither, or larger than it may be
   */
  public static ChannelList read(byte[] bytes, String name, ListLimits limits) {
    for (byte b : bytes) {
      boolean skipped = b == ' ' || b == '\n' || b == '\r' || b == '\t' || b == (byte) 0xEF || b == (byte) 0xBB
          || b == (byte) 0xBF;
      if (!skipped) {
        return b == '{' || b == '[' ? JsonLists.read(bytes, name, limits) : CsvLists.read(bytes, name, limits);
      }
    }
    return CsvLists.read(bytes, name, limits);
  }
}
