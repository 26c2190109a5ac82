package jollytide.server.supplies;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import jollytide.core.dosingline.Solution;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Quantity;
import jollytide.core.supplies.OnHand;
import jollytide.core.supplies.SupplyUnit;
import jollytide.core.upkeep.Chore;
import org.jspecify.annotations.Nullable;

/** What goes in and out of a cupboard; amounts in the supply's own unit. */
public final class SuppliesViews {
    private SuppliesViews() {}

    /**
     * Something that is used up.
     *
     * @param solute of a powder; null for everything else, like {@code quantity} (of tests) and {@code chore}
     * @param ownPerDay where nothing here says how fast it goes
     * @param perUse pieces that a test or a chore takes; null for one
     * @param packageAmount that is bought at once
     * @param price of a package, in the home's money; null where nobody says
     * @param deliveryDays from the order until it is there
     */
    public record NewSupply(
            @NotBlank @Size(max = 80) String name,
            Supply.@NotNull Uses uses,
            Solution.@Nullable Solute solute,
            @Nullable Quantity quantity,
            @Nullable Chore chore,
            @Nullable Double ownPerDay,
            @Nullable Double perUse,
            @NotNull SupplyUnit unit,
            @NotNull Double packageAmount,
            @Nullable Double price,
            @NotNull Double deliveryDays) {}

    /** @param unit in which the amount is; any of its kind */
    public record NewSupplyEntry(
            @NotNull @Size(max = 40) String at,
            @NotNull OnHand.What what,
            @NotNull Double amount,
            @NotNull SupplyUnit unit) {}

    /** A time that it was counted, or bought. */
    public record EntryOfSupply(UUID id, Instant at, OnHand.What what, double amount) {}

    /**
     * What is in the cupboard.
     *
     * @param perDay that is used up; 0 where nobody knows
     * @param counted whether counts say so, not what uses it
     * @param left null where nobody ever looked
     * @param daysLeft null where it is not known how long it lasts, like {@code orderBy}
     * @param late whether it should have been ordered by now
     * @param buy packages to put on the list now: what lasts a quarter; 0 while it need not be ordered within a fortnight
     * @param perMonth what it costs, in the home's money; null without a price
     * @param entries the newest first
     */
    public record SupplyView(
            UUID id,
            NewSupply supply,
            Estimate perDay,
            boolean counted,
            @Nullable Estimate left,
            @Nullable Estimate daysLeft,
            @Nullable LocalDate orderBy,
            boolean late,
            int buy,
            @Nullable Double perMonth,
            List<EntryOfSupply> entries) {}

    /**
     * A home's cupboard.
     *
     * @param supplies those that must be ordered first, first
     * @param ended what is not kept any more
     * @param computedDoubt how far off what is computed may be, as a share, assumed; {@code countedDoubt} likewise
     */
    public record SuppliesView(
            String currency,
            List<SupplyView> supplies,
            List<SupplyView> ended,
            double computedDoubt,
            double countedDoubt) {}

    /** What a supply costs one tank. */
    public record Consumed(UUID supplyId, String name, double perMonth) {}
}
