package jollytide.server.supplies;

import jakarta.validation.Valid;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.supplies.SuppliesViews.NewSupply;
import jollytide.server.supplies.SuppliesViews.NewSupplyEntry;
import jollytide.server.supplies.SuppliesViews.SuppliesView;
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

/** A home's cupboard. */
@RestController
@RequestMapping("/api/v1/homes/{homeId}/supplies")
class SuppliesController {
    private final SuppliesService stock;

    SuppliesController(SuppliesService stock) {
        this.stock = stock;
    }

    record KeptSupply(UUID id) {}

    @GetMapping
    SuppliesView list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return stock.list(who.keeperId(), homeId);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    KeptSupply add(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @Valid @RequestBody NewSupply body) {
        return new KeptSupply(stock.add(who.keeperId(), homeId, body));
    }

    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void edit(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID homeId,
            @PathVariable UUID id,
            @Valid @RequestBody NewSupply body) {
        stock.edit(who.keeperId(), homeId, id, body);
    }

    /** It was counted, or more was bought. */
    @PostMapping("/{id}/entries")
    @ResponseStatus(HttpStatus.CREATED)
    KeptSupply note(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID homeId,
            @PathVariable UUID id,
            @Valid @RequestBody NewSupplyEntry body) {
        return new KeptSupply(stock.note(who.keeperId(), homeId, id, body));
    }

    @DeleteMapping("/{id}/entries/{entryId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID homeId,
            @PathVariable UUID id,
            @PathVariable UUID entryId) {
        stock.forget(who.keeperId(), homeId, id, entryId);
    }

    /** It is not kept any more. */
    @PostMapping("/{id}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @PathVariable UUID id) {
        stock.end(who.keeperId(), homeId, id);
    }

    /** Undo of that. */
    @DeleteMapping("/{id}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void goOn(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @PathVariable UUID id) {
        stock.goOn(who.keeperId(), homeId, id);
    }
}
