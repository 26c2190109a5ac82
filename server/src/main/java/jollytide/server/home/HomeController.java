package jollytide.server.home;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.home.HomeService.HomeView;
import jollytide.server.home.HomeService.RoomView;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Homes and their rooms. */
@RestController
@RequestMapping("/api/v1")
class HomeController {
    private final HomeService homes;

    HomeController(HomeService homes) {
        this.homes = homes;
    }

    record HomeEdit(@NotNull Long version, @Valid @NotNull HomeDescription description) {}

    record RoomEdit(@NotNull Long version, @Valid @NotNull RoomDescription description) {}

    @GetMapping("/homes")
    List<HomeView> list(@AuthenticationPrincipal SignedIn who) {
        return homes.list(who.keeperId()).stream()
                .filter(home -> who.sees(home.id()))
                .toList();
    }

    @PostMapping("/homes")
    @ResponseStatus(HttpStatus.CREATED)
    HomeView create(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody HomeDescription body) {
        return homes.create(who.keeperId(), body);
    }

    @PutMapping("/homes/{id}")
    HomeView edit(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody HomeEdit body) {
        return homes.edit(who.keeperId(), id, body.version(), body.description());
    }

    @DeleteMapping("/homes/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        homes.remove(who.keeperId(), id);
    }

    @PostMapping("/homes/{id}/rooms")
    @ResponseStatus(HttpStatus.CREATED)
    RoomView createRoom(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody RoomDescription body) {
        return homes.createRoom(who.keeperId(), id, body);
    }

    @PutMapping("/rooms/{id}")
    RoomView editRoom(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody RoomEdit body) {
        return homes.editRoom(who.keeperId(), id, body.version(), body.description());
    }

    @DeleteMapping("/rooms/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteRoom(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        homes.removeRoom(who.keeperId(), id);
    }
}
