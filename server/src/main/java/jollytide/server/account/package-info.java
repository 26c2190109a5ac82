/** Keepers, their sessions, tokens and preferred units. */
package jollytide.server.account;
