/**
 * Units at the edge of the core, and the one way in which the core refuses an input.
 */
@NullMarked
package jollytide.core.units;

import org.jspecify.annotations.NullMarked;
