/** One day of every device: what each does at any moment, and which rule says so. */
@NullMarked
package jollytide.core.programme;

import org.jspecify.annotations.NullMarked;
