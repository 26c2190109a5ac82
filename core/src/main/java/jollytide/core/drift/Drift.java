package jollytide.core.drift;

import java.time.LocalDate;
import jollytide.core.evidence.Estimate;

/**
 * A stretch of days in which something rose or fell evenly.
 *
 * @param begins as it stood at its beginning, {@code ends} at its end, in the unit of the course
 * @param perDay by how much a day, with its 90 % band, in the unit in which the course is straight
 */
public record Drift(LocalDate from, LocalDate until, double begins, double ends, Estimate perDay) {}
