package jollytide.server.reading;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Meaning;
import jollytide.server.account.SignedIn;
import jollytide.server.problem.Problem;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Readings around a tank. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/readings")
class ReadingController {
    private final ReadingService readings;

    ReadingController(ReadingService readings) {
        this.readings = readings;
    }

    /** One value; the unit says which quantity and, where it matters, which scale. */
    record NewReading(
            @NotNull RawUnit unit,
            @NotNull Place place,
            @NotNull Method method,
            @NotNull Double value) {

        Meaning meaning() {
            return new Meaning(unit, place, method);
        }
    }

    /**
     * Values that were taken together.
     *
     * @param at with an offset, or without one in the home's zone
     * @param replace whether a stored value at that time gives way
     * @param ask whether a person typed them, who is asked about what no tank usually reads before anything is saved
     */
    record NewReadings(
            @NotNull @Size(max = 40) String at,
            @NotEmpty @Size(max = 50) List<@NotNull @Valid NewReading> values,
            @Nullable Boolean replace,
            @Nullable Boolean ask) {}

    @GetMapping
    ReadingService.Page list(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(required = false) Quantity quantity,
            @RequestParam(defaultValue = "false") boolean byHand,
            @RequestParam(required = false) String after,
            @RequestParam(defaultValue = "50") int limit) {
        return readings.page(who.keeperId(), tankId, quantity, byHand, after, limit);
    }

    @GetMapping("/sensors")
    List<ReadingService.SensorLine> sensors(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return readings.sensors(who.keeperId(), tankId);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    List<ReadingView> save(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewReadings body) {
        if (who.guest() != null && Boolean.TRUE.equals(body.replace())) {
            throw Problem.of(
                    HttpStatus.FORBIDDEN,
                    "Keeper only",
                    "Another value is stored at that time. Only the keeper can replace it.");
        }
        return readings.save(who.keeperId(), tankId, body);
    }

    @PutMapping("/{id}")
    ReadingView correct(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable String id,
            @Valid @RequestBody NewReadings body) {
        return readings.correct(who.keeperId(), tankId, id, body);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable String id) {
        readings.delete(who.keeperId(), tankId, id);
    }
}
