/**
 * What was measured, how, when, and how far it may be off.
 */
@NullMarked
package jollytide.core.evidence;

import org.jspecify.annotations.NullMarked;
