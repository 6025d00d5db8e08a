package io.enthalpa.formats;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;

/** The text of a file whose writer did not say how it is encoded: by its mark, else UTF-8 where it is that, else as older table programs write it. */
public final class LogText {
    private static final int LOOKED_AT = 1 << 16;
    private static final Charset OLDER = Charset.forName("windows-1252");

    private LogText() {}

    public static Reader reader(InputStream file) throws IOException {
        BufferedInputStream in = new BufferedInputStream(file, LOOKED_AT);
        in.mark(LOOKED_AT);
        byte[] start = in.readNBytes(LOOKED_AT - 1);
        in.reset();
        return new InputStreamReader(in, charset(start));
    }

    /** @return the beginning of a file, as much as {@link LogHead#of} looks at */
    public static String start(byte[] bytes) {
        String text = new String(bytes, charset(bytes));
        return text.substring(0, Math.min(text.length(), LogHead.LOOKED_AT));
    }

    private static Charset charset(byte[] start) {
        if (start.length >= 2 && (start[0] & 0xff) == 0xff && (start[1] & 0xff) == 0xfe
                || start.length >= 2 && (start[0] & 0xff) == 0xfe && (start[1] & 0xff) == 0xff) {
            return StandardCharsets.UTF_16;
        }
        CharsetDecoder strict = StandardCharsets.UTF_8.newDecoder();
        CoderResult read = strict.decode(ByteBuffer.wrap(start), CharBuffer.allocate(start.length + 1), false);
        return read.isError() ? OLDER : StandardCharsets.UTF_8;
    }
}
