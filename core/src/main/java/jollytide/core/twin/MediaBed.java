package jollytide.core.twin;

import java.util.List;
import jollytide.core.media.Media;

/** A bed of scrubber media as a part holds it: the stocks, and how they change in a stream of air. */
public record MediaBed(Media media) {
    /** Taken up so far, mol. */
    public static final Stock CO2 = new Stock("media.co2", 0, 1e-4, 1e-5);
    /** In the granules, kg. */
    public static final Stock WATER = new Stock("media.water", 0, 1e-5, 1e-5);

    /** Vapour of room or outdoor air in the heating season, g/m³: 20 °C at half saturation. From memory. */
    public static final double ROOM_VAPOUR_G_PER_M3 = 8.6;

    private static final int AT_CO2 = 0;
    private static final int AT_WATER = 1;

    /** @param of which skimmer; empty for the first, whose bed keeps its plain name */
    List<Stock> stocks(String of) {
        return List.of(
                named(CO2, of).startingAt(0),
                named(WATER, of).startingAt(media.fresh().waterKg()));
    }

    private static Stock named(Stock stock, String of) {
        return of.isEmpty() ? stock : new Stock(stock.name() + " " + of, 0, stock.absolute(), stock.relative());
    }

    /** @param from the part's stock at which those of the bed begin */
    Media.State held(Moment now, int from) {
        return new Media.State(now.held(from + AT_CO2), now.held(from + AT_WATER));
    }

    /** What it takes out of a stream, and gains of its water. It never gets drier than dry. */
    void breathes(Moment now, int from, Media.Stream stream) {
        Media.State held = held(now, from);
        Media.Rates taken = media.rates(held, stream, now.celsius());
        now.change(from + AT_CO2, taken.co2MolPerH());
        now.change(from + AT_WATER, held.waterKg() > 0 || taken.waterKgPerH() > 0 ? taken.waterKgPerH() : 0);
    }
}
