/** What it costs to run a tank. */
package jollytide.server.cost;
