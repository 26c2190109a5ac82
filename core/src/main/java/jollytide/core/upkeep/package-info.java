/** What must be looked after, when that is due, and what this tank itself says of how often. */
@NullMarked
package jollytide.core.upkeep;

import org.jspecify.annotations.NullMarked;
