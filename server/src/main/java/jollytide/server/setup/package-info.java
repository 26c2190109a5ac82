/** Start-up settings, security and what the web build needs. */
package jollytide.server.setup;
