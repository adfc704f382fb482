package famulus.server.library;

import famulus.core.proof.CheckLevels;
import famulus.core.proof.CheckLevels.Wanted;
import famulus.core.proof.QueryCode;
import famulus.server.library.CheckSettingMapper.SettingRow;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How the company wants the checks of the proofreader, and how often each is ignored. */
@Service
public class CheckSettings {
    private final CheckSettingMapper mapper;

    CheckSettings(CheckSettingMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * A check as it is set.
     *
     * @param ignored how often a note of it was ignored, with a reason
     */
    public record CheckSetting(String code, String title, Wanted level, int ignored) {}

    /** All checks that can be set, the most ignored ones first. */
    public List<CheckSetting> all() {
        Map<String, SettingRow> rows =
                mapper.all().stream().collect(Collectors.toMap(SettingRow::code, Function.identity()));
        return Arrays.stream(QueryCode.values())
                .map(code -> setting(code, Optional.ofNullable(rows.get(code.code()))))
                .sorted(Comparator.comparingInt(CheckSetting::ignored).reversed())
                .toList();
    }

    private static CheckSetting setting(QueryCode code, Optional<SettingRow> row) {
        return new CheckSetting(
                code.code(),
                code.title(),
                row.map(SettingRow::level).map(Wanted::valueOf).orElse(Wanted.QUERY),
                row.map(SettingRow::ignored).orElse(0));
    }

    /** As they are set, for notes. */
    public CheckLevels levels() {
        Map<QueryCode, Wanted> wanted = new EnumMap<>(QueryCode.class);
        for (SettingRow row : mapper.all()) {
            QueryCode.of(row.code())
                    .filter(code -> row.level() != null)
                    .ifPresent(code -> wanted.put(code, Wanted.valueOf(row.level())));
        }
        return new CheckLevels(wanted);
    }

    /** Sets a check for the whole company; editors and administrators do. */
    @Transactional
    public void set(String code, Wanted level, Colleague by) {
        by.mustBe("Editors and administrators set the checks.", Role.KEEPER, Role.ADMINISTRATOR);
        if (level == null || QueryCode.of(code).isEmpty()) {
            throw Refusal.missing("This check");
        }
        mapper.set(code, level.name());
    }

    /** Counts that a check was ignored, or is asked again. */
    public void ignored(String code, int by) {
        if (by != 0 && QueryCode.of(code).isPresent()) {
            mapper.count(code, by);
        }
    }
}
