package jollytide.core.logfile;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.util.ArrayDeque;
import org.jspecify.annotations.Nullable;

/**
 * The lines of a text, numbered from 1. A quoted cell may hold line breaks (RFC 4180), so lines are joined until their
 * quotes close; a quote that never closes spoils its own line only.
 */
final class TextLines {
    /** A cell with more breaks than this is an unclosed quote. */
    private static final int MAX_JOINED = 20;

    private static final int MAX_LENGTH = 64_000;

    private final Reader reader;
    private final char[] buffer = new char[1 << 16];
    private int at;
    private int filled;
    private final ArrayDeque<Line> ahead = new ArrayDeque<>();
    private long number;

    /**
     * A line as it stands in the file.
     *
     * @param fault why it cannot be read; null when it can
     */
    record Line(long number, String text, @Nullable String fault) {}

    TextLines(InputStream in, TextForm form) throws IOException {
        in.skipNBytes(form.skipBytes());
        this.reader = new InputStreamReader(in, form.charset());
    }

    /** The next line, or null at the end. */
    @Nullable
    Line next() throws IOException {
        Line first = physical();
        if (first == null || first.fault() != null || balanced(first.text())) {
            return first;
        }
        ArrayDeque<Line> taken = new ArrayDeque<>();
        StringBuilder joined = new StringBuilder(first.text());
        for (int i = 0; i < MAX_JOINED; i++) {
            Line more = physical();
            if (more == null || more.fault() != null) {
                if (more != null) {
                    taken.add(more);
                }
                break;
            }
            taken.add(more);
            joined.append('\n').append(more.text());
            if (!balanced(more.text())) {
                return new Line(first.number(), joined.toString(), null);
            }
        }
        taken.descendingIterator().forEachRemaining(ahead::addFirst);
        return new Line(first.number(), first.text(), "a quote opens and does not close");
    }

    private @Nullable Line physical() throws IOException {
        if (!ahead.isEmpty()) {
            return ahead.removeFirst();
        }
        StringBuilder text = null;
        boolean cut = false;
        boolean ended = false;
        while (!ended && (at < filled || fill())) {
            if (text == null) {
                text = new StringBuilder(80);
            }
            int from = at;
            while (at < filled && buffer[at] != '\n') {
                at++;
            }
            int room = MAX_LENGTH - text.length();
            text.append(buffer, from, Math.min(at - from, room));
            cut |= at - from > room;
            if (at < filled) {
                at++;
                ended = true;
            }
        }
        if (text == null) {
            return null;
        }
        int end = text.length();
        if (end > 0 && text.charAt(end - 1) == '\r') {
            text.setLength(end - 1);
        }
        number++;
        return new Line(number, text.toString(), cut ? "longer than any logger's line" : null);
    }

    private boolean fill() throws IOException {
        filled = Math.max(0, reader.read(buffer));
        at = 0;
        return filled > 0;
    }

    private static boolean balanced(String text) {
        boolean even = true;
        for (int i = text.indexOf('"'); i >= 0; i = text.indexOf('"', i + 1)) {
            even = !even;
        }
        return even;
    }
}
