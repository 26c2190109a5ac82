/** What meters and tests show of themselves over months: a room that is sealed, an alkalinity that is dosed too little. */
@NullMarked
package jollytide.core.drift;

import org.jspecify.annotations.NullMarked;
