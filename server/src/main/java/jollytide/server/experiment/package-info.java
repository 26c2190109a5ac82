/** Experiments that a keeper chose: planned, watched while they change the tank, and what they told. */
package jollytide.server.experiment;
