package jollytide.server.tank;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.tank.TankService.TankView;
import org.jspecify.annotations.Nullable;
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

/** Tanks. */
@RestController
@RequestMapping("/api/v1")
class TankController {
    private final TankService tanks;

    TankController(TankService tanks) {
        this.tanks = tanks;
    }

    /** @param since when the tank became so; null when it never was as it was described */
    record TankEdit(
            @NotNull Long version,
            @Valid @NotNull TankDescription description,
            @Nullable @Size(max = 40) String since) {}

    @GetMapping("/tanks")
    List<TankView> list(@AuthenticationPrincipal SignedIn who) {
        return tanks.list(who.keeperId()).stream()
                .filter(tank -> who.sees(tank.homeId()))
                .toList();
    }

    @PostMapping("/rooms/{id}/tanks")
    @ResponseStatus(HttpStatus.CREATED)
    TankView create(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody TankDescription body) {
        return tanks.create(who.keeperId(), id, body);
    }

    @GetMapping("/tanks/{id}")
    TankView get(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        return tanks.get(who.keeperId(), id);
    }

    @PutMapping("/tanks/{id}")
    TankView edit(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody TankEdit body) {
        return tanks.edit(who.keeperId(), id, body.version(), body.description(), body.since());
    }

    @DeleteMapping("/tanks/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        tanks.remove(who.keeperId(), id);
    }
}
