/** Months of a tank on one axis. */
package jollytide.server.history;
