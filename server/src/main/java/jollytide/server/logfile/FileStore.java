package jollytide.server.logfile;

import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Files in pieces of a megabyte in the database, so that memory stays flat and any instance can read on. */
@Component
class FileStore {
    static final int HEAD_BYTES = 200_000;
    private static final int PART_BYTES = 1 << 20;

    private final JdbcTemplate jdbc;

    FileStore(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** Stores all of {@code in} and returns its length in bytes. */
    long store(long importId, InputStream in) throws IOException {
        long length = 0;
        byte[] part = new byte[PART_BYTES];
        for (int seq = 0; ; seq++) {
            int n = in.readNBytes(part, 0, PART_BYTES);
            length += n;
            if (n > 0) {
                jdbc.update(
                        "insert into log_import_part (import_id, seq, bytes) values (?, ?, ?)",
                        importId,
                        seq,
                        n == PART_BYTES ? part : Arrays.copyOf(part, n));
            }
            if (n < PART_BYTES) {
                return length;
            }
        }
    }

    void drop(long importId) {
        jdbc.update("delete from log_import_part where import_id = ?", importId);
    }

    /** A piece, counted from 0; empty past the end. */
    byte[] part(long importId, int seq) {
        return jdbc
                .queryForList(
                        "select bytes from log_import_part where import_id = ? and seq = ?",
                        byte[].class,
                        importId,
                        seq)
                .stream()
                .findFirst()
                .orElseGet(() -> new byte[0]);
    }

    /** The first kilobytes, enough to tell how a file is laid out. */
    byte[] head(long importId) {
        byte[] part = part(importId, 0);
        return part.length > HEAD_BYTES ? Arrays.copyOf(part, HEAD_BYTES) : part;
    }

    int parts(long importId) {
        Integer parts = jdbc.queryForObject(
                "select count(*) from log_import_part where import_id = ?", Integer.class, importId);
        return parts == null ? 0 : parts;
    }

    /** The file from its beginning. */
    Reading read(long importId) {
        return new Reading(importId);
    }

    /** A file being read, piece by piece. */
    final class Reading extends InputStream {
        private final long importId;
        private int seq;
        private byte @Nullable [] part;
        private int at;
        private long done;

        private Reading(long importId) {
            this.importId = importId;
        }

        long done() {
            return done;
        }

        @Override
        public int read() {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
        }

        @Override
        public int read(byte[] to, int offset, int length) {
            byte[] current = part;
            if (current == null || at == current.length) {
                current = part(importId, seq++);
                part = current;
                at = 0;
            }
            if (current.length == 0) {
                return -1;
            }
            int n = Math.min(length, current.length - at);
            System.arraycopy(current, at, to, offset, n);
            at += n;
            done += n;
            return n;
        }
    }
}
