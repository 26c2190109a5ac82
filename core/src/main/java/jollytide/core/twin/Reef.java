package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import java.util.List;
import jollytide.core.reef.Life;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Seawater;

/**
 * Rock, corals and bacteria: they breathe, make oxygen in the light and build lime. Each mole of oxygen breathed gives
 * {@code quotient} moles of CO2, and the other way round in the light.
 *
 * @param demandTimes what is breathed, over what is expected
 * @param light 0 in the dark, 1 at full light
 */
public record Reef(Life life, double demandTimes, Lamp light) implements Part {
    /**
     * Mean of Ω − 1 over the tank's ordinary day, at which its use of alkalinity was seen. 0 before that day is known:
     * then use does not follow Ω.
     */
    public static final Stock USUAL_OVERSATURATION = Stock.carried("reef.usual-oversaturation", 0);

    /** Below this use does not hang on the difference to saturation alone. From memory. */
    private static final double LEAST_OVERSATURATION = 0.3;

    private static final int RESPIRATION = 0;
    private static final int LIGHT = 1;
    private static final int CALCIFICATION = 2;

    public Reef {
        within("demandTimes", demandTimes, 0, 10, "");
    }

    @Override
    public List<Stock> stocks() {
        return List.of(USUAL_OVERSATURATION);
    }

    @Override
    public List<Channel> channels() {
        return List.of(
                new Channel(Channel.Kind.REEF),
                new Channel(Channel.Kind.LIGHT),
                new Channel(Channel.Kind.CALCIFICATION));
    }

    @Override
    public double[] warm(Seawater water) {
        return new double[] {Life.metabolism(water.temperatureC())};
    }

    @Override
    public Instant nextSwitch(Moment now, Instant until) {
        return light.nextSwitch(now.at(), until);
    }

    @Override
    public void acts(Moment now) {
        double perMmol = now.warm(0) * now.litres() / 1000;
        double left = OxygenLines.demandLeft(now.oxygenMgPerL());
        breathe(now, RESPIRATION, perMmol * life.respirationMmolPerLPerH() * left * demandTimes);
        double shine = light.at(now.at());
        breathe(
                now,
                LIGHT,
                shine == 0
                        ? 0
                        : -perMmol * life.photosynthesisMmolPerLPerH() * life.lightResponse(shine) * now.carbonLeft());
        double usual = now.held(0);
        boolean follows = usual >= LEAST_OVERSATURATION;
        double times = follows ? Math.max(0, now.omega() - 1) / usual : 1;
        double lime = Math.min(now.carbonLeft(), now.alkalinityLeft());
        double mol = life.calcificationMeqPerLPerDay() / 24 * times * lime / 1000 * now.litres();
        // Two equivalents and a mole of carbon go into a mole of aragonite.
        now.gain(CALCIFICATION, -mol / 2, 0);
        now.dissolve(-mol, -mol / 2, 0);
    }

    private void breathe(Moment now, int row, double oxygenMolPerH) {
        now.gain(row, oxygenMolPerH * life.quotient(), -oxygenMolPerH);
    }
}
