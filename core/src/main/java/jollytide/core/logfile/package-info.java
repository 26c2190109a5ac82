/**
 * A logger's own file: how it is laid out, what each of its columns could mean, and what it cannot say of itself.
 *
 * <p>Loggers agree on little. So a file is sampled, a layout is proposed, and what stays open is a question to the
 * keeper: the time zone, the order of day and month, the scale or unit of a column. Only then is it read, line by line.
 */
@NullMarked
package jollytide.core.logfile;

import org.jspecify.annotations.NullMarked;
