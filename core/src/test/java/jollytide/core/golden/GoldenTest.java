package jollytide.core.golden;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import jollytide.core.air.AirLine;
import jollytide.core.air.Enclosure;
import jollytide.core.air.IntakeAir;
import jollytide.core.description.DailyAir;
import jollytide.core.description.FixedLine;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.exchange.Fall;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.Scrubber;
import jollytide.core.measure.Setup;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;
import jollytide.core.twin.Reef;
import jollytide.core.twin.TwinState;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Random tanks with everything on them, run by the core and by {@link OutsideTwin}: the same days. */
class GoldenTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T00:00:00Z");
    private static final double MINUTE_H = 1.0 / 60;
    private static final int DAYS = 2;

    private static OutsideTwin.Inputs draw(long seed) {
        Random random = new Random(6151 * seed);
        OutsideTwin.Inputs in = new OutsideTwin.Inputs();
        in.litres = 80 + 700 * random.nextDouble();
        in.salinity = 32 + 5 * random.nextDouble();
        in.celsius = 23.5 + 4 * random.nextDouble();
        in.displayM2 = in.litres * (0.0012 + 0.001 * random.nextDouble());
        in.displayK600 = 8 + 10 * random.nextDouble();
        in.sumpM2 = in.displayM2 * 0.4;
        in.sumpK600 = 8 + 20 * random.nextDouble();
        in.fallLPerH = in.litres * 4 * random.nextDouble();
        in.fallEfficiency = 0.05 + 0.2 * random.nextDouble();
        in.canopyLPerH = 1000 + 6000 * random.nextDouble();
        in.cabinetLPerH = 400 + 5000 * random.nextDouble();
        in.skimmerLPerH = in.litres * (0.6 + random.nextDouble());
        in.skimmerKept = 0.5 + 0.5 * random.nextDouble();
        in.outdoorShare = random.nextDouble();
        in.outdoorPpm = 420;
        double night = 600 + 700 * random.nextDouble();
        for (int h = 0; h < 24; h++) {
            in.roomPpm[h] = h < 8 ? night : h < 17 ? 0.6 * night : 0.9 * night;
        }
        in.respirationMmol = 0.008 + 0.012 * random.nextDouble();
        in.productionMmol = in.respirationMmol * (1.6 + 0.5 * random.nextDouble());
        in.lightSaturation = 0.4 + 0.4 * random.nextDouble();
        in.fishCount = random.nextInt(8);
        in.fishG = 5 + 40 * random.nextDouble();
        in.fishActivity = 1.5;
        in.useMeqPerLPerDay = 0.4 * random.nextDouble();
        in.lightsOnH = 8 + random.nextInt(4);
        in.lightsOffH = in.lightsOnH + 9 + random.nextInt(3);
        in.rampMin = 30 + random.nextInt(60);
        in.mediaKg = seed % 2 == 0 ? 0.5 + random.nextDouble() : 0;
        in.freshShare = random.nextDouble();
        return in;
    }

    private static Setup setup(OutsideTwin.Inputs in) {
        return new Setup(
                in.litres,
                new Seawater(in.salinity, in.celsius),
                3.0,
                Gases.STANDARD_HPA,
                List.of(
                        OpenPath.surface("display", Air.CANOPY, new Surface(in.displayM2, in.displayK600, 0.5)),
                        OpenPath.surface("sump", Air.CABINET, new Surface(in.sumpM2, in.sumpK600, 0.5)),
                        OpenPath.fall("drain", Air.CABINET, new Fall(in.fallLPerH, in.fallEfficiency))),
                new Enclosure(in.canopyLPerH),
                new Enclosure(in.cabinetLPerH),
                new Skimmer(in.skimmerLPerH),
                true,
                new FixedLine(
                        new AirLine(4, 12.7, 2.5),
                        in.skimmerKept * in.skimmerLPerH,
                        new IntakeAir.Share(in.outdoorShare, 1)),
                in.outdoorPpm,
                new RoomDay(new DailyAir(Arrays.stream(in.roomPpm).boxed().collect(Collectors.toList())), 0.4),
                new LightClock(LocalTime.of((int) in.lightsOnH, 0), LocalTime.of((int) in.lightsOffH, 0), true, (int)
                        in.rampMin),
                new Life(
                        in.respirationMmol,
                        in.productionMmol,
                        in.lightSaturation,
                        0,
                        new Fish(List.of(new Fish.Group((int) in.fishCount, in.fishG))),
                        in.fishActivity,
                        in.useMeqPerLPerDay,
                        1),
                AlkalinitySource.SODA_ASH,
                null,
                null,
                ZoneOffset.UTC,
                OutageAssumptions.DEFAULT);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void theTwinAgreesWithOneFromOutside(long seed) {
        OutsideTwin.Inputs in = draw(seed);
        OrdinaryDays days = new OrdinaryDays(setup(in), new TankParameters(1, in.respirationMmol, in.productionMmol));
        MeasureSet measures = in.mediaKg == 0
                ? MeasureSet.NONE
                : MeasureSet.of(new Scrubber(
                        new Media(in.mediaKg, MediaAssumptions.DEFAULT),
                        in.freshShare,
                        MediaUse.Hours.ALWAYS,
                        8.2,
                        false));
        TwinState today = days.today(MIDNIGHT);
        List<TwinState> run = days.run(today, measures, Duration.ofDays(DAYS));
        in.usualOversaturation = today.held(Reef.USUAL_OVERSATURATION).orElseThrow();
        OutsideTwin outside = new OutsideTwin(in);
        double[] y = {
            today.dicMolPerKg(),
            today.alkalinityMolPerKg(),
            today.calciumMolPerKg(),
            today.oxygenMolPerKg(),
            0,
            in.mediaKg * 0.15
        };
        assertThat(outside.ph(y[1], y[0])).isCloseTo(today.phTotal(), within(2e-5));
        double trough = 14;
        double peak = 0;
        double lowest = 100;
        for (int minute = 1; minute <= DAYS * 1440; minute++) {
            y = outside.step((minute - 1) * MINUTE_H, y, MINUTE_H);
            if (minute % 15 == 0) {
                double ph = outside.ph(y[OutsideTwin.ALKALINITY], y[OutsideTwin.DIC]);
                TwinState twin = run.get(minute / 15 - 1);
                assertThat(twin.phTotal()).as("pH at minute %d", minute).isCloseTo(ph, within(1e-3));
                trough = Math.min(trough, ph);
                peak = Math.max(peak, ph);
                lowest = Math.min(lowest, outside.oxygenMgPerL(y[OutsideTwin.OXYGEN]));
            }
        }
        assertThat(run.stream().mapToDouble(TwinState::phTotal).min().orElseThrow())
                .isCloseTo(trough, within(0.0005));
        assertThat(run.stream().mapToDouble(TwinState::phTotal).max().orElseThrow())
                .isCloseTo(peak, within(0.0005));
        assertThat(run.stream().mapToDouble(TwinState::oxygenMgPerL).min().orElseThrow())
                .isCloseTo(lowest, within(0.005));
        if (in.mediaKg > 0) {
            TwinState last = run.get(run.size() - 1);
            assertThat(last.media().co2Mol())
                    .isCloseTo(y[OutsideTwin.MEDIA_CO2], within(0.005 * y[OutsideTwin.MEDIA_CO2]));
            assertThat(last.media().waterKg())
                    .isCloseTo(y[OutsideTwin.MEDIA_WATER], within(0.005 * y[OutsideTwin.MEDIA_WATER]));
        }
    }
}
