package jollytide.server.outage;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.outage.OutageBook.Told;
import jollytide.server.outage.OutageNote.NoteKind;
import jollytide.server.outage.OutageViews.Noted;
import jollytide.server.outage.OutageViews.OutageView;
import jollytide.server.outage.OutageViews.PastOutage;
import jollytide.server.outage.ReadinessService.CutsView;
import jollytide.server.outage.ReadinessService.ReadinessView;
import jollytide.server.setup.Computes;
import jollytide.server.setup.Computes.Lane;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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

/** A home before, during and after an outage. */
@RestController
@RequestMapping("/api/v1/homes/{homeId}")
class OutageController {
    private final KitService kits;
    private final ReadinessService readiness;
    private final OutageService outages;
    private final PocketCard card;

    OutageController(KitService kits, ReadinessService readiness, OutageService outages, PocketCard card) {
        this.kits = kits;
        this.readiness = readiness;
        this.outages = outages;
        this.card = card;
    }

    record KitEdit(@NotNull Long version, @Valid @NotNull KitDescription description) {}

    /** When the power came back; now when null. */
    record WhenOfPower(@Nullable Instant at) {}

    /**
     * An outage, as it begins or as it is told later.
     *
     * @param id made where it was noted, so that telling it twice is telling it once
     * @param at when the power went; now when null
     * @param until when it came back; null while it is away, as far as the teller knows
     */
    record NewOutage(
            @Nullable UUID id,
            @Nullable Instant at,
            @Nullable Instant until) {}

    /** When it began in truth. */
    record Began(@NotNull Instant at) {}

    /** What a sensor on the mains tells. */
    record Mains(@NotNull Boolean on) {}

    /**
     * A note. Its id is made where it is written.
     *
     * @param ref step or thing of the kit, for the kinds that need one
     * @param value mg/L for readings of the water, °C for the room, hours for the last meal
     */
    record NewNote(
            @NotNull UUID id,
            @Nullable UUID tankId,
            @NotNull Instant at,
            @NotNull NoteKind kind,
            @Nullable @Size(max = 60) String ref,
            @Nullable Double value,
            @Nullable @Size(max = 500) String text,
            @Nullable @Size(max = 80) String byWhom) {

        NewNote by(String name) {
            return new NewNote(id, tankId, at, kind, ref, value, text, name);
        }
    }

    /** Each is judged by itself, so that one that is refused holds back no other. */
    record NewNotes(@NotEmpty @Size(max = 500) List<@NotNull NewNote> notes) {}

    /** The outage that is on, if one is. */
    record CurrentOutage(@Nullable OutageView outage) {}

    @GetMapping("/kit")
    List<KitView> kit(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return kits.list(who.keeperId(), homeId);
    }

    @PostMapping("/kit")
    @ResponseStatus(HttpStatus.CREATED)
    KitView add(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @Valid @RequestBody KitDescription body) {
        return kits.add(who.keeperId(), homeId, body);
    }

    @PutMapping("/kit/{id}")
    KitView edit(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID homeId,
            @PathVariable UUID id,
            @Valid @RequestBody KitEdit body) {
        return kits.edit(who.keeperId(), homeId, id, body.version(), body.description());
    }

    @DeleteMapping("/kit/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @PathVariable UUID id) {
        kits.delete(who.keeperId(), homeId, id);
    }

    @Computes
    @GetMapping("/readiness")
    ReadinessView readiness(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return readiness.readiness(who.keeperId(), homeId);
    }

    /** What a cut at the same hours every day does, such as from 18:00 for 4 hours. */
    @Computes
    @GetMapping("/cuts")
    CutsView cuts(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID homeId,
            @RequestParam LocalTime from,
            @RequestParam double hours) {
        return readiness.cuts(who.keeperId(), homeId, from, hours);
    }

    @GetMapping("/outages")
    List<PastOutage> past(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return outages.past(who.keeperId(), homeId);
    }

    @Computes(Lane.URGENT)
    @GetMapping("/outages/current")
    CurrentOutage current(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return new CurrentOutage(outages.current(who.keeperId(), homeId).orElse(null));
    }

    /** What the clock would show if the power failed now. */
    @Computes
    @GetMapping("/outages/plan")
    OutageView plan(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return outages.plan(who.keeperId(), homeId);
    }

    @Computes(Lane.URGENT)
    @GetMapping("/outages/{id}")
    OutageView get(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @PathVariable UUID id) {
        return outages.get(who.keeperId(), homeId, id);
    }

    /** Starts one; goes on with the one that is on; places one that is told later. */
    @Computes(Lane.URGENT)
    @PostMapping("/outages")
    OutageView start(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @Valid @RequestBody NewOutage body) {
        return outages.start(who.keeperId(), homeId, new Told(body.id(), body.at(), body.until()));
    }

    /** It never was; within a day it can be restored. */
    @DeleteMapping("/outages/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @PathVariable UUID id) {
        outages.remove(who.keeperId(), homeId, id);
    }

    @Computes(Lane.URGENT)
    @PostMapping("/outages/{id}/restore")
    OutageView restore(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @PathVariable UUID id) {
        return outages.restore(who.keeperId(), homeId, id);
    }

    /** The power was not back after all. */
    @Computes(Lane.URGENT)
    @PostMapping("/outages/{id}/goes-on")
    OutageView goesOn(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @PathVariable UUID id) {
        return outages.goesOn(who.keeperId(), homeId, id);
    }

    @Computes(Lane.URGENT)
    @PostMapping("/outages/{id}/end")
    OutageView end(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID homeId,
            @PathVariable UUID id,
            @Valid @RequestBody WhenOfPower body) {
        return outages.end(who.keeperId(), homeId, id, body.at());
    }

    /** It began at another time than was noticed; a helper can only move that earlier. */
    @Computes(Lane.URGENT)
    @PostMapping("/outages/{id}/began")
    OutageView began(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID homeId,
            @PathVariable UUID id,
            @Valid @RequestBody Began body) {
        return outages.began(who.keeperId(), homeId, id, body.at(), who.guest() == null ? null : who.name());
    }

    /** From the screen, or from a card: the same note twice changes nothing, and each has its own answer. */
    @Computes(Lane.URGENT)
    @PostMapping("/outages/{id}/notes")
    Noted note(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID homeId,
            @PathVariable UUID id,
            @Valid @RequestBody NewNotes body) {
        List<NewNote> notes = who.guest() == null
                ? body.notes()
                : body.notes().stream().map(note -> note.by(who.name())).toList();
        return outages.note(who.keeperId(), homeId, id, notes);
    }

    /** For a sensor on the mains, with a bearer token. */
    @Computes(Lane.URGENT)
    @PostMapping("/mains")
    CurrentOutage mains(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @Valid @RequestBody Mains body) {
        return new CurrentOutage(outages.mains(who.keeperId(), homeId, body.on()));
    }

    /** The pocket card: one file that works on a phone without this server. */
    @Computes(Lane.URGENT)
    @GetMapping(value = "/card", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<String> card(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        ContentDisposition file =
                ContentDisposition.attachment().filename("pocket-card.html").build();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(card.make(who.keeperId(), homeId));
    }
}
