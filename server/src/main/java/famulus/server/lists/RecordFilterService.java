package famulus.server.lists;

import famulus.core.condition.Condition;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.server.lists.PeopleService.Counted;
import famulus.server.lists.Sampling.Estimate;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.records.Narrowing;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.RecordWalk;
import famulus.server.team.Colleague;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The records of a list that a condition holds for: counted, gathered, or asked one by one while the list is read. */
@Service
public class RecordFilterService {
    private final ListMapper mapper;
    private final CatalogueService catalogues;
    private final PeopleContext contexts;
    private final PeopleService people;
    private final CompiledConditions compiled;
    private final RecordWalk walk;

    RecordFilterService(
            ListMapper mapper,
            CatalogueService catalogues,
            PeopleContext contexts,
            PeopleService people,
            CompiledConditions compiled,
            RecordWalk walk) {
        this.mapper = mapper;
        this.catalogues = catalogues;
        this.contexts = contexts;
        this.people = people;
        this.compiled = compiled;
        this.walk = walk;
    }

    /** The records a condition holds for. */
    public interface Filtered extends Narrowing {
        /** How many they are: of very many an estimate. */
        Counted counted();

        /** How many they are, however many. */
        Counted countedExactly();
    }

    /** The fields that a list can be asked for, with what each path ends at. */
    public Map<Path, FieldDefinition> fields(RecordScope scope, Colleague asking) {
        FieldCatalogue catalogue = catalogues.catalogue();
        AskedRecords records = records(scope, asking, Portion.ALL);
        Map<Path, FieldDefinition> fields =
                new LinkedHashMap<>(scope.paths(catalogue).reachable());
        fields.keySet()
                .removeIf(path -> path.words().size() > 1 && records.value(path).isEmpty());
        return fields;
    }

    /** How many records a list has. */
    public int total(RecordScope scope) {
        return walk.count(List.of(scope.kind()), false);
    }

    /**
     * The records a condition holds for; refused where it can't be worked out for so many.
     *
     * @param asking who looks at the list, whose own details the condition may name
     */
    public Filtered filtered(RecordScope scope, Condition condition, Colleague asking) {
        return filtered(scope, Optional.of(condition), Optional.empty(), asking);
    }

    /**
     * The records a condition holds for that are on a fixed list.
     *
     * @param condition nothing for all that are on the list
     * @param list nothing for all that the condition holds for
     */
    Filtered filtered(RecordScope scope, Optional<Condition> condition, Optional<UUID> list, Colleague asking) {
        AskedRecords all = records(scope, asking, Portion.ALL);
        Optional<Sql> where = condition.isEmpty() ? Optional.of(Sql.TRUE) : compiled.of(condition.get(), all);
        if (where.isPresent()) {
            return new InSql(scope, condition, list, asking, all, on(list, all, where.get()));
        }
        Set<UUID> judged = judged(scope, condition.orElseThrow(), asking);
        return new Judged(
                list.isEmpty()
                        ? judged
                        : filtered(scope, Optional.empty(), list, asking).among(judged),
                total(scope));
    }

    private static Sql on(Optional<UUID> list, AskedRecords records, Sql where) {
        return list.map(id -> Sql.put(
                        "(exists (select 1 from record_list_member rm where rm.record_id = " + records.record()
                                + " and rm.list_id = %s) and %s)",
                        Sql.of("?", id),
                        where))
                .orElse(where);
    }

    /** Lets a condition through that can be worked out for the records of a list, in SQL or for each of few people. */
    void mustBeAskable(RecordScope scope, Condition condition, Colleague asking) {
        if (compiled.of(condition, records(scope, asking, Portion.ALL)).isPresent()) {
            return;
        }
        if (!scope.kind().isPerson()) {
            throw Refusal.field(
                    "condition",
                    "This can’t be asked of " + scope.called()
                            + ": working days and greetings are only known for people. Use days.");
        }
        if (total(scope) > Sampling.FEW) {
            throw Refusal.field(
                    "condition",
                    "With so many " + scope.called()
                            + " this takes too long: it has to be worked out for each one. Use days, not working days.");
        }
    }

    private Set<UUID> judged(RecordScope scope, Condition condition, Colleague asking) {
        mustBeAskable(scope, condition, asking);
        return people.matching(scope.about(), condition, asking, false).stream()
                .map(For::id)
                .collect(Collectors.toSet());
    }

