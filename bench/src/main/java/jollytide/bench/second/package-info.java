/**
 * A second world: tanks, rooms and probes that share no physics with the model that is judged on them. Written from textbook
 * balances and with ordinary things that the model leaves out: quotients apart from 1, respiration that rises in light,
 * feeding, clouds, a lunch dip, gusts, a swing of temperature, growth, days that differ, a skimmer whose two gases go their
 * own ways, wind, guests and gas cooking. Only the water's chemistry (carbonate system, solubilities) is shared: that is
 * checked against published tables.
 *
 * <p>All sizes are from memory: what keepers' tanks may well be, not a sample of them.
 */
@NullMarked
package jollytide.bench.second;

import org.jspecify.annotations.NullMarked;
