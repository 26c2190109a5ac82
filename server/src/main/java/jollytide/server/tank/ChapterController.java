package jollytide.server.tank;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.tank.ChapterService.ChapterView;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A tank as it was described, by date. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/chapters")
class ChapterController {
    private final ChapterService chapters;

    ChapterController(ChapterService chapters) {
        this.chapters = chapters;
    }

    /**
     * What is mended; null leaves it as it was.
     *
     * @param until its end, in the home's zone or with an offset
     */
    record ChapterEdit(
            @NotNull Long version,
            @Nullable @Size(max = 40) String until,
            @Valid @Nullable TankDescription description) {}

    @GetMapping
    List<ChapterView> list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return chapters.list(who.keeperId(), tankId);
    }

    @PutMapping("/{id}")
    List<ChapterView> mend(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody ChapterEdit body) {
        return chapters.mend(who.keeperId(), tankId, id, body.version(), body.description(), body.until());
    }

    /** It was no change: its time goes to the chapter that follows it. */
    @DeleteMapping("/{id}")
    List<ChapterView> join(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        return chapters.join(who.keeperId(), tankId, id);
    }
}
