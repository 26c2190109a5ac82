package jollytide.core.numerics;

/** A run was told to stop, by an interrupt of its thread, before it had an answer. */
public final class Stopped extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private Stopped() {
        super("The calculation was stopped before it finished.");
    }

    /** For long runs to call now and then. */
    public static void ifAsked() {
        if (Thread.currentThread().isInterrupted()) {
            throw new Stopped();
        }
    }
}
