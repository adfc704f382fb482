package famulus.core.message;

import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Merges messages of tests for somebody in London, on Monday 4 May 2026. */
public final class MergedFor {
    public static final MergeSettings SETTINGS =
            new MergeSettings(Locale.UK, ZoneId.of("Europe/London"), Instant.parse("2026-05-04T09:00:00Z"));

    private MergedFor() {}

    /**
     * A message, merged.
     *
     * @param values by path; whatever is not there is missing
     */
    public static MergedMessage values(MessageSource source, Map<String, Value> values) {
        return source.parse()
                .merge(new Merger(SETTINGS), (Path path) -> Optional.ofNullable(values.get(path.toString())));
    }
}
