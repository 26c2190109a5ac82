/**
 * Simulated stand-ins for what hangs on a real tank: probes and meters that read the core's twin, and the history of the
 * demo's three tanks made with them.
 */
@NullMarked
package jollytide.devices;

import org.jspecify.annotations.NullMarked;
