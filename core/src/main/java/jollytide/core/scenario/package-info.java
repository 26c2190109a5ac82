/**
 * What is asked of the twin: ordinary days with measures on, the margin of a night, a fill of media alone.
 *
 * <p>The tank's own respiration is fitted to its log. Where the log cannot tell two tanks apart, both are run: a
 * forecast is the band between tanks that all agree with what was measured.
 */
@NullMarked
package jollytide.core.scenario;

import org.jspecify.annotations.NullMarked;
