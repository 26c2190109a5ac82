/**
 * Oxygen when the mains are off: how long it lasts, what each backup adds and for how long, and what to do next.
 *
 * <p>Animals hang on these numbers. Whatever is not known is estimated three times: early, likely and late; plans hold to
 * the early one.
 */
@NullMarked
package jollytide.core.outage;

import org.jspecify.annotations.NullMarked;
