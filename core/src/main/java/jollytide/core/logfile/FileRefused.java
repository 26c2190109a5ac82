package jollytide.core.logfile;

/** A file that cannot be read at all; the message says why and what would help. */
public class FileRefused extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public FileRefused(String sentence) {
        super(sentence);
    }
}
