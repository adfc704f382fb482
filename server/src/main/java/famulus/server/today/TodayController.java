package famulus.server.today;

import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.today.FirstHourService.StepState;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RestController;

/** The first hour, as the first screen shows it. */
@RestController
class TodayController {
    private final FirstHourService firstHour;

    TodayController(FirstHourService firstHour) {
        this.firstHour = firstHour;
    }

    /**
     * The first hour.
     *
     * @param steps in order; none once all are done or passed over
     * @param mayChange whether whoever asks may do the company's step and pass steps over
     */
    record FirstHour(List<StepState> steps, boolean mayChange) {}

    @GetMapping("/api/today/first-hour")
    FirstHour firstHour(Colleague asking) {
        return new FirstHour(firstHour.steps(), asking.is(Role.KEEPER, Role.ADMINISTRATOR));
    }

    /** Passes a step over. */
    @PutMapping("/api/today/first-hour/{step}/skipped")
    FirstHour skip(Colleague asking, @PathVariable FirstHourStep step) {
        mustBeEditor(asking);
        firstHour.skip(step);
        return firstHour(asking);
    }

    /** Takes a step up again. */
    @DeleteMapping("/api/today/first-hour/{step}/skipped")
    FirstHour takeUp(Colleague asking, @PathVariable FirstHourStep step) {
        mustBeEditor(asking);
        firstHour.takeUp(step);
        return firstHour(asking);
    }

    private static void mustBeEditor(Colleague asking) {
        asking.mustBe("Only editors and administrators skip a step for everybody.", Role.KEEPER, Role.ADMINISTRATOR);
    }
}
