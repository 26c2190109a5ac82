/** Changes of a tank that nobody noted: what its days show from some day on, and what alone could have done that. */
@NullMarked
package jollytide.core.unnoted;

import org.jspecify.annotations.NullMarked;
