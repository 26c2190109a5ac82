package jollytide.core.measure;

/**
 * What a keeper must know before a measure is fitted; it says what to do.
 *
 * @param concerns whom or what it could harm
 */
public record Caution(Concern concerns, String text) {
    /** Those for animals come first. */
    public enum Concern {
        ANIMALS,
        WATER,
        EQUIPMENT_AND_PEOPLE
    }

    static Caution people(String text) {
        return new Caution(Concern.EQUIPMENT_AND_PEOPLE, text);
    }
}
