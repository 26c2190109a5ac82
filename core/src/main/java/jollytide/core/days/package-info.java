/** Days of a log by the clock: as courses of 48 half hours, and by how much one differs from the next. */
@NullMarked
package jollytide.core.days;

import org.jspecify.annotations.NullMarked;
