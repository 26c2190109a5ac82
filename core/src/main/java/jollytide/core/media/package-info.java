/** Scrubber media: granules of calcium hydroxide that take CO2 out of air until they are spent, or drown before that. */
@NullMarked
package jollytide.core.media;

import org.jspecify.annotations.NullMarked;
