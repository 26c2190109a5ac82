package jollytide.server.event;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import jollytide.server.account.SignedIn;
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

/** What changed around a tank. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/events")
class EventController {
    private final EventService events;

    EventController(EventService events) {
        this.events = events;
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    EventView add(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewEvent body) {
        return events.add(who.keeperId(), tankId, body);
    }

    @GetMapping("/{id}")
    EventView get(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        return events.get(who.keeperId(), tankId, id);
    }

    record EventEdit(@NotNull Long version, @Valid @NotNull NewEvent event) {}

    @PutMapping("/{id}")
    EventView edit(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody EventEdit body) {
        return events.edit(who.keeperId(), tankId, id, body.version(), body.event());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        events.delete(who.keeperId(), tankId, id);
    }
}
