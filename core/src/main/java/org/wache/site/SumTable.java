package org.wache.site;

import java.util.Arrays;
import java.util.List;

/**
 * All sums of two different transmitters whose deviations add up to the same, in order. With it a product A + B − C is
 * found by searching for receiver + C, so that no triple is ever tried.
 */
final class SumTable {

    /** How much both widen a product, hertz. */
    final long deviation;

    private final long[] sums;
    private final int[] pairs;
    private final int emitters;

    /** From the pairs (first × emitters + second) of one deviation. */
    SumTable(long deviation, List<Emitter> emitters, int[] pairs, int count) {
        this.deviation = deviation;
        this.emitters = emitters.size();
        long[][] rows = new long[count][];
        for (int i = 0; i < count; i++) {
            rows[i] = new long[] {
                emitters.get(pairs[i] / this.emitters).centre()
                        + emitters.get(pairs[i] % this.emitters).centre(),
                pairs[i]
            };
        }
        Arrays.sort(rows, (a, b) -> Long.compare(a[0], b[0]));
        this.sums = new long[count];
        this.pairs = new int[count];
        for (int i = 0; i < count; i++) {
            sums[i] = rows[i][0];
            this.pairs[i] = (int) rows[i][1];
        }
    }

    int size() {
        return sums.length;
    }

    long sum(int at) {
        return sums[at];
    }

    int first(int at) {
        return pairs[at] / emitters;
    }

    int second(int at) {
        return pairs[at] % emitters;
    }

    /** The first place whose sum is not below a value. */
    int from(long value) {
        return lowest(sums, value);
    }

    /** The first place in an ordered array that is not below a value. */
    static int lowest(long[] ordered, long value) {
        int low = 0;
        int high = ordered.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (ordered[middle] < value) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
