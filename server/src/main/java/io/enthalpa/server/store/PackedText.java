package io.enthalpa.server.store;

import io.enthalpa.server.problem.StoreFault;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.zip.CRC32C;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;

/**
 * A text as little as it differs from another: both begin and end alike, and the middle is deflated with the other's middle as its
 * dictionary. One changed number in an 18 kB document comes to some tens of bytes.
 *
 * @param start    bytes at the beginning that are the other's
 * @param end      bytes at the end that are the other's
 * @param length   bytes of the whole text
 * @param middle   what stands between, deflated
 * @param checksum CRC-32C of the whole text
 */
public record PackedText(int start, int end, int length, byte[] middle, long checksum) {
    /** Deflate looks back this far, so that more of a dictionary would be in vain. */
    private static final int WINDOW = 32 * 1024;

    private static final int LARGEST_PART = 1_000_000;

    /** @param other the text told against; empty to keep the whole text */
    public static PackedText of(byte[] other, byte[] text) {
        int most = Math.min(other.length, text.length);
        int mismatch = Arrays.mismatch(other, 0, most, text, 0, most);
        int start = mismatch < 0 ? most : mismatch;
        int end = 0;
        while (end < most - start && other[other.length - 1 - end] == text[text.length - 1 - end]) {
            end++;
        }
        byte[] middle = Arrays.copyOfRange(text, start, text.length - end);
        return new PackedText(start, end, text.length, deflated(middle, dictionary(other, start, end)), checksum(text));
    }

    /**
     * @param other the text given to {@link #of}
     * @return the text
     * @throws StoreFault {@link StoreFault.Kind#DAMAGED} when it is not what was packed
     */
    public byte[] unpack(byte[] other) {
        if (start < 0 || end < 0 || start + end > other.length || start + end > length || length > 64_000_000) {
            throw damaged();
        }
        byte[] text = new byte[length];
        System.arraycopy(other, 0, text, 0, start);
        System.arraycopy(other, other.length - end, text, length - end, end);
        inflate(middle, dictionary(other, start, end), text, start, length - start - end);
        if (checksum(text) != checksum) {
            throw damaged();
        }
        return text;
    }

    /** @return the middle in pieces that fit a row of the table */
    public List<byte[]> parts() {
        List<byte[]> parts = new ArrayList<>();
        for (int from = 0; from == 0 || from < middle.length; from += LARGEST_PART) {
            parts.add(Arrays.copyOfRange(middle, from, Math.min(middle.length, from + LARGEST_PART)));
        }
        return parts;
    }

    private static byte[] dictionary(byte[] other, int start, int end) {
        int to = other.length - end;
        return Arrays.copyOfRange(other, Math.max(start, to - WINDOW), to);
    }

    private static byte[] deflated(byte[] middle, byte[] dictionary) {
        Deflater deflater = new Deflater(Deflater.BEST_COMPRESSION, true);
        try {
            deflater.setDictionary(dictionary);
            deflater.setInput(middle);
            deflater.finish();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            byte[] buffer = new byte[8192];
            while (!deflater.finished()) {
                out.write(buffer, 0, deflater.deflate(buffer));
            }
            return out.toByteArray();
        } finally {
            deflater.end();
        }
    }

    private static void inflate(byte[] packed, byte[] dictionary, byte[] into, int from, int length) {
        Inflater inflater = new Inflater(true);
        try {
            inflater.setDictionary(dictionary);
            inflater.setInput(packed);
            int at = 0;
            while (at < length) {
                int read = inflater.inflate(into, from + at, length - at);
                if (read == 0) {
                    throw damaged();
                }
                at += read;
            }
        } catch (DataFormatException e) {
            throw damaged();
        } finally {
            inflater.end();
        }
    }

    private static long checksum(byte[] text) {
        CRC32C sum = new CRC32C();
        sum.update(text);
        return sum.getValue();
    }

    /** @return what to say of a text that cannot be read back */
    public static StoreFault damaged() {
        return new StoreFault(StoreFault.Kind.DAMAGED, "What the database file holds of this version is damaged.");
    }
}
