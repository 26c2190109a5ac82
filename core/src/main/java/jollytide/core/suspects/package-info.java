/** Why pH is low: what could be the cause, what of a tank's log speaks for and against it, and what would part them. */
@NullMarked
package jollytide.core.suspects;

import org.jspecify.annotations.NullMarked;
