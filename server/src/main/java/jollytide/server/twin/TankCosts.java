package jollytide.server.twin;

import jollytide.core.measure.Cost;
import jollytide.core.measure.CostBasis;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.Prices;
import jollytide.core.measure.Scrubber;
import jollytide.core.measure.Setup;
import jollytide.core.media.MediaAssumptions;
import jollytide.server.measure.SetRequest;
import jollytide.server.tank.Tank;
import org.jspecify.annotations.Nullable;

/** What costs of measures hang on, at a tank's home. */
public final class TankCosts {
    private static final double ORDINARY_ROOM_M3 = 100;

    private TankCosts() {}

    /**
     * What measures cost a month on a tank as it stands, in the home's money; assumed prices but for its tariff. Null for
     * what costs nothing at all, like people who are away.
     */
    public static @Nullable Double perMonth(Tank tank, Setup setup, SetRequest put, @Nullable Double mediaDays) {
        Cost cost = basis(tank, setup, mediaDays)
                .of(put.on(SetupOfTank.surroundings(tank, setup, MediaAssumptions.DEFAULT)));
        return cost.equals(Cost.NOTHING) ? null : Double.valueOf(cost.perMonth());
    }

    /** What a fill costs a month that lasts so long, in the home's money, by an assumed price. */
    public static double mediaPerMonth(Tank tank, Setup setup, MediaUse use, double days) {
        return basis(tank, setup, days).of(MeasureSet.of(new Scrubber(use))).perMonth();
    }

    /** @param mediaDays how long a fill of media lasts; null without media */
    static CostBasis basis(Tank tank, Setup setup, @Nullable Double mediaDays) {
        Double tariff = tank.home().tariffPerKWh();
        double perEuro = tank.home().perEuro();
        Double roomM3 = tank.room().volumeM3();
        return new CostBasis(
                Prices.ASSUMED.withElectricity(tariff == null ? null : tariff / perEuro),
                setup,
                roomM3 == null ? ORDINARY_ROOM_M3 : roomM3,
                perEuro,
                mediaDays);
    }
}
