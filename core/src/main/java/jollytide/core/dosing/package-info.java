/**
 * What is poured in: how much alkalinity it brings, and how much carbon with it.
 */
@NullMarked
package jollytide.core.dosing;

import org.jspecify.annotations.NullMarked;
