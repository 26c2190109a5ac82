package jollytide.server.problem;

import org.jspecify.annotations.Nullable;

/**
 * One refused input.
 *
 * @param field its path in the request
 * @param value what it held, as text
 * @param allowed what would be accepted
 * @param message a sentence for people
 */
public record FieldError(
        String field, @Nullable String value, @Nullable String allowed, String message) {}
