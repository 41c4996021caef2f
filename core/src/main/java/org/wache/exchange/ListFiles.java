package org.wache.exchange;

import java.util.Optional;
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
        kind(bytes).ifPresent(kind -> {
            throw new FileProblem(
                    1,
                    1,
                    kind
                            + ", not a list: save it as CSV in UTF-8, or bring it in under Lists in the browser, where spreadsheets and"
                            + " tables are read, and export it from there");
        });
        for (byte b : bytes) {
            boolean skipped = b == ' '
                    || b == '\n'
                    || b == '\r'
                    || b == '\t'
                    || b == (byte) 0xEF
                    || b == (byte) 0xBB
                    || b == (byte) 0xBF;
            if (!skipped) {
                return b == '{' || b == '[' ? JsonLists.read(bytes, name, limits) : CsvLists.read(bytes, name, limits);
            }
        }
        return CsvLists.read(bytes, name, limits);
    }

    /** What a file of another kind is by its first bytes. */
    private static Optional<String> kind(byte[] bytes) {
        return begins(bytes, 'P', 'K', 3, 4)
                ? Optional.of("a spreadsheet or an archive")
                : begins(bytes, 0xD0, 0xCF, 0x11, 0xE0)
                        ? Optional.of("an old spreadsheet")
                        : begins(bytes, '%', 'P', 'D', 'F')
                                ? Optional.of("a PDF")
                                : begins(bytes, 0x89, 'P', 'N', 'G')
                                        ? Optional.of("a picture")
                                        : begins(bytes, 0x7F, 'E', 'L', 'F')
                                                ? Optional.of("a program")
                                                : Optional.empty();
    }

    private static boolean begins(byte[] bytes, int... first) {
        for (int i = 0; i < first.length; i++) {
            if (i >= bytes.length || (bytes[i] & 0xFF) != first[i]) {
                return false;
            }
        }
        return true;
    }
}
