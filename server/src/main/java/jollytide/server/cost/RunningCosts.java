package jollytide.server.cost;

import static jollytide.core.units.Quantities.within;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import jollytide.core.measure.Prices;
import jollytide.core.units.Electricity;
import jollytide.core.units.InputException;
import jollytide.server.home.Home;
import jollytide.server.problem.Problem;
import jollytide.server.supplies.SuppliesService;
import jollytide.server.supplies.SuppliesViews.Consumed;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What it costs to run a tank: watts, hours, and the home's tariff. */
@Service
public class RunningCosts {
    private static final int MOST = 60;

    private final Consumers consumers;
    private final TankService tanks;
    private final SuppliesService supplies;

    RunningCosts(Consumers consumers, TankService tanks, SuppliesService supplies) {
        this.consumers = consumers;
        this.tanks = tanks;
        this.supplies = supplies;
    }

    /**
     * Something that draws power.
     *
     * @param watts at the plug, while it runs
     * @param hoursPerDay 24 for what never stops
     */
    public record NewConsumer(
            @NotBlank @Size(max = 80) String name,
            @NotNull Double watts,
            @NotNull Double hoursPerDay) {}

    /** With what it takes in energy, and in the home's money. */
    record ConsumerView(
            UUID id,
            String name,
            double watts,
            double hoursPerDay,
            double kWhPerYear,
            double perMonth,
            double perYear) {}

    /**
     * All of a tank.
     *
     * @param tariffPerKWh in the home's money
     * @param tariffAssumed whether the home does not say it
     * @param consumers the dearest first
     * @param consumed what is used up, of which a price is known; the dearest first
     * @param powerPerMonth of consumers alone
     * @param perMonth of both, {@code perYear} likewise
     */
    record RunningCostView(
            double tariffPerKWh,
            boolean tariffAssumed,
            String currency,
            List<ConsumerView> consumers,
            List<Consumed> consumed,
            double kWhPerYear,
            double powerPerMonth,
            double perMonth,
            double perYear) {}

    RunningCostView list(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        Home home = tank.home();
        Double own = home.tariffPerKWh();
        double tariff = own == null ? Prices.ASSUMED.electricityPerKWh() * home.perEuro() : own;
        List<ConsumerView> all = consumers.findByTankId(tank.id()).stream()
                .map(c -> view(c, tariff))
                .sorted(Comparator.comparingDouble(ConsumerView::kWhPerYear)
                        .reversed()
                        .thenComparing(ConsumerView::name))
                .toList();
        double kWh = all.stream().mapToDouble(ConsumerView::kWhPerYear).sum();
        List<Consumed> consumed = supplies.consumed(keeperId, tank).stream()
                .sorted(Comparator.comparingDouble(Consumed::perMonth).reversed())
                .toList();
        double power = kWh * tariff / Electricity.MONTHS_PER_YEAR;
        double both = power + consumed.stream().mapToDouble(Consumed::perMonth).sum();
        return new RunningCostView(
                tariff,
                own == null,
                home.currency(),
                all,
                consumed,
                kWh,
                power,
                both,
                both * Electricity.MONTHS_PER_YEAR);
    }

    private static ConsumerView view(Consumer c, double tariff) {
        double kWh = Electricity.kWhPerYear(c.watts, c.hoursPerDay);
        return new ConsumerView(
                c.id, c.name, c.watts, c.hoursPerDay, kWh, kWh * tariff / Electricity.MONTHS_PER_YEAR, kWh * tariff);
    }

    @Transactional
    public UUID add(UUID keeperId, UUID tankId, NewConsumer body) {
        Tank tank = tanks.tank(keeperId, tankId);
        if (consumers.findByTankId(tank.id()).size() >= MOST) {
            throw new InputException("name", MOST, "at most " + MOST, "A tank can have at most " + MOST + " of these.");
        }
        Consumer consumer = new Consumer();
        consumer.id = UUID.randomUUID();
        consumer.tankId = tank.id();
        set(consumer, body);
        return consumers.save(consumer).id;
    }

    @Transactional
    void edit(UUID keeperId, UUID tankId, UUID id, NewConsumer body) {
        set(consumer(tanks.tank(keeperId, tankId), id), body);
    }

    private static void set(Consumer consumer, NewConsumer body) {
        consumer.name = body.name().strip();
        consumer.watts = within("watts", body.watts(), 0.1, 20_000, "W");
        consumer.hoursPerDay = within("hoursPerDay", body.hoursPerDay(), 0, 24, "h");
    }

    @Transactional
    void delete(UUID keeperId, UUID tankId, UUID id) {
        consumers.delete(consumer(tanks.tank(keeperId, tankId), id));
    }

    private Consumer consumer(Tank tank, UUID id) {
        return consumers.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("consumer"));
    }
}
