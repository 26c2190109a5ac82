/** What is looked after on a tank: when it is due again, and how it is done. */
package jollytide.server.upkeep;