    private AskedRecords records(RecordScope scope, Colleague asking, Portion portion) {
        FieldCatalogue catalogue = catalogues.catalogue();
        MergeContext constants = contexts.sameForAll(asking, catalogue);
        return AskedRecords.listed(scope, catalogue, catalogues.fields(), constants::value, portion);
    }

    private List<UUID> ids(Sql sql) {
        return mapper.ids(sql.numbered(), sql.values());
    }

    private int count(Sql sql) {
        return mapper.number(sql.numbered(), sql.values());
    }

    /** What SQL can say. */
    private final class InSql implements Filtered {
        private final RecordScope scope;
        private final Optional<Condition> condition;
        private final Optional<UUID> list;
        private final Colleague asking;
        private final AskedRecords all;
        private final Sql where;
        private Counted counted;

        InSql(
                RecordScope scope,
                Optional<Condition> condition,
                Optional<UUID> list,
                Colleague asking,
                AskedRecords all,
                Sql where) {
            this.scope = scope;
            this.condition = condition;
            this.list = list;
            this.asking = asking;
            this.all = all;
            this.where = where;
        }

        private Sql at(String record) {
            return Sql.put(
                    "exists (select 1 %s where " + all.record() + " = " + record + " and %s)", all.from(), where);
        }

        @Override
        public Statement statement() {
            Sql here = at(RECORD);
            return new Statement(here.numbered("narrowing.values"), here.values());
        }

        @Override
        public Counted counted() {
            if (counted == null) {
                int of = total(scope);
                counted = of <= Sampling.FEW || list.isPresent() ? countedExactly() : estimated(of);
            }
            return counted;
        }

        private Counted estimated(int of) {
            Portion some = Portion.some(Sampling.SAMPLE);
            AskedRecords sample = records(scope, asking, some);
            Sql holding = compiled.of(condition.orElseThrow(), sample).orElseThrow();
            int holds = count(Sql.put("select count(*) %s where %s", sample.from(), holding));
            Sampling sampling = new Sampling(Map.of(scope.kind(), of), Sampling.SAMPLE);
            Estimate estimate = sampling.estimate(Map.of(scope.kind(), Sampling.SAMPLE), Map.of(scope.kind(), holds));
            return new Counted(estimate.number(), of, estimate.error());
        }

        @Override
        public Counted countedExactly() {
            return new Counted(count(Sql.put("select count(*) %s where %s", all.from(), where)), total(scope), 0);
        }

        @Override
        public int number() {
            return counted().holds();
        }

        @Override
        public Optional<Set<UUID>> gathered(int most) {
            Counted about = counted();
            // Where surely more hold, nobody reads so many for nothing.
            if (about.holds() - 2 * about.error() > most) {
                return Optional.empty();
            }
            List<UUID> ids = ids(
                    Sql.put("select " + all.record() + " as id %s where %s limit " + (most + 1), all.from(), where));
            return ids.size() > most ? Optional.empty() : Optional.of(new LinkedHashSet<>(ids));
        }

        @Override
        public Set<UUID> among(Collection<UUID> records) {
            Sql asked = at("wanted.id");
            return records.isEmpty()
                    ? Set.of()
                    : new HashSet<>(mapper.among(asked.numbered(), asked.values(), records));
        }
    }

    /** What has been worked out for each of few. */
    private record Judged(Set<UUID> records, int of) implements Filtered {
        @Override
        public Counted counted() {
            return new Counted(records.size(), of, 0);
        }

        @Override
        public Counted countedExactly() {
            return counted();
        }

        @Override
        public int number() {
            return records.size();
        }

        /** Asked where many have the words that are looked for as well. Identifiers are nothing but figures. */
        @Override
        public Statement statement() {
            String these = records.stream().map(id -> "'" + id + "'").collect(Collectors.joining(", "));
            return new Statement(records.isEmpty() ? "false" : RECORD + " in (" + these + ")", List.of());
        }

        @Override
        public Optional<Set<UUID>> gathered(int most) {
            return Optional.of(records);
        }

        @Override
        public Set<UUID> among(Collection<UUID> asked) {
            return asked.stream().filter(records::contains).collect(Collectors.toSet());
        }
    }
}
