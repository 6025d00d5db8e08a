package io.enthalpa.server.logs;

import io.enthalpa.server.problem.StoreFault;
import java.nio.ByteBuffer;
import java.util.zip.CRC32;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;

/**
 * Numbers of one channel, packed: each as what differs from the one before, byte by byte of like weight together, then deflated. Values to single precision,
 * times to a microsecond.
 *
 * @param rows     how many
 * @param bytes    packed
 * @param checksum of the bytes
 */
record PackedColumn(int rows, byte[] bytes, long checksum) {
    private static final int INT = Integer.BYTES;
    private static final double MICRO = 1e6;

    static PackedColumn ofValues(float[] values) {
        int rows = values.length;
        int[] words = new int[rows];
        int last = 0;
        for (int i = 0; i < rows; i++) {
            int bits = Float.floatToIntBits(values[i]);
            words[i] = bits ^ last;
            last = bits;
        }
        return pack(rows, words);
    }

    /** @param time s, rising */
    static PackedColumn ofTimes(double[] time) {
        int rows = time.length;
        int[] words = new int[rows + 1];
        long last = Math.round(time[0] * MICRO);
        words[0] = (int) (last >>> 32);
        words[1] = (int) last;
        for (int i = 1; i < rows; i++) {
            long micros = Math.round(time[i] * MICRO);
            words[i + 1] = Math.toIntExact(micros - last);
            last = micros;
        }
        return pack(rows, words);
    }

    float[] values() {
        int[] words = unpack(rows);
        float[] values = new float[rows];
        int last = 0;
        for (int i = 0; i < rows; i++) {
            last ^= words[i];
            values[i] = Float.intBitsToFloat(last);
        }
        return values;
    }

    /** @return s */
    double[] times() {
        int[] words = unpack(rows + 1);
        double[] time = new double[rows];
        long micros = ((long) words[0] << 32) | (words[1] & 0xffff_ffffL);
        for (int i = 0; i < rows; i++) {
            micros += i == 0 ? 0 : words[i + 1];
            time[i] = micros / MICRO;
        }
        return time;
    }

    private static PackedColumn pack(int rows, int[] words) {
        byte[] planes = new byte[INT * words.length];
        for (int i = 0; i < words.length; i++) {
            for (int p = 0; p < INT; p++) {
                planes[p * words.length + i] = (byte) (words[i] >>> (8 * (INT - 1 - p)));
            }
        }
        Deflater deflater = new Deflater(Deflater.BEST_SPEED, true);
        deflater.setInput(planes);
        deflater.finish();
        ByteBuffer out = ByteBuffer.allocate(planes.length + planes.length / 100 + 64);
        while (!deflater.finished()) {
            deflater.deflate(out);
        }
        deflater.end();
        byte[] bytes = new byte[out.position()];
        out.flip().get(bytes);
        return new PackedColumn(rows, bytes, crc(bytes));
    }

    private int[] unpack(int count) {
        if (crc(bytes) != checksum) {
            throw damaged();
        }
        byte[] planes = new byte[INT * count];
        Inflater inflater = new Inflater(true);
        inflater.setInput(bytes);
        try {
            if (inflater.inflate(planes) != planes.length) {
                throw damaged();
            }
        } catch (DataFormatException e) {
            throw damaged();
        } finally {
            inflater.end();
        }
        int[] words = new int[count];
        for (int i = 0; i < count; i++) {
            for (int p = 0; p < INT; p++) {
                words[i] |= (planes[p * count + i] & 0xff) << (8 * (INT - 1 - p));
            }
        }
        return words;
    }

    private static long crc(byte[] bytes) {
        CRC32 crc = new CRC32();
        crc.update(bytes);
        return crc.getValue();
    }

    private static StoreFault damaged() {
        return new StoreFault(
                StoreFault.Kind.DAMAGED, "This log is damaged on the disk. Read its file again, or restore a backup.");
    }
}
