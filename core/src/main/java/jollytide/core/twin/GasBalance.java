package jollytide.core.twin;

import java.util.ArrayList;
import java.util.List;

/**
 * What crossed into the water, channel by channel; negative for what left. As a sum since a run began: mol; as rates:
 * mol/h.
 */
public record GasBalance(List<Entry> entries) {

    /**
     * One channel.
     *
     * @param co2 dissolved inorganic carbon gained
     * @param oxygen gained
     */
    public record Entry(Channel channel, double co2, double oxygen) {}

    public GasBalance {
        entries = List.copyOf(entries);
    }

    static GasBalance of(List<Channel> channels, double[] y, int from) {
        List<Entry> entries = new ArrayList<>(channels.size());
        for (int i = 0; i < channels.size(); i++) {
            entries.add(new Entry(channels.get(i), y[from + 2 * i], y[from + 2 * i + 1]));
        }
        return new GasBalance(entries);
    }

    /** Net gain of dissolved inorganic carbon. */
    public double co2() {
        return entries.stream().mapToDouble(Entry::co2).sum();
    }

    /** Net gain of oxygen. */
    public double oxygen() {
        return entries.stream().mapToDouble(Entry::oxygen).sum();
    }

    /** All channels of one kind together. */
    public Entry of(Channel.Kind kind) {
        double co2 = 0;
        double oxygen = 0;
        for (Entry entry : entries) {
            if (entry.channel().kind() == kind) {
                co2 += entry.co2();
                oxygen += entry.oxygen();
            }
        }
        return new Entry(new Channel(kind), co2, oxygen);
    }
}
