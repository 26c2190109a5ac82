package jollytide.server.twin;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.UUID;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.Gas;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.Channel;
import jollytide.core.twin.Exchange;
import jollytide.core.twin.GasBalance;
import jollytide.core.twin.TwinState;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The gas balance: what brings CO2 and oxygen in, and what carries them out, path by path. */
@Service
class GasBalanceService {
    private static final double MMOL = 1000;

    private final TankService tanks;
    private final TwinBook book;
    private final Clock clock;

    GasBalanceService(TankService tanks, TwinBook book, Clock clock) {
        this.tanks = tanks;
        this.book = book;
        this.clock = clock;
    }

    /** At which hour of the day. */
    enum Hour {
        LIGHTS_ON,
        LIGHTS_OFF,
        NOW
    }

    /**
     * A row.
     *
     * @param nowMmolPerH gained by the water at that hour; negative for what leaves
     * @param dayMmol gained over the 24 hours before
     * @param conductance mol/(h·atm); null for what is not an exchange with the air
     * @param airUatm over that path
     * @param airLimit what the air stream itself could carry, mol/(h·atm); null where there is no stream
     */
    record GasBalanceRow(
            Channel.Kind kind,
            String name,
            Estimate nowMmolPerH,
            Estimate dayMmol,
            @Nullable Double conductance,
            @Nullable Double airUatm,
            @Nullable Double airLimit) {}

    /**
     * One gas's rows, the largest first.
     *
     * @param storedDayMmol by how much the water's store grew over the day: the rows of the day sum to it
     * @param waterUatm in the water at that hour
     * @param bubbleShare of all exchange with the air, by conductance, that bubbles and skimmer do
     */
    record OneGas(List<GasBalanceRow> rows, double storedDayMmol, double waterUatm, double bubbleShare) {}

    /**
     * Both balances.
     *
     * @param at the moment of the rows
     * @param fitted whether the twin behind it is fitted to the tank's log
     */
    record GasBalanceView(Hour hour, Instant at, OneGas co2, OneGas oxygen, boolean fitted, int tanks) {}

    GasBalanceView gasBalance(UUID keeperId, UUID tankId, Hour hour) {
        Tank tank = tanks.tank(keeperId, tankId);
        TwinBook.Described known = book.describe(tank);
        Setup setup = known.setup();
        Instant at = moment(tank, known.start(), hour);
        List<OrdinaryDays.Balance> balances = known.tanks().parallelStream()
                .map(living -> balance(setup, living, known.start(), at))
                .toList();
        return new GasBalanceView(
                hour,
                at,
                gas(balances, Gas.CO2),
                gas(balances, Gas.OXYGEN),
                known.fitted(),
                known.tanks().size());
    }

    private OrdinaryDays.Balance balance(Setup setup, TankParameters living, Instant start, Instant at) {
        TwinState settled = book.settled(setup, living, start);
        return new OrdinaryDays(setup, living).balance(settled, MeasureSet.NONE, at);
    }

    /** The first such moment that has a whole day of the run behind it. */
    private Instant moment(Tank tank, Instant start, Hour hour) {
        Instant dayAfter = start.plus(Duration.ofDays(1));
        if (hour == Hour.NOW || !tank.light().switches()) {
            Duration since = Duration.between(start, clock.instant());
            return dayAfter.plus(Duration.ofMinutes(since.toMinutes()));
        }
        Instant t = dayAfter;
        do {
            t = tank.light().nextSwitch(t, tank.home().zone());
        } while (tank.light().litAt(t, tank.home().zone()) != (hour == Hour.LIGHTS_ON));
        // A minute before: at the switch itself the other half of the day begins.
        return t.minusSeconds(60);
    }

    private static OneGas gas(List<OrdinaryDays.Balance> balances, Gas gas) {
        OrdinaryDays.Balance first = balances.get(0);
        List<GasBalanceRow> rows = new ArrayList<>();
        // Both lists follow the tank's parts.
        Iterator<Exchange> ways = first.exchanges().iterator();
        double all = 0;
        double bubbles = 0;
        for (int i = 0; i < first.rates().entries().size(); i++) {
            Channel channel = first.rates().entries().get(i).channel();
            Exchange way = channel.kind().air() ? ways.next() : null;
            Double conductance =
                    way == null ? null : Double.valueOf(way.conductance().of(gas));
            if (conductance != null) {
                all += conductance;
                bubbles += channel.kind() == Channel.Kind.SKIMMER || channel.kind() == Channel.Kind.STONE
                        ? conductance
                        : 0;
            }
            int row = i;
            Estimate now = band(balances, b -> of(b.rates(), row, gas));
            Estimate day = band(balances, b -> of(b.day(), row, gas));
            if (conductance != null || now.value() != 0 || day.value() != 0) {
                rows.add(new GasBalanceRow(
                        channel.kind(),
                        channel.name(),
                        now,
                        day,
                        conductance,
                        way == null ? null : Double.valueOf(way.airAtm(gas) * 1e6),
                        way == null ? null : way.airLimit()));
            }
        }
        rows.sort(Comparator.comparingDouble((GasBalanceRow r) -> r.dayMmol().value())
                .reversed());
        double stored = gas == Gas.CO2 ? first.storedCo2() : first.storedOxygen();
        return new OneGas(rows, stored * MMOL, first.waterAtm(gas) * 1e6, all == 0 ? 0 : bubbles / all);
    }

    private static double of(GasBalance gasBalance, int row, Gas gas) {
        GasBalance.Entry entry = gasBalance.entries().get(row);
        return (gas == Gas.CO2 ? entry.co2() : entry.oxygen()) * MMOL;
    }

    private interface Value {
        double of(OrdinaryDays.Balance balance);
    }

    private static Estimate band(List<OrdinaryDays.Balance> balances, Value value) {
        return OrdinaryDays.band(balances.stream().map(value::of).toList());
    }
}
