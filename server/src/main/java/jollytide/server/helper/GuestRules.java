package jollytide.server.helper;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import jollytide.server.account.Guests;
import jollytide.server.account.SignedIn;
import jollytide.server.account.SignedIn.Guest;
import jollytide.server.account.SignedIn.Part;
import jollytide.server.tank.TankService;
import org.springframework.http.HttpMethod;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher.MatchResult;
import org.springframework.stereotype.Component;

/** The doors that are open to guests; every other is the keeper's, new ones too. */
@Component
class GuestRules implements Guests {
    private static final String TANK = "/api/v1/tanks/{tankId}";
    private static final String HOME = "/api/v1/homes/{homeId}";

    private static final List<PathPatternRequestMatcher> HELPER = List.of(
            door(HttpMethod.DELETE, "/api/v1/session"),
            door(HttpMethod.GET, "/api/v1/homes"),
            door(HttpMethod.GET, "/api/v1/tanks"),
            door(HttpMethod.GET, TANK),
            door(HttpMethod.GET, TANK + "/glance"),
            door(HttpMethod.GET, TANK + "/day"),
            door(HttpMethod.GET, TANK + "/history"),
            door(HttpMethod.GET, TANK + "/history/span"),
            door(HttpMethod.GET, TANK + "/readings"),
            door(HttpMethod.POST, TANK + "/readings"),
            door(HttpMethod.GET, TANK + "/staircase"),
            door(HttpMethod.GET, TANK + "/gas-balance"),
            door(HttpMethod.GET, TANK + "/oxygen-margin"),
            door(HttpMethod.GET, TANK + "/media"),
            door(HttpMethod.GET, TANK + "/upkeep"),
            door(HttpMethod.POST, TANK + "/upkeep/{id}/done"),
            door(HttpMethod.GET, TANK + "/experiments/current"),
            door(HttpMethod.POST, TANK + "/experiments/{id}/end"),
            door(HttpMethod.GET, HOME + "/kit"),
            door(HttpMethod.GET, HOME + "/readiness"),
            door(HttpMethod.GET, HOME + "/cuts"),
            door(HttpMethod.GET, HOME + "/due"),
            door(HttpMethod.GET, HOME + "/due.ics"),
            door(HttpMethod.GET, HOME + "/card"),
            door(HttpMethod.GET, HOME + "/outages"),
            door(HttpMethod.GET, HOME + "/outages/current"),
            door(HttpMethod.GET, HOME + "/outages/plan"),
            door(HttpMethod.GET, HOME + "/outages/{id}"),
            door(HttpMethod.POST, HOME + "/outages"),
            door(HttpMethod.POST, HOME + "/outages/{id}/notes"),
            door(HttpMethod.POST, HOME + "/outages/{id}/began"),
            door(HttpMethod.POST, HOME + "/outages/{id}/end"),
            door(HttpMethod.POST, HOME + "/outages/{id}/goes-on"));

    private static final List<PathPatternRequestMatcher> SENSOR = List.of(door(HttpMethod.POST, HOME + "/mains"));

    private final HelperService helpers;
    private final TankService tanks;

    GuestRules(HelperService helpers, TankService tanks) {
        this.helpers = helpers;
        this.tanks = tanks;
    }

    private static PathPatternRequestMatcher door(HttpMethod method, String path) {
        return PathPatternRequestMatcher.withDefaults().matcher(method, path);
    }

    @Override
    public Optional<SignedIn> byLink(String code) {
        return helpers.come(code);
    }

    /** A sensor's token was looked up for this very request. */
    @Override
    public boolean known(Guest guest) {
        return guest.part() == Part.SENSOR || helpers.invited(guest);
    }

    @Override
    public boolean may(Guest guest, HttpServletRequest request) {
        return (guest.part() == Part.HELPER ? HELPER : SENSOR)
                .stream()
                        .map(door -> door.matcher(request))
                        .filter(MatchResult::isMatch)
                        .findFirst()
                        .map(match -> inTheirHome(guest, match.getVariables()))
                        .orElse(false);
    }

    private boolean inTheirHome(Guest guest, Map<String, String> named) {
        try {
            if (named.containsKey("homeId")) {
                return guest.homeId().equals(UUID.fromString(named.get("homeId")));
            }
            return !named.containsKey("tankId")
                    || tanks.homeOf(UUID.fromString(named.get("tankId"))).equals(Optional.of(guest.homeId()));
        } catch (IllegalArgumentException notAnId) {
            return false;
        }
    }
}
