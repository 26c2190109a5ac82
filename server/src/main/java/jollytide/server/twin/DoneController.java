package jollytide.server.twin;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.event.EventService.Done;
import jollytide.server.event.NewEvent;
import jollytide.server.measure.SetRequest;
import jollytide.server.measure.SetRequest.PutMeasure;
import jollytide.server.setup.Computes;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What was tried on the bench and then done. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}")
class DoneController {
    private final DoneService done;

    DoneController(DoneService done) {
        this.done = done;
    }

    record NewDone(
            @Valid @NotNull NewEvent event,
            @NotEmpty @Size(max = 20) List<@NotNull @Valid PutMeasure> measures) {}

    /** @param measures empty when it did nothing to the tank that readings do not show */
    record DoneEdit(
            @NotNull Long version, @NotNull @Size(max = 20) List<@NotNull @Valid PutMeasure> measures) {}

    /** A new event with what it did; the forecast that the log before it allows is kept with it. */
    @Computes
    @PostMapping("/done")
    @ResponseStatus(HttpStatus.CREATED)
    Done add(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewDone body) {
        return done.add(who.keeperId(), tankId, body.event(), new SetRequest(body.measures()));
    }

    /** What an event did, said or mended later. */
    @Computes
    @PutMapping("/events/{id}/measures")
    Done set(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody DoneEdit body) {
        return done.set(who.keeperId(), tankId, id, body.version(), new SetRequest(body.measures()));
    }
}
