package famulus.server.mailings;

import famulus.server.mailings.MailingLookMapper.LookRow;
import famulus.server.mailings.MailingLooks.Comment;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A colleague’s look at a mailing before it goes. */
@RestController
class MailingLookController {
    private final MailingLooks looks;
    private final MailingReadiness readiness;
    private final TeamService team;

    MailingLookController(MailingLooks looks, MailingReadiness readiness, TeamService team) {
        this.looks = looks;
        this.readiness = readiness;
        this.team = team;
    }

    /**
     * The newest look; all empty where nobody was asked.
     *
     * @param asked who is to look, by first name
     * @param mine whether that is whoever asks
     * @param answeredAt null until they have answered
     * @param approved whether they approved what the mailing says now
     * @param comments what they said when they sent it back
     */
    record ShownLook(
            String asked,
            boolean mine,
            @Schema(nullable = true) Instant answeredAt,
            boolean approved,
            List<Comment> comments) {}

    @GetMapping("/api/mailings/{id}/look")
    ShownLook look(Colleague asking, @PathVariable UUID id) {
        String digest = readiness.of(id, asking).digest();
        return looks.of(id)
                .map(look -> shown(look, digest, asking))
                .orElse(new ShownLook("", false, null, false, List.of()));
    }

    private ShownLook shown(LookRow look, String digest, Colleague asking) {
        return new ShownLook(
                first(look.asked()),
                look.asked().equals(asking.id()),
                look.answeredAt(),
                look.approved() && digest.equals(look.digest()),
                looks.comments(look));
    }

    private String first(UUID colleague) {
        return team.find(colleague).map(Colleague::firstName).orElse("");
    }

    /** Who is to look at it. */
    record LookToAsk(UUID colleague) {}

    @PostMapping("/api/mailings/{id}/look")
    void ask(Colleague asking, @PathVariable UUID id, @RequestBody LookToAsk wanted) {
        looks.ask(id, wanted.colleague(), asking);
    }

    /** What somebody says who has looked; sent back, there is something to be changed. */
    record LookAnswer(boolean approved, List<Comment> comments) {}

    @PostMapping("/api/mailings/{id}/look/answer")
    void answer(Colleague asking, @PathVariable UUID id, @RequestBody LookAnswer answer) {
        looks.answer(id, answer.approved(), readiness.of(id, asking), answer.comments(), asking);
    }

    /** A mailing that whoever asks is to look at. */
    record MailingToLookAt(UUID id, String name, String askedBy) {}

    @GetMapping("/api/mailings/to-look-at")
    List<MailingToLookAt> waiting(Colleague asking) {
        return looks.waiting(asking).stream()
                .map(one -> new MailingToLookAt(one.id(), one.name(), first(one.askedBy())))
                .toList();
    }
}
