/**
 * A pH probe and what its calibrations say of it: how far it is off, how that drifts between them, and how sure that is.
 * Readings stay as they were taken; what is computed reads them through a {@link ProbeMap}.
 */
@NullMarked
package jollytide.core.probe;

import org.jspecify.annotations.NullMarked;
