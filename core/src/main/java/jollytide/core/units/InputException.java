package jollytide.core.units;

/** An input that the core refuses: which field, what it held, and what would be allowed. */
public class InputException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final String field;
    private final double value;
    private final String allowed;

    /**
     * @param field the input's name, as the caller knows it
     * @param value what it held
     * @param allowed what would be accepted, in words with units
     * @param reason a sentence for people
     */
    public InputException(String field, double value, String allowed, String reason) {
        super(reason);
        this.field = field;
        this.value = value;
        this.allowed = allowed;
    }

    public String field() {
        return field;
    }

    public double value() {
        return value;
    }

    public String allowed() {
        return allowed;
    }
}
