package org.wache.bench.wire;

import java.io.IOException;

/** A frame came damaged. */
public final class ChecksumFault extends IOException {
    private static final long serialVersionUID = 1;

    ChecksumFault() {
        super("a frame came damaged");
    }
}
