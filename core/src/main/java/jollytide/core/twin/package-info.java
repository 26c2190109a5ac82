/**
 * A computed tank: water, in which parts meet. A part names what it holds and what it does at a moment; {@link Twin} runs
 * them all under one integrator, and the gas balance says what crossed by which way. Ordinary days, a night without mains, a
 * bag on the road and a fill of media alone are such tanks, each of other parts.
 *
 * <p>Fluxes through each path are linear in the difference of the gas's pressure (Liss and Slater 1974). Left out: the
 * tank's own respiration in the room's air (a hundredth of a person's), and evaporation, which is topped off.
 */
@NullMarked
package jollytide.core.twin;

import org.jspecify.annotations.NullMarked;
