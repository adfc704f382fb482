package famulus.server.lists;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.server.platform.Revisions;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordWalk;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * The longest values that fields of text have in anybody's record; of very many people some stand for all. A template is read
 * at every pause of its writer, so each is kept for a while.
 */
@Service
public class LongestValues {
    private static final int SAMPLE = 500;

    private final ListMapper mapper;
    private final PeopleService people;
    private final CatalogueService catalogues;
    private final RecordWalk walk;
    private final KeptAWhile<Asked, Optional<String>> kept;

    LongestValues(
            ListMapper mapper,
            PeopleService people,
            CatalogueService catalogues,
            Revisions revisions,
            RecordWalk walk,
            Clock clock) {
        this.mapper = mapper;
        this.people = people;
        this.catalogues = catalogues;
        this.walk = walk;
        this.kept = new KeptAWhile<>(revisions, catalogues, clock);
    }

    private record Asked(About about, Path path) {}

    /**
     * The longest value of each field.
     *
     * @param about whom a template is about
     * @param paths its fields; those that hold no text of a record are passed over
     */
    public Map<Path, String> of(About about, List<Path> paths, Colleague sender) {
        FieldCatalogue catalogue = catalogues.catalogue();
        Map<Path, String> longest = new HashMap<>();
        for (Path path : paths) {
            Asked asked = new Asked(about, path);
            catalogue
                    .resolve(path, about)
                    .filter(field -> field.type() == FieldType.TEXT)
                    .flatMap(field -> kept.get(asked, () -> read(asked, sender)))
                    .ifPresent(value -> longest.put(path, value));
        }
        return longest;
    }

    private Optional<String> read(Asked asked, Colleague sender) {
        Sampling sampling = Sampling.of(asked.about(), Sampling.FEW, SAMPLE, walk);
        String longest = "";
        for (CrmKind kind : AskedRecords.kinds(asked.about())) {
            AskedRecords from = people.people(asked.about(), kind, sender, Portion.some(sampling.size()));
            Optional<SqlValue> value = from.value(asked.path()).filter(one -> one.sort() == SqlValue.Sort.TEXT);
            if (value.isPresent()) {
                String one = longest(from, value.get().value());
                longest = one.length() > longest.length() ? one : longest;
            }
        }
        return Optional.of(longest).filter(one -> !one.isEmpty());
    }

    private String longest(AskedRecords from, Sql value) {
        Sql select = Sql.put(
                "select %s as shown %s where %s is not null order by char_length(%s) desc, shown limit 1",
                value, from.from(), value, value);
        return mapper.rows(select.numbered(), select.values()).stream()
                .map(row -> row.values().iterator().next().toString())
                .findFirst()
                .orElse("");
    }
}
