package famulus.bench;

import famulus.core.field.FieldCatalogue;
import famulus.core.field.Path;
import famulus.core.proof.SaidNames;
import famulus.core.prose.WrittenLanguage;
import famulus.server.Famulus;
import famulus.server.messages.CorrespondenceService;
import famulus.server.messages.CorrespondenceService.Writing;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.records.NameLookup;
import famulus.server.records.NameLookup.Saying;
import famulus.server.records.NeededData;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What the checks have to know of a message besides its words: its person, the names it says, and what went to them before;
 * for one person, and for 500. The argument is the folder of the data, which nobody else has open.
 */
public final class GatherBench {
    private static final int TIMES = 200;
    /** A program that has just been started is slower for its first hundreds of answers. */
    private static final int WARM_UP = 600;

    private static final int MANY = 500;
    private static final int TURNS = 20;
    private static final int KNOWN = 20_000;
    /** What most messages say at most: somebody greeted, a colleague, a company, a name left over, and words with capitals. */
    private static final SaidNames SAID = SaidNames.of(
            "Dear Ines, thank you for Monday. Tobias Larkin of Larkfield Orchards has asked the same, and Dov Marchbanks comes"
                    + " along on Friday. The Saltmarsh Hotel is next door. Kind regards, Signe Halloran",
            WrittenLanguage.ENGLISH);

    /** As a message asks for them that names its reader and their company. */
    private static final NeededData NEEDED = NeededData.of(
                    List.of(Path.of("contact.first_name"), Path.of("contact.last_name"), Path.of("organisation.name")))
            .withAddresses();

    private final PeopleContext people;
    private final NameLookup names;
    private final CorrespondenceService correspondence;
    private final FieldCatalogue catalogue;
    private final Colleague sender;
    private final List<UUID> contacts;
    private final Random random = new Random(11);

    private GatherBench(ConfigurableApplicationContext application) {
        this.people = application.getBean(PeopleContext.class);
        this.names = application.getBean(NameLookup.class);
        this.correspondence = application.getBean(CorrespondenceService.class);
        this.catalogue = application.getBean(CatalogueService.class).catalogue();
        this.sender = application.getBean(TeamService.class).all().getFirst();
        this.contacts = new ArrayList<>(application
                .getBean(JdbcTemplate.class)
                .queryForList("select id from contact order by id limit " + KNOWN, UUID.class));
    }

    /** Measures and prints; takes half a minute. */
    public static void main(String[] arguments) {
        try (ConfigurableApplicationContext application = SpringApplication.run(
                Famulus.class,
                "--server.port=0",
                "--famulus.data=" + arguments[0],
                "--famulus.demo=true",
                "--famulus.now=2026-05-04T09:00:00Z")) {
            GatherBench bench = new GatherBench(application);
            bench.measure(1, WARM_UP, TIMES);
            bench.measure(MANY, TURNS / 2, TURNS);
        }
    }

    private void measure(int together, int warmUp, int times) {
        Map<String, List<Double>> took = new LinkedHashMap<>();
        for (int turn = -warmUp; turn < times; turn++) {
            Collections.shuffle(contacts, random);
            List<For> to = contacts.stream()
                    .limit(together)
                    .map(id -> new For(CrmKind.CONTACT, id, null))
                    .toList();
            Map<String, Double> turnTook = gather(to);
            if (turn >= 0) {
                turnTook.forEach((what, ms) ->
                        took.computeIfAbsent(what, any -> new ArrayList<>()).add(ms));
            }
        }
        took.forEach((what, all) -> {
            all.sort(Comparator.naturalOrder());
            System.out.printf(
                    Locale.ROOT,
                    "what checks have to know for %d, %s: median %.1f ms, 95th percentile %.1f ms%n",
                    together,
                    what,
                    TypingBench.percentile(all, 50),
                    TypingBench.percentile(all, 95));
        });
    }

    /** How long each part took, and all of it, in milliseconds. */
    private Map<String, Double> gather(List<For> to) {
        long began = System.nanoTime();
        List<Person> gathered = people.people(to, sender, catalogue, false, NEEDED);
        long known = System.nanoTime();
        names.all(gathered.stream()
                .map(person -> new Saying(SAID, person, sender))
                .toList());
        long named = System.nanoTime();
        correspondence.all(
                gathered.stream()
                        .map(person -> new Writing(person.id(), null, false, null))
                        .toList(),
                sender);
        long done = System.nanoTime();
        Map<String, Double> took = new LinkedHashMap<>();
        took.put("the people", (known - began) / 1e6);
        took.put("the names said", (named - known) / 1e6);
        took.put("what went before", (done - named) / 1e6);
        took.put("all of it", (done - began) / 1e6);
        return took;
    }
}
