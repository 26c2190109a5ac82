/**
 * Seawater as keepers meet it: density, salinity, dissolved gases and the carbonate system.
 *
 * <p>Inside: mol per kg of seawater, degrees Celsius, practical salinity, microatmospheres, total-scale pH.
 */
@NullMarked
package jollytide.core.seawater;

import org.jspecify.annotations.NullMarked;
