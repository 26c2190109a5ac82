/** What is used up and kept in a cupboard: how long it lasts, and when more must be ordered. */
@NullMarked
package jollytide.core.supplies;

import org.jspecify.annotations.NullMarked;
