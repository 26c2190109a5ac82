/** What is due at a home, and when: one list for the strip, the screens and calendars. */
package jollytide.server.due;
