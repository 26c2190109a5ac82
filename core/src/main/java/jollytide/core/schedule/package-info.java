/** One day of every device: what each does at any moment, and which rule says so. */
@NullMarked
package jollytide.core.schedule;

import org.jspecify.annotations.NullMarked;
