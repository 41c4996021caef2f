package org.wache.planning;

import java.util.List;

/**
 * How much a channel and those beside it disturb each other at one site: neighbours that overlap, and third-order products, 2a − b and
 * a + b − c, that fall where one of them listens. Source of the products: any textbook of radio engineering, from memory.
 */
final class Disturbance {

    /** A product or a neighbour within this of a frequency is heard there, in hertz. */
    private static final long HEARD = 20_000;
    /** A neighbour that overlaps counts as much as so many products. */
    private static final int OVERLAP = 10;

    private Disturbance() {}

    /** How many times it happens when a channel joins others; 0 when it joins them clear. */
    static int of(long joins, List<Long> others) {
        int count = 0;
        for (int i = 0; i < others.size(); i++) {
            long a = others.get(i);
            count += near(a, joins) ? OVERLAP : 0;
            for (int j = 0; j < others.size(); j++) {
                long b = others.get(j);
                if (i != j) {
                    count += near(2 * a - b, joins) ? 1 : 0; // a product of two others lands on it
                    count += near(2 * a - joins, b) ? 1 : 0; // one of it and another lands on a third
                    count += near(2 * joins - a, b) ? 1 : 0;
                }
                for (int k = i + 1; k < others.size(); k++) {
                    long c = others.get(k);
                    if (j != i && j != k) {
                        count += near(a + c - b, joins) ? 1 : 0;
                        count += near(a + joins - c, b) ? 1 : 0;
                        count += near(c + joins - a, b) ? 1 : 0;
                        count += near(a + c - joins, b) ? 1 : 0;
                    }
                }
            }
        }
        return count;
    }

    private static boolean near(long one, long other) {
        return Math.abs(one - other) < HEARD;
    }
}
