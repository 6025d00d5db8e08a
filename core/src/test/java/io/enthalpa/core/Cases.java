package io.enthalpa.core;

import java.util.Random;
import java.util.stream.LongStream;

/** Seeded random inputs for tests of laws; the seed is the parameter, so a failure names it. */
public final class Cases {
    private final Random random;

    private Cases(long seed) {
        random = new Random(seed);
    }

    /** @return the seeds that every law is tried with */
    public static LongStream seeds() {
        return LongStream.rangeClosed(1, 60);
    }

    public static Cases of(long seed) {
        return new Cases(seed * 0x9E3779B97F4A7C15L);
    }

    public double between(double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    public int between(int low, int high) {
        return low + random.nextInt(high - low + 1);
    }
}
