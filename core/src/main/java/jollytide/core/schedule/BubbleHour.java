package jollytide.core.schedule;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import jollytide.core.schedule.LaneState.Does;
import jollytide.core.schedule.Rule.Special;

/**
 * What a window has of an hour of fine bubbles: stones that run in it, and pumps that rest in it or swell. It is one where
 * both are there.
 */
record BubbleHour(Window window, List<Special> stones, List<Special> pumps) {
    /** Of every window. */
    static List<BubbleHour> of(Schedule p) {
        Map<String, LaneKind> kinds = p.lanes().stream().collect(Collectors.toMap(Lane::id, Lane::kind));
        Map<String, List<Special>> rules = p.rules().stream()
                .filter(Special.class::isInstance)
                .map(Special.class::cast)
                .collect(Collectors.groupingBy(Special::window));
        Function<Window, BubbleHour> here = window -> {
            List<Special> all = rules.getOrDefault(window.id(), List.of());
            return new BubbleHour(
                    window,
                    all.stream()
                            .filter(s -> kinds.get(s.lane()) == LaneKind.AIR_PUMP
                                    && s.state().runs(Duration.ZERO))
                            .toList(),
                    all.stream()
                            .filter(s -> kinds.get(s.lane()) == LaneKind.FLOW_PUMP
                                    && (s.state().does() == Does.WAVE
                                            || s.state().does() == Does.OFF))
                            .toList());
        };
        return p.windows().stream().map(here).toList();
    }

    boolean whole() {
        return !stones.isEmpty() && !pumps.isEmpty();
    }

    boolean swells() {
        return pumps.stream().anyMatch(s -> s.state().does() == Does.WAVE);
    }
}
