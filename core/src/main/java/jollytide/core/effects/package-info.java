/** Did it help? Days before and after a change, less what room and water explain, beside what was possible. */
@NullMarked
package jollytide.core.effects;

import org.jspecify.annotations.NullMarked;
