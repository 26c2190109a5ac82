package jollytide.core.measure;

import java.time.Instant;
import jollytide.core.description.LocalHours;
import jollytide.core.dosing.DoseHours;
import jollytide.core.twin.Dosing;

/** Doses by the hours of a local clock. */
record DosedByHours(DoseHours hours, LocalHours local) implements Dosing.Pace {
    private static final double HOUR_S = 3600;

    static Dosing.Pace of(DoseHours hours, LocalHours local) {
        return hours.even() ? EVENLY : new DosedByHours(hours, local);
    }

    @Override
    public double timesAt(Instant t) {
        return hours.times(local.at(t));
    }

    /** The next full hour of that clock. */
    @Override
    public Instant nextSwitch(Instant t, Instant until) {
        double hour = local.at(t);
        Instant next = t.plusSeconds(Math.max(1, Math.round((Math.floor(hour) + 1 - hour) * HOUR_S)));
        return next.isBefore(until) ? next : until;
    }
}
