/**
 * Solutions that are dosed from a reservoir: what is planned, what arrives, and what the animals make of it.
 */
@NullMarked
package jollytide.core.dosingline;

import org.jspecify.annotations.NullMarked;
