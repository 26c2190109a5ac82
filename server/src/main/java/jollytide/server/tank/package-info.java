/** A tank's description, and a glance at it. */
package jollytide.server.tank;
