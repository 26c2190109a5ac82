/** The history of the demo's three tanks: the core's twin, read by its sensors. It is not part of the application. */
@NullMarked
package jollytide.demo;

import org.jspecify.annotations.NullMarked;
