/**
 * How CO2 and oxygen cross between water and air, path by path, as conductances that add.
 */
@NullMarked
package jollytide.core.exchange;

import org.jspecify.annotations.NullMarked;
