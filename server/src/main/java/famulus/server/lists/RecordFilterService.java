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
import famulus.server.records.CrmKind;
import famulus.server.records.Narrowing;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.RecordTables;
import famulus.server.records.RecordWalk;
import famulus.server.team.Colleague;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
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
    private final AskedInParts inParts;
    private final RecordWalk walk;

    RecordFilterService(
            ListMapper mapper,
            CatalogueService catalogues,
            PeopleContext contexts,
            PeopleService people,
            CompiledConditions compiled,
            AskedInParts inParts,
            RecordWalk walk) {
        this.mapper = mapper;
        this.catalogues = catalogues;
        this.contexts = contexts;
        this.people = people;
        this.compiled = compiled;
        this.inParts = inParts;
        this.walk = walk;
    }

    /** The records a condition holds for. */
    public interface Filtered extends Narrowing {
        /** How many they are: of very many an estimate. */
        Counted counted();

        /** How many they are, however many. */
        Counted countedExactly();

        /** Whether it is likely that hardly any are shown of very many, so that all have to be asked to find them. */
        default boolean sought() {
            return counted().error() > 0 && counted().holds() <= FEW;
        }
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
        return filtered(scope, Wanted.of(condition), asking);
    }

    /**
     * Which records are wanted.
     *
     * @param condition nothing for all
     * @param list a fixed list that they are on; nothing for any
     * @param without those that are left out of them; nothing for none
     * @param deals deals that they are on, for contacts; nothing for whatever deals
     */
    record Wanted(
            Optional<Condition> condition, Optional<UUID> list, Optional<Without> without, Optional<OfDeals> deals) {
        /** All there are. */
        static final Wanted ALL = new Wanted(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

        static Wanted of(Condition condition) {
            return new Wanted(Optional.of(condition), Optional.empty(), Optional.empty(), Optional.empty());
        }

        private Wanted asLists() {
            return new Wanted(Optional.empty(), list, without, deals);
        }

        private boolean byLists() {
            return list.isPresent() || without.isPresent() || deals.isPresent();
        }
    }

    /**
     * The contacts of some deals: of those a condition holds for, or those on a fixed list.
     *
     * @param name of the list they are on
     * @param role what the contacts are to the deals; empty for whatever
     */
    record OfDeals(String name, Optional<Condition> condition, UUID list, String role) {}

    /**
     * Records that are left out: those a condition holds for, or those on a fixed list.
     *
     * @param name of the list they are on
     */
    record Without(String name, Optional<Condition> condition, UUID list) {}

    /** The records that are wanted. */
    Filtered filtered(RecordScope scope, Wanted wanted, Colleague asking) {
        AskedRecords all = records(scope, asking, Portion.ALL);
        Optional<Sql> where = said(wanted, all, asking);
        if (where.isPresent()) {
            return new InSql(scope, wanted, asking, all, where.get());
        }
        Set<UUID> judged = judged(scope, wanted.condition().orElseThrow(), asking);
        return new Judged(
                wanted.byLists() ? filtered(scope, wanted.asLists(), asking).among(judged) : judged, total(scope));
    }

    /** What is wanted as SQL over some records; nothing where its condition has to be worked out for each. */
    private Optional<Sql> said(Wanted wanted, AskedRecords records, Colleague asking) {
        Optional<Sql> where = wanted.condition().isEmpty()
                ? Optional.of(Sql.TRUE)
                : compiled.of(wanted.condition().get(), records);
        return where.map(one -> on(wanted.list(), records, one))
                .map(one -> without(wanted.without(), records, one))
                .map(one -> wanted.deals()
                        .map(deals -> Sql.put("(%s and %s)", onDeals(deals, records, asking), one))
                        .orElse(one));
    }

    private Sql onDeals(OfDeals deals, AskedRecords contacts, Colleague asking) {
        AskedRecords some = records(new RecordScope(CrmKind.DEAL), asking, Portion.ALL);
        Sql which = deals.condition().isEmpty()
                ? onList(deals.list(), some)
                : compiled.of(deals.condition().get(), some)
                        .orElseThrow(() -> Refusal.field(
                                "deals",
                                "“" + deals.name() + "” can’t be asked here: its condition has to be worked out for"
                                        + " each deal."));
        Sql ids = Sql.put("select " + some.record() + " %s where %s", some.from(), which);
        Sql role = deals.role().isEmpty() ? Sql.TRUE : Sql.of("dc.role = ?", deals.role());
        return Sql.put(RecordTables.onDeal(contacts.record()), Sql.put("dc.deal_id in (%s) and %s", ids, role));
    }

    private static Sql on(Optional<UUID> list, AskedRecords records, Sql where) {
        return list.map(id -> Sql.put("(%s and %s)", onList(id, records), where))
                .orElse(where);
    }

    private static Sql onList(UUID list, AskedRecords records) {
        return Sql.put(
                "exists (select 1 from record_list_member rm where rm.record_id = " + records.record()
                        + " and rm.list_id = %s)",
                Sql.of("?", list));
    }

    private Sql without(Optional<Without> without, AskedRecords records, Sql where) {
        if (without.isEmpty()) {
            return where;
        }
        Without out = without.get();
        Sql those = out.condition().isEmpty()
                ? onList(out.list(), records)
                : compiled.of(out.condition().get(), records)
                        .orElseThrow(() -> Refusal.field(
                                "minus",
                                "“" + out.name()
                                        + "” can’t be left out: its condition has to be worked out for each one."));
        return Sql.put("(%s and (%s) is not true)", where, those);
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

    private int count(Sql sql) {
        return mapper.number(sql.numbered(), sql.values());
    }

    /** What SQL can say. */
    private final class InSql implements Filtered {
        private final RecordScope scope;
        private final Wanted wanted;
        private final Colleague asking;
        private final AskedRecords all;
        private final Sql where;
        private Counted counted;

        InSql(RecordScope scope, Wanted wanted, Colleague asking, AskedRecords all, Sql where) {
            this.scope = scope;
            this.wanted = wanted;
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
                counted = of <= Sampling.FEW
                                || wanted.list().isPresent()
                                || wanted.deals().isPresent()
                        ? countedExactly()
                        : estimated(of);
            }
            return counted;
        }

        private Counted estimated(int of) {
            Portion some = Portion.some(Sampling.SAMPLE);
            AskedRecords sample = records(scope, asking, some);
            Sql holding = said(wanted, sample, asking).orElseThrow();
            int holds = count(Sql.put("select count(*) %s where %s", sample.from(), holding));
            Sampling sampling = new Sampling(Map.of(scope.kind(), of), Sampling.SAMPLE);
            Estimate estimate = sampling.estimate(Map.of(scope.kind(), Sampling.SAMPLE), Map.of(scope.kind(), holds));
            return new Counted(estimate.number(), of, estimate.error());
        }

        @Override
        public Counted countedExactly() {
            int of = total(scope);
            return new Counted(inParts.count(all, where, of), of, 0);
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
            Set<UUID> ids = inParts.gather(all, where, about.of(), most + 1);
            return ids.size() > most ? Optional.empty() : Optional.of(ids);
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
