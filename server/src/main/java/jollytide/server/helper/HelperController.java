package jollytide.server.helper;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.helper.HelperService.HelperView;
import jollytide.server.helper.HelperService.Invitation;
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

/** Inviting helpers to a home. */
@RestController
@RequestMapping("/api/v1/homes/{homeId}/helpers")
class HelperController {
    private final HelperService helpers;

    HelperController(HelperService helpers) {
        this.helpers = helpers;
    }

    record NewHelper(@NotBlank @Size(max = 80) String name) {}

    @GetMapping
    List<HelperView> list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return helpers.list(who.keeperId(), homeId);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Invitation invite(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @Valid @RequestBody NewHelper body) {
        return helpers.invite(who.keeperId(), homeId, body.name());
    }

    /** Takes the link back; whoever is in by it is out at once. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @PathVariable UUID id) {
        helpers.withdraw(who.keeperId(), homeId, id);
    }
}
