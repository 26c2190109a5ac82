/**
 * A computed tank: its carbon, alkalinity, calcium and oxygen, the air of its rooms and the media before its skimmer,
 * moved by light, animals, doses and people.
 *
 * <p>Fluxes through each path are linear in the difference of the gas's pressure (Liss and Slater 1974). Left out: the
 * tank's own respiration in the room's air (a hundredth of a person's), and evaporation, which is topped off.
 */
@NullMarked
package jollytide.core.twin;

import org.jspecify.annotations.NullMarked;
