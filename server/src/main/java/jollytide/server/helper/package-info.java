/** Helpers, invited to one home by a link, and what guests may do there. */
package jollytide.server.helper;
