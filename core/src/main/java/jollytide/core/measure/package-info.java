/**
 * What a keeper can do about a tank's air and water, and what may go wrong with it: one class for each, which says what
 * it needs, what it changes on the {@link Rig}, what it costs and what must be known before it is fitted. {@link
 * Measures} lists them all.
 */
@NullMarked
package jollytide.core.measure;

import org.jspecify.annotations.NullMarked;
