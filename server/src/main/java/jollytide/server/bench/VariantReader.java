package jollytide.server.bench;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.air.AirLine;
import jollytide.core.air.Enclosure;
import jollytide.core.air.People;
import jollytide.core.bench.DailyAir;
import jollytide.core.bench.Remedies;
import jollytide.core.bench.Remedy;
import jollytide.core.bench.Setup;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.Limewater;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.LightClock;
import jollytide.core.twin.Conditions;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;
import jollytide.core.units.Quantities;
import org.jspecify.annotations.Nullable;

/** Makes remedies of what came over the wire. */
public final class VariantReader {
    private final Setup setup;
    private final @Nullable Double roomM3;
    private final MediaAssumptions mediaAssumed;

    /**
     * For one tank.
     *
     * @param roomM3 null when not known: then nothing that hangs on it can be tried
     */
    VariantReader(Setup setup, @Nullable Double roomM3, MediaAssumptions mediaAssumed) {
        this.setup = setup;
        this.roomM3 = roomM3;
        this.mediaAssumed = mediaAssumed;
    }

    /** A variant on a tank that nobody keeps; none when null. */
    public static Remedies read(@Nullable Variant v, Setup setup, @Nullable Double roomM3) {
        return v == null ? Remedies.NONE : new VariantReader(setup, roomM3, MediaAssumptions.DEFAULT).read(v);
    }

    Remedies read(Variant v) {
        List<Remedy> all = new ArrayList<>();
        air(v, all);
        skimmer(v, all);
        water(v, all);
        chemistry(v, all);
        return new Remedies(all);
    }

    private void air(Variant v, List<Remedy> all) {
        if (v.ventilationTimes() != null || v.ventilatorM3PerH() != null) {
            double extra = v.ventilatorM3PerH() == null
                    ? 0
                    : Quantities.within("ventilatorM3PerH", v.ventilatorM3PerH(), 0, 5000, "m³/h")
                            / room("ventilatorM3PerH");
            all.add(new Remedy.Ventilation(or(v.ventilationTimes(), 1), extra));
        }
        if (Boolean.TRUE.equals(v.nobodyHome()) || v.guests() != null) {
            double extra = v.guests() == null
                    ? 0
                    : Conditions.Room.sourcePpmPerH(new People(v.guests(), 0, 0).awakeLPerS(), room("guests"));
            all.add(new Remedy.Company(Boolean.TRUE.equals(v.nobodyHome()) ? 0 : 1, extra));
        }
        if (v.cabinet() != null) {
            if (setup.cabinet() == null) {
                throw missing("cabinet", "a tank whose sump stands in a cabinet");
            }
            all.add(new Remedy.CabinetAir(new Enclosure(v.cabinet().exchangeLPerH())));
        }
        if (v.canopy() != null) {
            if (setup.canopy() == null) {
                throw missing("canopy", "a tank under a canopy");
            }
            all.add(new Remedy.CanopyAir(new Enclosure(v.canopy().exchangeLPerH())));
        }
    }

    private void skimmer(Variant v, List<Remedy> all) {
        if ((v.line() != null || v.media() != null) && setup.skimmer() == null) {
            throw missing(v.line() != null ? "line" : "media", "a tank with a skimmer");
        }
        Variant.Hose hose = v.line();
        if (hose != null) {
            all.add(new Remedy.OutdoorLine(
                    new AirLine(hose.lengthM(), hose.boreMm(), AirLine.ASSUMED_LOSS),
                    hose.flue() == null ? null : mouth(hose.flue(), setup.outdoorPpm()),
                    or(hose.leakMm(), 0)));
        }
        Variant.ScrubberUse media = v.media();
        if (media != null) {
            all.add(new Remedy.Scrubber(
                    new Media(media.massKg(), mediaAssumed.choking(Boolean.TRUE.equals(media.chokes()))),
                    media.freshShare(),
                    media.hours(),
                    or(media.gatePh(), 8.2),
                    media.driesBetween()));
        }
        if (v.skimmerShare() != null) {
            all.add(new Remedy.SkimmerDraw(v.skimmerShare()));
        }
    }

    private static void water(Variant v, List<Remedy> all) {
        if (v.surfaceTimes() != null) {
            all.add(new Remedy.Agitation(v.surfaceTimes()));
        }
        Variant.AirStone stone = v.stone();
        if (stone != null) {
            all.add(new Remedy.Stone(stone.airLPerH(), stone.diameterMm(), stone.depthM()));
        }
        if (v.warmerByK() != null) {
            all.add(new Remedy.Warmth(v.warmerByK()));
        }
        Variant.Algae algae = v.refugium();
        if (algae != null) {
            LightClock lamp = new LightClock(LocalTime.parse(algae.on()), LocalTime.parse(algae.off()), true, 0);
            all.add(new Remedy.Refugium(algae.mmolPerH(), lamp));
        }
    }

    private void chemistry(Variant v, List<Remedy> all) {
        if (v.limewaterMlPerDay() != null && v.source() != null) {
            throw new InputException(
                    "source", 2, "limewater or another source", "One other source at a time can be tried.");
        }
        if (v.limewaterMlPerDay() != null) {
            double meq = new Limewater(or(v.limewaterStrength(), 1))
                    .meqPerLPerDay(v.limewaterMlPerDay(), setup.netVolumeL());
            all.add(new Remedy.OtherSource(AlkalinitySource.LIMEWATER, meq, v.limewaterMlPerDay() / 1000));
        }
        if (v.source() != null) {
            double meq = v.sourceDkhPerDay() == null
                    ? setup.useMeqPerLPerDay()
                    : AlkalinityUnit.DKH.toMeqPerL(v.sourceDkhPerDay());
            all.add(new Remedy.OtherSource(v.source(), meq));
        }
        if (v.alkalinityChangeDkh() != null) {
            all.add(new Remedy.AlkalinityChange(AlkalinityUnit.DKH.toMeqPerL(v.alkalinityChangeDkh())));
        }
        Variant.ReactorCare care = v.reactor();
        if (care != null) {
            if (setup.reactor() == null) {
                throw missing("reactor", "a tank with a calcium reactor");
            }
            all.add(new Remedy.ReactorAfterCare(care.secondChamberShare(), care.dripShare()));
        }
    }

    private double room(String field) {
        if (roomM3 == null) {
            throw missing(field, "a room whose volume is described");
        }
        return roomM3;
    }

    private static InputException missing(String field, String allowed) {
        return new InputException(field, 0, allowed, "This needs " + allowed + ".");
    }

    private static DailyAir mouth(Variant.Flue flue, double outdoors) {
        int from = (int) Quantities.within("line.flue.fromHour", flue.fromHour(), 0, 23, "h");
        int to = (int) Quantities.within("line.flue.toHour", flue.toHour(), 0, 24, "h");
        return new DailyAir(IntStream.range(0, 24)
                .mapToObj(h -> (from <= to ? h >= from && h < to : h >= from || h < to) ? flue.ppm() : outdoors)
                .toList());
    }

    static double or(@Nullable Double given, double otherwise) {
        return given == null ? otherwise : given;
    }
}
