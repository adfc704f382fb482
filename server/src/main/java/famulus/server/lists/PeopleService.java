package famulus.server.lists;

import famulus.core.calendar.Reckoner;
import famulus.core.condition.Condition;
import famulus.core.condition.Judge;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.server.lists.ListMapper.PersonRow;
import famulus.server.lists.Sampling.Estimate;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.records.NeededData;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.RecordWalk;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import org.springframework.stereotype.Service;

/** The people a template could go to: all of them, or those a condition holds for. */
@Service
public class PeopleService {
    private static final int AT_ONCE = 500;
    /** After so many it is said how far it is, which also shows whether anybody waits for it still. */
    private static final int SAID_AT_LEAST = 100;

    private final ListMapper mapper;
    private final CatalogueService catalogues;
    private final PeopleContext contexts;
    private final CompiledConditions compiled;
    private final AskedInParts inParts;
    private final Clock clock;
    private final RecordWalk walk;

    PeopleService(
            ListMapper mapper,
            CatalogueService catalogues,
            PeopleContext contexts,
            CompiledConditions compiled,
            AskedInParts inParts,
            Clock clock,
            RecordWalk walk) {
        this.walk = walk;
        this.mapper = mapper;
        this.catalogues = catalogues;
        this.contexts = contexts;
        this.compiled = compiled;
        this.inParts = inParts;
        this.clock = clock;
    }

    /**
     * For how many of all the people a condition holds.
     *
     * @param error how much more or less it may be, in 19 of 20 cases; 0 for an exact count
     */
    public record Counted(int holds, int of, int error) {}

    /** Estimates for whom a condition holds, or counts where they are few. */
    public Counted count(About about, Condition condition, Colleague sender) {
        Sampling sampling = Sampling.of(about, false, walk);
        Portion some = Portion.some(sampling.size());
        Map<CrmKind, Integer> asked = new EnumMap<>(CrmKind.class);
        Map<CrmKind, Integer> holds = new EnumMap<>(CrmKind.class);
        for (CrmKind kind : AskedRecords.kinds(about)) {
            asked.put(
                    kind,
                    number(Sql.put(
                            "select count(*) %s", plain(about, kind, some).from())));
            holds.put(kind, holding(about, kind, condition, sender, some));
        }
        Estimate estimate = sampling.estimate(asked, holds);
        return new Counted(estimate.number(), sampling.total(), estimate.error());
    }

    /**
     * Counts for whom a condition holds, however many they are.
     *
     * @param progress told how many have been asked, now and then
     */
    public Counted countExactly(About about, Condition condition, Colleague sender, IntConsumer progress) {
        Map<CrmKind, Integer> totals = Sampling.of(about, true, walk).totals();
        int holds = 0;
        int of = 0;
        for (CrmKind kind : AskedRecords.kinds(about)) {
            progress.accept(of);
            AskedRecords people = people(about, kind, sender);
            Optional<Sql> where = compiled.of(condition, people);
            holds += where.isPresent()
                    ? inParts.count(people, where.get(), totals.get(kind))
                    : judgedInRanges(about, kind, condition, sender, totals.get(kind), of, progress);
            of += totals.get(kind);
        }
        return new Counted(holds, of, 0);
    }

    /** SQL counts everybody in about a second; judging each of very many takes longer, so it goes range by range. */
    private int judgedInRanges(
            About about,
            CrmKind kind,
            Condition condition,
            Colleague sender,
            int all,
            int before,
            IntConsumer progress) {
        int holds = 0;
        List<Portion> ranges = Portion.ranges();
        for (int turn = 0; turn < ranges.size(); turn++) {
            progress.accept(before + (int) ((long) all * turn / ranges.size()));
            holds += judged(about, kind, condition, sender, ranges.get(turn)).size();
        }
        return holds;
    }

    private int holding(About about, CrmKind kind, Condition condition, Colleague sender, Portion portion) {
        AskedRecords people = people(about, kind, sender, portion);
        return compiled.of(condition, people)
                .map(where -> number(Sql.put("select count(*) %s where %s", people.from(), where)))
                .orElseGet(() -> judged(about, kind, condition, sender, portion).size());
    }

    /**
     * Everybody a condition holds for, in no particular order.
     *
     * @param inSql whether SQL is asked where it can say the condition; else each person is judged
     */
    List<For> matching(About about, Condition condition, Colleague sender, boolean inSql) {
        List<For> matching = new ArrayList<>();
        for (CrmKind kind : AskedRecords.kinds(about)) {
            AskedRecords people = people(about, kind, sender);
            Optional<Sql> where = inSql ? compiled.of(condition, people) : Optional.empty();
            if (where.isPresent()) {
                matching.addAll(all(about, kind, people, where.get()));
            } else {
                matching.addAll(judged(about, kind, condition, sender, Portion.ALL));
            }
        }
        return matching;
    }

    /** Whether SQL can say a condition by itself. */
    boolean saidInSql(About about, Condition condition, Colleague sender) {
        return AskedRecords.kinds(about).stream().allMatch(kind -> compiled.of(condition, people(about, kind, sender))
                .isPresent());
    }

