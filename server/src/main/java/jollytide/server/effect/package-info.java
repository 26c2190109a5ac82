/** Did it help? A card for each change of a tank. */
@NullMarked
package jollytide.server.effect;

import org.jspecify.annotations.NullMarked;
