/** What changed around a tank, and when. */
package jollytide.server.event;
