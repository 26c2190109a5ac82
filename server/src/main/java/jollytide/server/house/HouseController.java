package jollytide.server.house;

import jollytide.server.account.SignedIn;
import jollytide.server.house.HouseService.HouseView;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** All tanks at a glance. */
@RestController
class HouseController {
    private final HouseService house;

    HouseController(HouseService house) {
        this.house = house;
    }

    /** What the log alone says, and quickly; what is computed of each tank has its own address. */
    @GetMapping("/api/v1/house")
    HouseView house(@AuthenticationPrincipal SignedIn who) {
        return house.house(who.keeperId());
    }
}
