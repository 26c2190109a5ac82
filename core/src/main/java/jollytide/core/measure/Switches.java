package jollytide.core.measure;

import java.time.Instant;

/** What the devices of a tank do hour by hour, where a schedule says so. Everything else stays as it is described. */
public interface Switches {
    /**
     * The way of a skimmer's air.
     *
     * @param freshShare of what it draws; the rest is its recirculated exhaust
     * @param media whether it goes through media
     */
    record AirWay(double freshShare, boolean media) {}

    /** Of the skimmer's draw, 0 to 1. */
    double skimmer(Instant t);

    AirWay air(Instant t, boolean gateOpen);

    /** Whether a gate on pH leads the skimmer's air. */
    boolean gated();

    boolean opens(double phNbs, boolean open);

    /** Of the full flow in the display, 0 to 1: at rest its surfaces are still, at full flow as they are described. */
    double flow(Instant t);

    /** Of the return's flow, 0 to 1: without it falls, skimmer and sump stand apart from the display, which calms. */
    double returns(Instant t);

    /** Of the described stones the i-th, 0 to 1. */
    double stone(int i, Instant t);

    /** 0 to 1, on top of what the lamps' clock says. */
    double lamps(Instant t);

    double refugium(Instant t);

    /** Of the doses that are made at this hour, 0 to 1: what the mains or a hand keeps back. */
    double doses(Instant t);

    /** No later than {@code until}. */
    Instant nextSwitch(Instant t, Instant until);
}
