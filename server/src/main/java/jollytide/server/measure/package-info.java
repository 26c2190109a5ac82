/** Measures as they come from outside. */
package jollytide.server.measure;
