package org.wache.bench.drive;

/**
 * One press of the key.
 *
 * @param memory the memory; 0 for a frequency tuned directly
 * @param name what was tried, as people call it
 * @param mhz the frequency, in MHz; empty for listening entries
 * @param shouldKey whether it should key
 * @param keyed whether it did
 * @param why why it did not; empty when it did
 */
public record KeyTrial(int memory, String name, String mhz, boolean shouldKey, boolean keyed, String why) {

    /** Whether it did what it should. */
    public boolean asItShould() {
        return shouldKey == keyed;
    }
}
