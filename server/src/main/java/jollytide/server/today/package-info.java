/** One day of a tank: its curve, its extremes, what was usual, and what was done. */
package jollytide.server.today;
