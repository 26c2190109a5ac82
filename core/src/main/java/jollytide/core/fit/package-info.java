/**
 * The tanks that could be behind a log.
 */
@NullMarked
package jollytide.core.fit;

import org.jspecify.annotations.NullMarked;
