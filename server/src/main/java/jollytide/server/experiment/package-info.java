/** Experiments that a keeper chose: planned, watched while they change the tank, and what they showed. */
package jollytide.server.experiment;
