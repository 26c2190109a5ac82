/**
 * A tank and its surroundings as their keeper describes and measures them: what the twin is built from.
 */
@NullMarked
package jollytide.core.description;

import org.jspecify.annotations.NullMarked;
