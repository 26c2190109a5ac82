/** The staircase of one tank, built from its readings. */
package jollytide.server.staircase;
