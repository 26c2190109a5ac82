/** Where a curve passes nought: the library's solver, asked the way the core asks. */
@NullMarked
package jollytide.core.numerics;

import org.jspecify.annotations.NullMarked;
