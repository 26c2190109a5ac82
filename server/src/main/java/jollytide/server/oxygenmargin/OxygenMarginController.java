package jollytide.server.oxygenmargin;

import java.util.List;
import java.util.UUID;
import jollytide.core.measure.Setup;
import jollytide.core.outage.RoomAround;
import jollytide.core.reef.OxygenLines;
import jollytide.core.scenario.OxygenMargin;
import jollytide.core.twin.TwinState;
import jollytide.server.account.SignedIn;
import jollytide.server.setup.Computes;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Demand for oxygen against supply at the worst hour. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/oxygen-margin")
class OxygenMarginController {
    private final TankService tanks;
    private final TwinBook book;

    OxygenMarginController(TankService tanks, TwinBook book) {
        this.tanks = tanks;
        this.book = book;
    }

    /**
     * The margin and what it rests on.
     *
     * @param cautionMgPerL the line that nights should stay above
     * @param fish counted into the demand
     * @param fishDescribed whether their keeper described them; else a usual stocking is assumed
     * @param fitted whether the twin is fitted to the tank's log
     */
    record OxygenMarginView(
            OxygenMargin.Answer answer,
            double cautionMgPerL,
            double dangerMgPerL,
            int fish,
            boolean fishDescribed,
            boolean fitted,
            double litres) {}

    @Computes
    @GetMapping
    OxygenMarginView margin(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        Tank tank = tanks.tank(who.keeperId(), tankId);
        TwinBook.Described known = book.describe(tank);
        Setup setup = known.setup();
        List<TwinState> settled = known.tanks().parallelStream()
                .map(living -> book.settled(setup, living, known.start()))
                .toList();
        return new OxygenMarginView(
                new OxygenMargin(
                                setup,
                                known.tanks(),
                                RoomAround.expected(tank.home().season().warmestC()),
                                known.respirationLnSd())
                        .answer(settled),
                OxygenLines.CAUTION,
                OxygenLines.DANGER,
                setup.life().fish().count(),
                tank.parts().fishDescribed(),
                known.fitted(),
                setup.netVolumeL());
    }
}
