/** A tank's schedule: what every device does over the day, kept as one document, looked through for conflicts. */
package jollytide.server.schedule;
