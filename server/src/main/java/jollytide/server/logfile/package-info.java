/** Whole files: loggers' logs in, the log out. */
package jollytide.server.logfile;
