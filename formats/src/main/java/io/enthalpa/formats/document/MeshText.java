package io.enthalpa.formats.document;

import io.enthalpa.core.space.Mesh;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.ref.SoftReference;
import java.util.Base64;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.WeakHashMap;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;

/**
 * A surface as the text that stands in a build file: whole numbers of hundredths of a millimetre, each as the step from the one before, packed
 * by RFC 1951 in an RFC 1950 wrapper, in Base64. So it goes wherever the build goes: into every version, backup, archive and copy of it.
 */
public final class MeshText {
    public static final int MOST_TRIANGLES = 200_000;
    /** Each triangle for itself. */
    private static final int MOST_POINTS = 3 * MOST_TRIANGLES;
    /** To the metre: a point is kept to one of them. */
    public static final double STEPS = 1e5;

    private static final int KNOWN = 8;
    private static final int MORE = 0x80;

    /** The same text comes with every question about a build. */
    private static final Map<String, SoftReference<Mesh>> READ =
            Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
                private static final long serialVersionUID = 1L;

                @Override
                protected boolean removeEldestEntry(Map.Entry<String, SoftReference<Mesh>> eldest) {
                    return size() > KNOWN;
                }
            });

    private static final Map<Mesh, String> WRITTEN = Collections.synchronizedMap(new WeakHashMap<>());

    private MeshText() {}

    /** @throws IllegalArgumentException telling what is wrong with it, in a few words */
    static Mesh read(String text) {
        SoftReference<Mesh> there = READ.get(text);
        Mesh known = there == null ? null : there.get();
        if (known != null) {
            return known;
        }
        Mesh mesh;
        try (InputStream in = new InflaterInputStream(
                new ByteArrayInputStream(Base64.getDecoder().decode(text)))) {
            double[] points = new double[3 * count(in, MOST_POINTS)];
            long[] last = new long[3];
            for (int i = 0; i < points.length; i++) {
                last[i % 3] += step(in);
                points[i] = last[i % 3] / STEPS;
            }
            int[] triangles = new int[3 * count(in, MOST_TRIANGLES)];
            long before = 0;
            for (int i = 0; i < triangles.length; i++) {
                before += step(in);
                triangles[i] = Math.toIntExact(before);
            }
            mesh = Mesh.of(points, triangles);
        } catch (IOException | ArithmeticException e) {
            throw new IllegalArgumentException("cut short or changed", e);
        }
        READ.put(text, new SoftReference<>(mesh));
        WRITTEN.put(mesh, text);
        return mesh;
    }

    static String write(Mesh mesh) {
        String known = WRITTEN.get(mesh);
        if (known != null) {
            return known;
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DeflaterOutputStream out = new DeflaterOutputStream(bytes)) {
            double[] points = mesh.points();
            put(out, points.length / 3);
            long[] last = new long[3];
            for (int i = 0; i < points.length; i++) {
                long now = Math.round(points[i] * STEPS);
                put(out, zigzag(now - last[i % 3]));
                last[i % 3] = now;
            }
            int[] triangles = mesh.triangles();
            put(out, triangles.length / 3);
            long before = 0;
            for (int corner : triangles) {
                put(out, zigzag(corner - before));
                before = corner;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        String text = Base64.getEncoder().encodeToString(bytes.toByteArray());
        WRITTEN.put(mesh, text);
        return text;
    }

    private static int count(InputStream in, int most) throws IOException {
        long count = number(in);
        if (count < 1 || count > most) {
            throw new IllegalArgumentException(count + " points or triangles");
        }
        return (int) count;
    }

    private static long step(InputStream in) throws IOException {
        long n = number(in);
        return n >>> 1 ^ -(n & 1);
    }

    private static long zigzag(long step) {
        return step << 1 ^ step >> 63;
    }

    private static long number(InputStream in) throws IOException {
        long value = 0;
        for (int shift = 0; shift < 63; shift += 7) {
            int b = in.read();
            if (b < 0) {
                throw new IOException("it ends in the middle");
            }
            value |= (long) (b & MORE - 1) << shift;
            if (b < MORE) {
                return value;
            }
        }
        throw new IOException("a number without an end");
    }

    private static void put(DeflaterOutputStream out, long number) throws IOException {
        long rest = number;
        while (rest >>> 7 != 0) {
            out.write((int) (rest & MORE - 1 | MORE));
            rest >>>= 7;
        }
        out.write((int) rest);
    }
}
