package jollytide.server.twin;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Surroundings;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.units.InputException;
import jollytide.server.event.EventService;
import jollytide.server.event.EventService.Done;
import jollytide.server.event.EventService.Replaced;
import jollytide.server.event.EventView;
import jollytide.server.event.KeptForecast;
import jollytide.server.event.NewEvent;
import jollytide.server.home.LocalTimes;
import jollytide.server.measure.SetRequest;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.BenchService.VariantView;
import org.springframework.stereotype.Service;

/**
 * Notes what was done to a tank in the bench's own terms, with what the log before it lets forecast of it. The forecast is
 * computed before anything is written.
 */
@Service
class DoneService {
    private final TankService tanks;
    private final TwinBook book;
    private final BenchService bench;
    private final EventService events;
    private final Clock clock;

    DoneService(TankService tanks, TwinBook book, BenchService bench, EventService events, Clock clock) {
        this.tanks = tanks;
        this.book = book;
        this.bench = bench;
        this.events = events;
        this.clock = clock;
    }

    Done add(UUID keeperId, UUID tankId, NewEvent event, SetRequest asked) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant at = LocalTimes.resolve("at", event.at(), tank.home().zone(), clock.instant());
        Forecast forecast = forecast(tank, at, asked);
        return events.addDone(keeperId, tankId, event, asked.measures(), forecast.kept(), replaced(forecast.around()));
    }

    Done set(UUID keeperId, UUID tankId, UUID id, long version, SetRequest asked) {
        Tank tank = tanks.tank(keeperId, tankId);
        EventView event = events.get(keeperId, tankId, id);
        if (asked.measures().isEmpty()) {
            return events.setDone(keeperId, tankId, id, version, List.of(), null, (other, by) -> false);
        }
        Forecast forecast = forecast(tank, event.at(), asked);
        return events.setDone(
                keeperId, tankId, id, version, asked.measures(), forecast.kept(), replaced(forecast.around()));
    }

    private record Forecast(Surroundings around, KeptForecast kept) {}

    /** From the log as it was just before; what stood then stands in it. */
    private Forecast forecast(Tank tank, Instant at, SetRequest asked) {
        Instant before = at.minusMillis(1);
        TwinBook.Described then = book.describe(tank, before);
        Surroundings around = book.around(tank, then.setup(), MediaAssumptions.DEFAULT);
        VariantView view = bench.forecast(
                        tank,
                        then.setup(),
                        then.start(),
                        List.of(new BenchService.Variant(then.setup(), asked)),
                        then.tanks(),
                        null)
                .get(0);
        return new Forecast(
                around,
                new KeptForecast(
                        then.start(),
                        view.troughPh(),
                        view.peakPh(),
                        view.gainPh(),
                        view.lowestOxygenMgPerL(),
                        view.settleHours()));
    }

    private static Replaced replaced(Surroundings around) {
        return (other, by) -> {
            try {
                MeasureSet old = other.set().on(around);
                return new SetRequest(by)
                        .on(around).over(old).all().stream()
                                .noneMatch(left -> old.all().contains(left));
            } catch (InputException noLongerFits) {
                return false;
            }
        };
    }
}
