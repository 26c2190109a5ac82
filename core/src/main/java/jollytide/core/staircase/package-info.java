/**
 * Where the water's CO2 comes from: outdoors, room, water, and a verdict on the taller riser.
 */
@NullMarked
package jollytide.core.staircase;

import org.jspecify.annotations.NullMarked;
