/** The bench: what would each remedy do here? */
package jollytide.server.twin;
