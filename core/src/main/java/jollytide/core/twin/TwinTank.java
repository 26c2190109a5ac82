package jollytide.core.twin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import jollytide.core.units.InputException;

/** Water and the parts around it, and where each part's stocks and rows of the gas balance stand. */
public final class TwinTank {
    private final boolean gasBalance;
    private final Water water;
    private final List<Part> parts;
    private final List<Stock> stocks;
    private final List<Channel> channels;
    private final int[] stockOf;
    private final int[] channelOf;
    private final Map<String, Integer> places = new HashMap<>();

    public TwinTank(Water water, List<Part> parts) {
        this(water, parts, true);
    }

    /** @param gasBalance whether runs of it keep the gas balance, too; without it they are quicker */
    public TwinTank(Water water, List<Part> parts, boolean gasBalance) {
        this.gasBalance = gasBalance;
        this.water = water;
        this.parts = List.copyOf(parts);
        List<Stock> held = new ArrayList<>(Water.STOCKS);
        List<Channel> rows = new ArrayList<>();
        stockOf = new int[parts.size()];
        channelOf = new int[parts.size()];
        for (int i = 0; i < parts.size(); i++) {
            stockOf[i] = held.size();
            channelOf[i] = rows.size();
            held.addAll(parts.get(i).stocks());
            rows.addAll(parts.get(i).channels());
        }
        stocks = List.copyOf(held);
        channels = List.copyOf(rows);
        for (int i = 0; i < stocks.size(); i++) {
            if (places.put(stocks.get(i).name(), i) != null) {
                throw new InputException(
                        "tank",
                        i,
                        "one of each stock",
                        "Two parts hold " + stocks.get(i).name());
            }
        }
    }

    public Water water() {
        return water;
    }

    public List<Part> parts() {
        return parts;
    }

    /** All that is held: the water's first. */
    public List<Stock> stocks() {
        return stocks;
    }

    /** The gas balance's rows. */
    public List<Channel> channels() {
        return channels;
    }

    /** Where a part's own stocks begin. */
    int stockOf(int part) {
        return stockOf[part];
    }

    /** Where a part's rows of the gas balance begin. */
    int channelOf(int part) {
        return channelOf[part];
    }

    /** Where the gas balance's rows begin behind the stocks: two figures for each, of CO2 and of oxygen. */
    int flows() {
        return stocks.size();
    }

    int size() {
        return gasBalance ? stocks.size() + 2 * channels.size() : stocks.size();
    }

    public boolean gasBalance() {
        return gasBalance;
    }

    /** The same tank with one part more. */
    public TwinTank with(Part part) {
        List<Part> more = new ArrayList<>(parts);
        more.add(part);
        return new TwinTank(water, more, gasBalance);
    }

    /** The same tank whose runs keep the gas balance. */
    TwinTank withGasBalance() {
        return gasBalance ? this : new TwinTank(water, parts, true);
    }

    /** Where a stock of this name stands; −1 when no part holds it. */
    int place(Stock stock) {
        return places.getOrDefault(stock.name(), -1);
    }
}
