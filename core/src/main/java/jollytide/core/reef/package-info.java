/**
 * What lives and shines in the tank. So far: the light clock.
 */
@NullMarked
package jollytide.core.reef;

import org.jspecify.annotations.NullMarked;
