package jollytide.server.account;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
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

/** Personal tokens for scripts. */
@RestController
@RequestMapping("/api/v1/tokens")
class TokenController {
    private final Accounts accounts;

    TokenController(Accounts accounts) {
        this.accounts = accounts;
    }

    record TokenRequest(@NotBlank @Size(max = 80) String label) {}

    @GetMapping
    List<TokenView> list(@AuthenticationPrincipal SignedIn who) {
        return accounts.tokens(who.keeperId());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    NewToken create(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody TokenRequest body) {
        return new NewToken(accounts.createToken(who.keeperId(), body.label(), null));
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revoke(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        accounts.revokeToken(who.keeperId(), id);
    }
}
