/**
 * A computed tank: its carbon, alkalinity and oxygen and the air of its room, moved by light, animals and people.
 *
 * <p>A first cut: one room, lumped conductances, a community instead of animals. Fluxes through each path are linear in
 * the difference of CO2 (science of the trade: Liss and Slater 1974).
 */
@NullMarked
package jollytide.core.twin;

import org.jspecify.annotations.NullMarked;
