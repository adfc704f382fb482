package famulus.server.team;

import famulus.server.platform.Refusal;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The team's page, and one's own profile. */
@RestController
class TeamController {
    private static final String ADMINISTRATORS_ONLY = "Only an administrator changes the team.";

    private final TeamService team;
    private final Sessions sessions;

    TeamController(TeamService team, Sessions sessions) {
        this.sessions = sessions;
        this.team = team;
    }

    record NewColleague(String firstName, String lastName, String email, Role role, String jobTitle, String password) {}

    record ChangedColleague(Role role, boolean active) {}

    record Profile(String firstName, String lastName, String jobTitle, String phone, String signature) {}

    /**
     * A new password.
     *
     * @param old the one before; asked of whoever changes their own, null where an administrator gives somebody a new one
     */
    record NewPassword(String password, @Schema(nullable = true) String old) {}

    @GetMapping("/api/team")
    List<Colleague> team(Colleague asking) {
        return team.all();
    }

    @PostMapping("/api/team")
    Colleague add(Colleague asking, @RequestBody NewColleague added) {
        asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        return team.add(
                new Colleague(
                        null,
                        added.email(),
                        added.firstName(),
                        added.lastName(),
                        added.role(),
                        added.jobTitle(),
                        "",
                        "",
                        true),
                added.password());
    }

    @PutMapping("/api/team/{id}")
    Colleague change(Colleague asking, @PathVariable UUID id, @RequestBody ChangedColleague changed) {
        asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        Colleague before = team.find(id).orElseThrow(() -> Refusal.missing("This colleague"));
        return team.change(new Colleague(
                id,
                before.email(),
                before.firstName(),
                before.lastName(),
                changed.role(),
                before.jobTitle(),
                before.phone(),
                before.signature(),
                changed.active()));
    }

    @PutMapping("/api/team/{id}/password")
    void password(
            Colleague asking,
            @PathVariable UUID id,
            @RequestBody NewPassword password,
            HttpServletRequest request,
            HttpServletResponse response) {
        boolean own = asking.id().equals(id);
        if (!own) {
            asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        }
        team.find(id).orElseThrow(() -> Refusal.missing("This colleague"));
        if (own && !team.knowsPassword(id, password.old())) {
            throw Refusal.field("old", "This is not your password.");
        }
        team.password(id, password.password());
        if (own) {
            // The session it was changed in goes on; all others have ended.
            sessions.open(asking, request, response);
        }
    }

    /** One's own name, phone and signature. */
    @PutMapping("/api/profile")
    Colleague profile(Colleague asking, @RequestBody Profile profile) {
        return team.change(new Colleague(
                asking.id(),
                asking.email(),
                profile.firstName(),
                profile.lastName(),
                asking.role(),
                profile.jobTitle(),
                profile.phone(),
                profile.signature(),
                true));
    }

    /** Where answers to one's messages go; empty for the address they come from. */
    record Answers(String answersTo) {}

    @GetMapping("/api/profile/answers")
    Answers answers(Colleague asking) {
        return new Answers(team.answersGoTo(asking.id()).orElse(""));
    }

    @PutMapping("/api/profile/answers")
    Answers answers(Colleague asking, @RequestBody Answers wanted) {
        team.answersGoTo(asking.id(), wanted.answersTo());
        return answers(asking);
    }

    /**
     * What colleagues may do in one’s name.
     *
     * @param allowed write to the records one owns
     * @param mailings send mailings to whomever they choose
     */
    record InMyName(boolean allowed, boolean mailings) {}

    @GetMapping("/api/profile/in-my-name")
    InMyName inMyName(Colleague asking) {
        return new InMyName(team.writtenForByColleagues(asking.id()), team.sentMailingsByColleagues(asking.id()));
    }

    @PutMapping("/api/profile/in-my-name")
    InMyName inMyName(Colleague asking, @RequestBody InMyName wanted) {
        team.writtenForByColleagues(asking.id(), wanted.allowed());
        team.sentMailingsByColleagues(asking.id(), wanted.mailings());
        return inMyName(asking);
    }

    /** How long one’s messages wait before they leave, in seconds. */
    record TakeBack(int seconds) {}

    @GetMapping("/api/profile/take-back")
    TakeBack takeBack(Colleague asking) {
        return new TakeBack((int) team.timeToTakeBack(asking.id()).toSeconds());
    }

    @PutMapping("/api/profile/take-back")
    TakeBack takeBack(Colleague asking, @RequestBody TakeBack wanted) {
        team.timeToTakeBack(asking.id(), wanted.seconds());
        return takeBack(asking);
    }
}
