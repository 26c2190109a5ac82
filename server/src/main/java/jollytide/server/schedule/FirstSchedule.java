package jollytide.server.schedule;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.measure.MediaUse;
import jollytide.core.schedule.Days;
import jollytide.core.schedule.Edge;
import jollytide.core.schedule.Edge.AtClock;
import jollytide.core.schedule.Edge.FromLight;
import jollytide.core.schedule.Edge.Light;
import jollytide.core.schedule.Lane;
import jollytide.core.schedule.LaneKind;
import jollytide.core.schedule.LaneState;
import jollytide.core.schedule.Limit;
import jollytide.core.schedule.Rule;
import jollytide.core.schedule.Rule.Gate;
import jollytide.core.schedule.Rule.Usual;
import jollytide.core.schedule.Schedule;
import jollytide.core.schedule.Window;
import jollytide.server.media.MediaService.InUse;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankParts;
import org.jspecify.annotations.Nullable;

/** The day of a tank as it is described, before anybody wrote a schedule. */
final class FirstSchedule {
    static final Window ALL_DAY = new Window(
            "all-day", "all day", new AtClock(LocalTime.MIDNIGHT), new AtClock(LocalTime.MIDNIGHT), true, Days.ALL);
    private static final Window LIT =
            Window.daily("lit", "lamps on", new FromLight(Light.ON, 0), new FromLight(Light.OFF, 0));
    private static final Window DARK =
            Window.daily("dark", "lamps off", new FromLight(Light.OFF, 0), new FromLight(Light.ON, 0));

    private final List<Lane> lanes = new ArrayList<>();
    private final List<Window> windows = new ArrayList<>(List.of(ALL_DAY));
    private final List<Rule> rules = new ArrayList<>();

    private FirstSchedule() {}

    /** @param media that are in use; null without */
    static Schedule of(Tank tank, @Nullable InUse media) {
        FirstSchedule first = new FirstSchedule();
        boolean switches = tank.light().switches();
        first.lane("display", LaneKind.LAMPS, "display light", LaneState.OFF);
        if (switches) {
            first.windows.add(LIT);
            first.windows.add(DARK);
            first.rules.add(new Usual("display", LIT.id(), LaneState.ON));
        }
        TankParts.RefugiumPart refugium = tank.parts().refugium();
        if (refugium != null && !refugium.on().equals(refugium.off())) {
            first.lane("refugium", LaneKind.REFUGIUM, "refugium light", LaneState.OFF);
            first.windows.add(Window.daily("refugium", "refugium lit", clock(refugium.on()), clock(refugium.off())));
            first.rules.add(new Usual("refugium", "refugium", LaneState.ON));
        }
        first.lane("return", LaneKind.RETURN_PUMP, "return pump", LaneState.ON);
        first.lane("flow-left", LaneKind.FLOW_PUMP, "flow pumps, left", LaneState.ON);
        first.lane("flow-right", LaneKind.FLOW_PUMP, "flow pumps, right", LaneState.ON);
        if (tank.skimmerAirDrawLPerH() != null) {
            first.lane("skimmer", LaneKind.SKIMMER, "skimmer", LaneState.ON);
            first.lane("air", LaneKind.AIR_PATH, "its air", LaneState.FRESH);
            if (media != null) {
                first.media(media, switches);
            }
        }
        int stones = tank.parts().stoneParts().size();
        for (int i = 1; i <= stones; i++) {
            first.lane("stone-" + i, LaneKind.AIR_PUMP, stones == 1 ? "air stone" : "air stone " + i, LaneState.ON);
        }
        return new Schedule(tank.home().zone(), tank.light(), first.lanes, first.windows, first.rules);
    }

    private void lane(String id, LaneKind kind, String name, LaneState rest) {
        lanes.add(new Lane(id, kind, name, rest, rest));
    }

    private static Edge clock(String time) {
        return new AtClock(LocalTime.parse(time));
    }

    private void media(InUse media, boolean lampsSwitch) {
        LaneState state = media.freshShare() < 1 ? LaneState.recirculated(media.freshShare()) : LaneState.media();
        if (media.hours() == MediaUse.Hours.BELOW_PH && media.gatePh() != null) {
            rules.add(new Gate("air", null, Limit.mediaBelow(media.gatePh()), state, LaneState.FRESH));
            return;
        }
        Window in = media.hours() == MediaUse.Hours.ALWAYS || !lampsSwitch
                ? ALL_DAY
                : media.hours() == MediaUse.Hours.LAMPS_OFF ? DARK : LIT;
        rules.add(new Usual("air", in.id(), state));
    }
}
