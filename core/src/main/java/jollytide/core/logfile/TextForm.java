package jollytide.core.logfile;

import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/**
 * How a file's bytes become text.
 *
 * @param skipBytes length of the byte order mark
 */
public record TextForm(Charset charset, int skipBytes) {
    /** What loggers on old desktops write when it is not Unicode; it holds the degree sign and never fails. */
    private static final Charset LEGACY = Charset.forName("windows-1252");

    /**
     * The form of a file that begins with {@code head}, its first kilobytes.
     *
     * @throws FileRefused when it is empty, compressed, a spreadsheet or otherwise no text
     */
    public static TextForm of(byte[] head) {
        if (head.length == 0) {
            throw new FileRefused("The file is empty.");
        }
        if (startsWith(head, 0x50, 0x4B, 3, 4) || startsWith(head, 0x50, 0x4B, 5, 6)) {
            throw new FileRefused("This is a zip file or a spreadsheet. Unpack it, or save the sheet as CSV.");
        }
        if (startsWith(head, 0x1F, 0x8B)) {
            throw new FileRefused("This file is compressed (gzip). Unpack it first.");
        }
        if (startsWith(head, 0xD0, 0xCF, 0x11, 0xE0)) {
            throw new FileRefused("This is an old spreadsheet file. Save the sheet as CSV.");
        }
        if (startsWith(head, 0xEF, 0xBB, 0xBF)) {
            return new TextForm(StandardCharsets.UTF_8, 3);
        }
        if (startsWith(head, 0xFF, 0xFE)) {
            return new TextForm(StandardCharsets.UTF_16LE, 2);
        }
        if (startsWith(head, 0xFE, 0xFF)) {
            return new TextForm(StandardCharsets.UTF_16BE, 2);
        }
        for (byte b : head) {
            if (b == 0) {
                throw new FileRefused("This is not a text file. Jolly Tide reads CSV and SenML JSON.");
            }
        }
        return new TextForm(isUtf8(head) ? StandardCharsets.UTF_8 : LEGACY, 0);
    }

    private static boolean startsWith(byte[] head, int... magic) {
        for (int i = 0; i < magic.length; i++) {
            if (i >= head.length || (head[i] & 0xFF) != magic[i]) {
                return false;
            }
        }
        return true;
    }

    private static boolean isUtf8(byte[] head) {
        CharsetDecoder decoder = StandardCharsets.UTF_8
                .newDecoder()
                .onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT);
        // The head may end inside a character: that much is left undecoded without an error.
        return !decoder.decode(ByteBuffer.wrap(head), CharBuffer.allocate(head.length), false)
                .isError();
    }
}
