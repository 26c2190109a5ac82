/** Calculators without state, for people and scripts alike. */
package jollytide.server.calculators;
