/** A request that makes something and names itself makes it once. */
package jollytide.server.once;
