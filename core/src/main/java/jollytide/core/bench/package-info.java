/**
 * The bench: the tank as it is, remedies put on it, and what they would do here.
 *
 * <p>The tank's own breath is fitted to its log. Where the log cannot tell two tanks apart, both are run: a forecast is
 * the band between tanks that all agree with what was measured.
 */
@NullMarked
package jollytide.core.bench;

import org.jspecify.annotations.NullMarked;