    private List<For> judged(About about, CrmKind kind, Condition condition, Colleague sender, Portion portion) {
        List<For> matching = new ArrayList<>();
        Instant now = clock.instant();
        each(about, kind, sender, NeededData.of(condition.paths().toList()), portion, (to, person) -> {
            Reckoner reckoner = new Reckoner(now, person.zone(), person.workingDays());
            if (new Judge(reckoner, person.context()::value).holds(condition)) {
                matching.add(to);
            }
        });
        return matching;
    }

    /**
     * Gathers everybody a template could go to, in one pass.
     *
     * @param paths what will be asked for; other values may be left out
     * @param some so many of each kind stand for all; 0 for everybody
     * @param progress told how many have been read, now and then
     * @return how many there were
     */
    public int each(
            About about,
            Colleague sender,
            Collection<Path> paths,
            int some,
            Consumer<Person> reading,
            IntConsumer progress) {
        AtomicInteger read = new AtomicInteger();
        // Of very many it takes long to say who they are; range by range it shows soon that nobody waits for it any
        // more.
        List<Portion> portions = some == 0 && many(about) ? Portion.ranges() : List.of(Portion.some(some));
        for (CrmKind kind : AskedRecords.kinds(about)) {
            for (Portion portion : portions) {
                each(about, kind, sender, NeededData.of(paths), portion, (to, person) -> {
                    reading.accept(person);
                    if (read.incrementAndGet() % SAID_AT_LEAST == 0) {
                        progress.accept(read.get());
                    }
                });
            }
        }
        return read.get();
    }

    /** How many people a template could go to. */
    public int total(About about) {
        return Sampling.of(about, true, walk).total();
    }

    /** Whether they are so many that some are asked first. */
    public boolean many(About about) {
        return total(about) > Sampling.FEW;
    }

    @FunctionalInterface
    private interface PersonReader {
        void read(For to, Person person);
    }

    private void each(
            About about, CrmKind kind, Colleague sender, NeededData needs, Portion portion, PersonReader reading) {
        FieldCatalogue catalogue = catalogues.catalogue();
        List<For> everybody = all(about, kind, plain(about, kind, portion), Sql.TRUE);
        List<List<For>> portions = new ArrayList<>();
        for (int from = 0; from < everybody.size(); from += AT_ONCE) {
            portions.add(everybody.subList(from, Math.min(everybody.size(), from + AT_ONCE)));
        }
        // While one portion is read by whoever asked, the next is on its way from the database.
        try (ExecutorService ahead = Executors.newVirtualThreadPerTaskExecutor()) {
            Future<List<Person>> next = null;
            for (int i = 0; i < portions.size(); i++) {
                List<For> some = portions.get(i);
                List<Person> people =
                        next == null ? contexts.people(some, sender, catalogue, about == About.DEAL, needs) : got(next);
                if (i + 1 < portions.size()) {
                    List<For> following = portions.get(i + 1);
                    next = ahead.submit(
                            () -> contexts.people(following, sender, catalogue, about == About.DEAL, needs));
                }
                read(some, people, reading);
            }
        }
    }

    private static List<Person> got(Future<List<Person>> people) {
        try {
            return people.get();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("Stopped while reading people", stopped);
        } catch (ExecutionException failed) {
            throw new IllegalStateException("People could not be read", failed.getCause());
        }
    }

    /** Somebody may have gone meanwhile, so people are not matched by their place. */
    private static void read(List<For> some, List<Person> people, PersonReader reading) {
        int at = 0;
        for (Person person : people) {
            while (!some.get(at).id().equals(person.id())) {
                at++;
            }
            reading.read(some.get(at++), person);
        }
    }

    private List<For> all(About about, CrmKind kind, AskedRecords people, Sql condition) {
        String deal = about == About.DEAL ? people.deal() : "cast(null as uuid)";
        Sql select = Sql.put(
                "select " + people.person() + " as id, " + deal + " as deal_id %s where %s order by p.last_name, p.id"
                        + (about == About.DEAL ? ", d.id" : ""),
                people.from(),
                condition);
        List<For> all = new ArrayList<>();
        for (PersonRow row : mapper.people(select.numbered(), select.values())) {
            all.add(new For(kind, row.id(), row.dealId()));
        }
        return all;
    }

    private int number(Sql sql) {
        return mapper.number(sql.numbered(), sql.values());
    }

    AskedRecords people(About about, CrmKind kind, Colleague sender) {
        return people(about, kind, sender, Portion.ALL);
    }

    /** The same, or some of them. */
    AskedRecords people(About about, CrmKind kind, Colleague sender, Portion portion) {
        FieldCatalogue catalogue = catalogues.catalogue();
        MergeContext constants = contexts.sameForAll(sender, catalogue);
        return new AskedRecords(about, kind, catalogue, catalogues.fields(), constants::value, portion);
    }

    private AskedRecords plain(About about, CrmKind kind, Portion portion) {
        return new AskedRecords(
                about, kind, catalogues.catalogue(), catalogues.fields(), path -> Optional.empty(), portion);
    }
}
