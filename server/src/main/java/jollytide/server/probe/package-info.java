/** The pH probes of tanks: what their calibrations make of their readings. */
package jollytide.server.probe;
