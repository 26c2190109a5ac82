/** Care of a tank's pH probe: buffers, the glass of air, other methods beside it. */
package jollytide.server.probecare;
