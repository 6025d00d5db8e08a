package io.enthalpa.server.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.MappedByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.ReadableByteChannel;
import java.nio.channels.WritableByteChannel;
import java.util.concurrent.atomic.AtomicInteger;

/** A disk that refuses to write, or to flush, when it is told to; it counts what it was asked. */
public final class FailingDisk implements StoreFiles.Disk {
    private volatile String refusal = "";
    private volatile boolean refusesFlush;
    final AtomicInteger flushes = new AtomicInteger();

    /** @param words of the operating system */
    public void refuse(String words) {
        refusal = words;
    }

    void refuseFlush(boolean refuses) {
        refusesFlush = refuses;
    }

    @Override
    public FileChannel opened(FileChannel file) {
        return new Channel(file);
    }

    private final class Channel extends FileChannel {
        private final FileChannel file;

        Channel(FileChannel file) {
            this.file = file;
        }

        private void check() throws IOException {
            if (!refusal.isEmpty()) {
                throw new IOException(refusal);
            }
        }

        @Override
        public int read(ByteBuffer into) throws IOException {
            return file.read(into);
        }

        @Override
        public long read(ByteBuffer[] into, int offset, int length) throws IOException {
            return file.read(into, offset, length);
        }

        @Override
        public int write(ByteBuffer from) throws IOException {
            check();
            return file.write(from);
        }

        @Override
        public long write(ByteBuffer[] from, int offset, int length) throws IOException {
            check();
            return file.write(from, offset, length);
        }

        @Override
        public long position() throws IOException {
            return file.position();
        }

        @Override
        public FileChannel position(long position) throws IOException {
            file.position(position);
            return this;
        }

        @Override
        public long size() throws IOException {
            return file.size();
        }

        @Override
        public FileChannel truncate(long size) throws IOException {
            check();
            file.truncate(size);
            return this;
        }

        @Override
        public void force(boolean metaData) throws IOException {
            flushes.incrementAndGet();
            if (refusesFlush) {
                throw new IOException("Input/output error");
            }
            file.force(metaData);
        }

        @Override
        public long transferTo(long position, long count, WritableByteChannel target) throws IOException {
            return file.transferTo(position, count, target);
        }

        @Override
        public long transferFrom(ReadableByteChannel from, long position, long count) throws IOException {
            check();
            return file.transferFrom(from, position, count);
        }

        @Override
        public int read(ByteBuffer into, long position) throws IOException {
            return file.read(into, position);
        }

        @Override
        public int write(ByteBuffer from, long position) throws IOException {
            check();
            return file.write(from, position);
        }

        @Override
        public MappedByteBuffer map(MapMode mode, long position, long size) throws IOException {
            return file.map(mode, position, size);
        }

        @Override
        public FileLock lock(long position, long size, boolean shared) throws IOException {
            return file.lock(position, size, shared);
        }

        @Override
        public FileLock tryLock(long position, long size, boolean shared) throws IOException {
            return file.tryLock(position, size, shared);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            file.close();
        }
    }
}
