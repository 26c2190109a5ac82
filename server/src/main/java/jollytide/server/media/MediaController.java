package jollytide.server.media;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.media.MediaFill.FillEnd;
import jollytide.server.media.MediaService.FillView;
import jollytide.server.media.MediaService.MediaView;
import jollytide.server.setup.Computes;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Scrubber media of a tank. */
@Computes
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/media")
class MediaController {
    private final MediaService media;

    MediaController(MediaService media) {
        this.media = media;
    }

    /** A colour read while the media are in use. */
    record NewColour(
            @NotNull @Size(max = 40) String at, @NotNull Double changedShare) {}

    record EndOfFill(
            @NotNull @Size(max = 40) String at, @NotNull FillEnd by) {}

    @GetMapping
    MediaView list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return media.list(who.keeperId(), tankId);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    FillView fill(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewFill body) {
        return media.fill(who.keeperId(), tankId, body);
    }

    @PostMapping("/{id}/colours")
    FillView colour(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody NewColour body) {
        return media.colour(who.keeperId(), tankId, id, body.at(), body.changedShare());
    }

    @PostMapping("/{id}/end")
    FillView end(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody EndOfFill body) {
        return media.end(who.keeperId(), tankId, id, body.at(), body.by());
    }

    /** Takes an end back. */
    @DeleteMapping("/{id}/end")
    FillView reopen(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        return media.reopen(who.keeperId(), tankId, id);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        media.delete(who.keeperId(), tankId, id);
    }
}
