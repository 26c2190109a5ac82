/** Homes and rooms: what surrounds the tanks. */
package jollytide.server.home;
