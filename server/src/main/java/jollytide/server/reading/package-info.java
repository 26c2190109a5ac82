/** What was measured, raw and whole. */
package jollytide.server.reading;
