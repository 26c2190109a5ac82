package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;

/**
 * A part that runs on a store of energy: from the moment it is switched on until it is switched off or the store is
 * empty.
 *
 * @param store one name for each store
 * @param to when it is switched off; null when nobody does
 * @param lastsH hours that a full store lasts at this load
 * @param usedH of them that were used before
 */
public record OnStore(
        Part part, String store, Instant from, @Nullable Instant to, double lastsH, double usedH)
        implements Part.Opening {
    private static final double A_LONG_RUN_H = 1e5;
    private static final double AN_INSTANT_H = 1e-6;

    public OnStore {
        within("storeLastsH", lastsH, 0, 1e6, "h");
        within("storeUsedH", usedH, 0, 1e6, "h");
    }

    @Override
    public List<Stock> stocks() {
        List<Stock> all = new ArrayList<>(part.stocks());
        all.add(new Stock("store.used " + store, usedH, 1e-3, 1e-6));
        all.add(Stock.carried("store.on " + store, 0));
        return all;
    }

    @Override
    public List<Channel> channels() {
        return part.channels();
    }

    @Override
    public double[] warm(Seawater water) {
        return part.warm(water);
    }

    private int used() {
        return part.stocks().size();
    }

    /** Between two switches it runs or it does not: what a step looks ahead to switches nothing. */
    private boolean runs(Moment now) {
        return now.held(used() + 1) > 0.5;
    }

    @Override
    public void decides(Moment now) {
        part.decides(now);
        boolean wanted = !now.at().isBefore(from) && (to == null || now.at().isBefore(to));
        now.set(used() + 1, wanted && now.held(used()) < lastsH - AN_INSTANT_H ? 1 : 0);
    }

    @Override
    public void opens(Moment now) {
        if (part instanceof Opening opening && runs(now)) {
            opening.opens(now);
        }
    }

    @Override
    public void acts(Moment now) {
        if (runs(now)) {
            part.acts(now);
            now.change(used(), 1);
        }
    }

    @Override
    public Instant nextSwitch(Moment now, Instant until) {
        Instant next = part.nextSwitch(now, until);
        if (now.at().isBefore(from)) {
            return earlier(next, from);
        }
        if (!runs(now)) {
            return next;
        }
        Instant empty = now.inHours(Math.min(A_LONG_RUN_H, lastsH - now.held(used())));
        Instant ends = to == null ? empty : earlier(empty, to);
        return ends.isAfter(now.at()) ? earlier(next, ends) : next;
    }

    private static Instant earlier(Instant a, Instant b) {
        return b.isBefore(a) ? b : a;
    }
}
