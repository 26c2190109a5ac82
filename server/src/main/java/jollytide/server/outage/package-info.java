/** Oxygen through an outage: the kit, the readiness, the clock and the card. */
package jollytide.server.outage;
