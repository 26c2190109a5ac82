/** What is tested and done in the days after filters stood still. */
@NullMarked
package jollytide.core.aftermath;

import org.jspecify.annotations.NullMarked;
