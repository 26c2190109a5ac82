/** Fills of scrubber media: what they took up, when they are due. */
package jollytide.server.media;
