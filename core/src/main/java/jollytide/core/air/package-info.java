/**
 * The air that people and animals share with the tank.
 */
@NullMarked
package jollytide.core.air;

import org.jspecify.annotations.NullMarked;
