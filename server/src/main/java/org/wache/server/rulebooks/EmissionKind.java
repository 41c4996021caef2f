package org.wache.server.rulebooks;

import java.util.List;
import org.wache.signal.Content;

/**
 * A kind of emission that charts and band edges are told for.
 *
 * @param id as it is asked for
 * @param title as it is shown
 * @param bits the contents that it stands for
 */
public record EmissionKind(String id, String title, int bits) {

    /** Those that people ask for. */
    public static final List<EmissionKind> ALL = List.of(
            new EmissionKind("cw", "CW", Content.bits("cw")),
            new EmissionKind("data", "Data", Content.bits("data")),
            new EmissionKind("ssb", "Single sideband", Content.bits("ssb ssb-reduced phone phone-low-index")),
            new EmissionKind("fm", "FM voice", Content.bits("fm phone")),
            new EmissionKind("image", "Images", Content.bits("image")));
}
