package famulus.server.team;

import famulus.server.team.Teams.Team;
import famulus.server.team.Teams.TypedTeam;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Teams; everybody knows them, administrators change them. */
@RestController
@RequestMapping("/api/teams")
class TeamsController {
    private static final String ADMINISTRATORS_ONLY = "Only an administrator changes teams.";

    private final Teams teams;

    TeamsController(Teams teams) {
        this.teams = teams;
    }

    @GetMapping
    List<Team> teams(Colleague asking) {
        return teams.all();
    }

    @PostMapping
    List<Team> add(Colleague asking, @RequestBody TypedTeam team) {
        asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        teams.add(team);
        return teams.all();
    }

    @PutMapping("/{id}")
    List<Team> change(Colleague asking, @PathVariable UUID id, @RequestBody TypedTeam team) {
        asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        teams.change(id, team);
        return teams.all();
    }

    @DeleteMapping("/{id}")
    List<Team> remove(Colleague asking, @PathVariable UUID id) {
        asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        teams.remove(id);
        return teams.all();
    }
}
