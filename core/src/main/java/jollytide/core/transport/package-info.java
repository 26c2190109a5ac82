/** Animals on the road: a small closed volume of water, its air, and the hours it lasts. */
@NullMarked
package jollytide.core.transport;

import org.jspecify.annotations.NullMarked;
