package famulus.server.library;

import famulus.core.proof.CheckLevels.Wanted;
import famulus.server.library.CheckSettings.CheckSetting;
import famulus.server.team.Colleague;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The checks of the proofreader, as the company wants them. */
@RestController
@RequestMapping("/api/company/checks")
class CheckSettingController {
    private final CheckSettings settings;

    CheckSettingController(CheckSettings settings) {
        this.settings = settings;
    }

    /** What a check is to do from now on. */
    record CheckLevel(Wanted level) {}

    @GetMapping
    List<CheckSetting> checks(Colleague asking) {
        return settings.all();
    }

    @PutMapping("/{code}")
    List<CheckSetting> set(Colleague asking, @PathVariable String code, @RequestBody CheckLevel wanted) {
        settings.set(code, wanted.level(), asking);
        return settings.all();
    }
}
