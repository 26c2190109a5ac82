package jollytide.server.logfile;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.logfile.ImportViews.BadLine;
import jollytide.server.logfile.ImportViews.ConflictView;
import jollytide.server.logfile.ImportViews.ImportView;
import jollytide.server.logfile.ImportViews.Offer;
import jollytide.server.logfile.ImportViews.Preview;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Files into the log: send one, answer what it cannot say, start, and take it out again. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/imports")
class ImportController {
    private final ImportService imports;
    private final ImportRunner runner;

    ImportController(ImportService imports, ImportRunner runner) {
        this.imports = imports;
        this.runner = runner;
    }

    @GetMapping
    List<ImportView> list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return imports.list(who.keeperId(), tankId);
    }

    /** Takes a file of up to 250 MB as it is, CSV or SenML JSON. */
    @PostMapping(consumes = "application/octet-stream")
    @ResponseStatus(HttpStatus.CREATED)
    @RequestBody(
            content =
                    @Content(
                            mediaType = "application/octet-stream",
                            schema = @Schema(type = "string", format = "binary")))
    Offer upload(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam @Size(max = 200) String name,
            @Schema(hidden = true) HttpServletRequest request)
            throws IOException {
        return imports.upload(who.keeperId(), tankId, name, request.getInputStream());
    }

    @GetMapping("/{id}")
    ImportView get(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable long id) {
        return imports.get(who.keeperId(), tankId, id);
    }

    /** What a waiting file seems to hold. */
    @GetMapping("/{id}/offer")
    Offer offer(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable long id) {
        return imports.offer(who.keeperId(), tankId, id);
    }

    @PostMapping("/{id}/preview")
    Preview preview(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable long id,
            @Valid @org.springframework.web.bind.annotation.RequestBody ImportPlan plan) {
        return imports.preview(who.keeperId(), tankId, id, plan);
    }

    @PostMapping("/{id}/start")
    @ResponseStatus(HttpStatus.ACCEPTED)
    ImportView start(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable long id,
            @Valid @org.springframework.web.bind.annotation.RequestBody ImportPlan plan) {
        ImportView started = imports.start(who.keeperId(), tankId, id, plan);
        runner.wake();
        return started;
    }

    /** Stops a running import; what it saved until then stays. */
    @PostMapping("/{id}/stop")
    ImportView stop(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable long id) {
        return imports.stop(who.keeperId(), tankId, id);
    }

    /** The first 500 lines that could not be taken. */
    @GetMapping("/{id}/bad")
    List<BadLine> bad(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable long id) {
        return imports.bad(who.keeperId(), tankId, id);
    }

    /** The first 500 values that contradict stored ones. */
    @GetMapping("/{id}/conflicts")
    List<ConflictView> conflicts(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable long id) {
        return imports.conflicts(who.keeperId(), tankId, id);
    }

    /**
     * Which values hold where file and log disagree.
     *
     * @param byTheFile true puts the file's in place, false puts the log's back
     */
    @PostMapping("/{id}/replace")
    ImportView replace(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable long id,
            @RequestParam boolean byTheFile) {
        return imports.replace(who.keeperId(), tankId, id, byTheFile);
    }

    /** Takes out what the import brought, and forgets it. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void undo(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable long id) {
        imports.undo(who.keeperId(), tankId, id);
    }
}
