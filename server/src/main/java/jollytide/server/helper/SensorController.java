package jollytide.server.helper;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import jollytide.server.account.Accounts;
import jollytide.server.account.NewToken;
import jollytide.server.account.SignedIn;
import jollytide.server.home.HomeService;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Tokens for sensors on a home's mains. They are listed and revoked among the keeper's tokens. */
@RestController
class SensorController {
    private final HomeService homes;
    private final Accounts accounts;

    SensorController(HomeService homes, Accounts accounts) {
        this.homes = homes;
        this.accounts = accounts;
    }

    record NewSensor(@NotBlank @Size(max = 80) String label) {}

    @PostMapping("/api/v1/homes/{homeId}/mains/tokens")
    @ResponseStatus(HttpStatus.CREATED)
    NewToken create(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId, @Valid @RequestBody NewSensor body) {
        homes.owned(who.keeperId(), homeId);
        return new NewToken(accounts.createToken(who.keeperId(), body.label(), homeId));
    }
}
