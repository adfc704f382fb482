package famulus.server.demo;

import famulus.core.field.FieldType;
import famulus.core.search.Occasion;
import famulus.server.choices.Topics;
import famulus.server.choices.Topics.TypedTopic;
import famulus.server.demo.DemoMessages.Wish;
import famulus.server.demo.DemoRecords.Grower;
import famulus.server.demo.DemoRecords.Placement;
import famulus.server.folders.FolderRights;
import famulus.server.folders.FolderService;
import famulus.server.library.Draft;
import famulus.server.library.SignatureService;
import famulus.server.library.StarterService;
import famulus.server.library.Template;
import famulus.server.library.TemplateOccasions;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateTags;
import famulus.server.library.VariantService;
import famulus.server.lists.RecordLists;
import famulus.server.mailings.MailingService;
import famulus.server.materials.FeedService;
import famulus.server.materials.HouseStyleService;
import famulus.server.materials.PictureService;
import famulus.server.platform.FamulusProperties;
import famulus.server.reading.ReadingService;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.records.DealService;
import famulus.server.records.HistoryService;
import famulus.server.records.HouseFactService;
import famulus.server.records.HouseFactService.TypedFact;
import famulus.server.records.PipelineService;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import famulus.server.team.Teams;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Fills an empty database with the made-up company, once. */
@Component
@ConditionalOnProperty(name = "famulus.demo", havingValue = "true")
@Order(1)
class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final long SEED = 20_260_504;
    private static final int MESSAGES = 260;

    private static final int DESIGNED_MESSAGES = 60;

    /** The growers that most pages show first have not got the mailing. */
    private static final int LATER_GROWERS = 90;

    private static final int MAILED = 26;
    /** The newest templates have not been written from yet. */
    private static final int USED_SO_FAR = 10;
    /** The designs that the team has started templates from. */
    private static final Map<String, String> STARTED = Map.of(
            "quote-cover", "Quote with its lines",
            "delivery-notice", "Delivery notice",
            "welcome", "Welcome",
            "seasons-greeting", "Season’s greeting",
            "after-a-visit", "After a visit",
            "won-back", "Long time no word");

    private final TeamService team;
    private final Topics topics;
    private final MailingService mailings;
    private final CatalogueService catalogue;
    private final PipelineService pipeline;
    private final HouseFactService facts;
    private final RecordService records;
    private final DealService deals;
    private final HistoryService history;
    private final TemplateService templates;
    private final SignatureService signatures;
    private final FeedService feeds;
    private final VariantService variants;
    private final HouseStyleService styles;
    private final PictureService pictures;
    private final StarterService starters;
    private final DemoMessages messages;
    private final ReadingService deliveries;
    private final TransactionTemplate transactions;
    private final FolderService folders;
    private final RecordLists lists;
    private final FolderRights folderRights;
    private final Teams teams;
    private final TemplateTags tags;
    private final TemplateOccasions occasions;
    private final Clock clock;
    private final FamulusProperties properties;

    DemoData(
            TeamService team,
            CatalogueService catalogue,
            PipelineService pipeline,
            HouseFactService facts,
            RecordService records,
            DealService deals,
            HistoryService history,
            TemplateService templates,
            SignatureService signatures,
            FeedService feeds,
            VariantService variants,
            HouseStyleService styles,
            PictureService pictures,
            StarterService starters,
            DemoMessages messages,
            ReadingService deliveries,
            TransactionTemplate transactions,
            FolderService folders,
            RecordLists lists,
            FolderRights folderRights,
            Teams teams,
            TemplateTags tags,
            TemplateOccasions occasions,
            Clock clock,
            FamulusProperties properties,
            Topics topics,
            MailingService mailings) {
        this.mailings = mailings;
        this.topics = topics;
        this.tags = tags;
        this.occasions = occasions;
        this.team = team;
        this.catalogue = catalogue;
        this.pipeline = pipeline;
        this.facts = facts;
        this.records = records;
        this.deals = deals;
        this.history = history;
        this.templates = templates;
        this.signatures = signatures;
        this.feeds = feeds;
        this.variants = variants;
        this.styles = styles;
        this.pictures = pictures;
        this.starters = starters;
        this.messages = messages;
        this.deliveries = deliveries;
        this.transactions = transactions;
        this.folders = folders;
        this.lists = lists;
        this.folderRights = folderRights;
        this.teams = teams;
        this.clock = clock;
        this.properties = properties;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (team.firstRun()) {
            // All or nothing: a demo that was stopped half-way begins anew.
            Instant start = properties.now() == null ? clock.instant() : properties.now();
            transactions.executeWithoutResult(status -> make(new Seeded(SEED), start));
            LOG.info("The demo's data have been made.");
        }
    }

    private void make(Seeded chance, Instant now) {
        team.keep(DemoTeam.HOUSE);
        deliveries.count(true);
        DemoTeam people = DemoTeam.of(chance);
        people.all().forEach(one -> team.keepWithoutPassword(one, now));
        DemoFields.add(catalogue);
        DemoFields.settle(pipeline);
        facts.add(new TypedFact("Hives kept", FieldType.NUMBER, "2400", day(now, 40), 12));
        facts.add(new TypedFact("Usual rate", FieldType.MONEY, "50 GBP", day(now, 110), 12));
        facts.add(new TypedFact("Liability cover", FieldType.MONEY, "5000000 GBP", day(now, 300), 12));
        facts.add(new TypedFact(
                "Price list", FieldType.LINK, "https://brindlewing.example/prices/2026.html", day(now, 60), null));
        facts.add(new TypedFact(
                "Booking calendar", FieldType.LINK, "https://brindlewing.example/calendar", day(now, 60), null));
        DemoRecords made = new DemoRecords(records, deals, history, people, chance, now);
        List<Placement> placements = made.make();
        records.listAll();
        new DemoCupboard(styles, pictures, new Seeded(SEED + 1)).fill(people.oriel(), made.ago(200));
        List<UUID> kept = new ArrayList<>();
        List<Draft> drafts = new ArrayList<>(DemoTemplates.all());
        starters.all().stream()
                .filter(starter -> STARTED.containsKey(starter.name()))
                .forEach(starter -> drafts.add(starter.draft().named(STARTED.get(starter.name()))));
        topics.keep(
                Set.of(),
                List.of(
                        topic("Season news", "Neues zur Saison", "Nouvelles de la saison"),
                        topic("Prices and offers", "Preise und Angebote", "Prix et offres"),
                        topic("Open days", "Tage der offenen Tür", "Portes ouvertes")),
                people.oriel());
        DemoLists.make(lists, people, made.growers(), new Seeded(SEED + 5));
        DemoFolders shelves = DemoFolders.make(folders, folderRights, teams, people, new Seeded(SEED + 4));
        shelves.keepInTheNorth("Hive in snow", pictures);
        for (int i = 0; i < drafts.size(); i++) {
            UUID id = chance.id();
            // The one with a slip in it is not ready, and so is seen by whose it is: the rep that most sign in as.
            Colleague owner = drafts.get(i).name().equals(DemoTemplates.WITH_A_SLIP)
                    ? people.signe()
                    : i % 3 == 0 ? people.oriel() : i % 3 == 1 ? people.signe() : people.dov();
            templates.keep(id, drafts.get(i), shelves.of(drafts.get(i), owner), owner.id(), made.ago(20 + 13 * i));
            kept.add(id);
        }
        DemoFolders.TAGGED.forEach((tag, names) -> tags.tag(
                names.stream().map(name -> named(name, drafts, kept)).toList(),
                List.of(tag),
                List.of(),
                people.oriel()));
        DemoFolders.MONTHS.forEach((name, months) ->
                occasions.set(named(name, drafts, kept), new Occasion(months, Set.of(), Set.of()), people.oriel()));
        Seeded own = new Seeded(SEED + 2);
        UUID payment = own.id();
        UUID frost = own.id();
        UUID signature = own.id();
        templates.keep(
                payment,
                DemoKeptTexts.payment(),
                FolderRights.EVERYONE,
                people.oriel().id(),
                made.ago(120));
        templates.keep(
                frost,
                DemoKeptTexts.frost(),
                FolderRights.EVERYONE,
                people.oriel().id(),
                made.ago(118));
        templates.keep(
                signature,
                DemoKeptTexts.signature(),
                FolderRights.EVERYONE,
                people.oriel().id(),
                made.ago(116));
        templates.keep(
                own.id(),
                DemoKeptTexts.terms(payment, frost),
                FolderRights.EVERYONE,
                people.signe().id(),
                made.ago(100));
        feeds.keep(own.id(), resource("/demo/feeds/hollinbud-weekly.xml"), people.oriel(), made.ago(2));
        signatures.choose(signature, false, people.oriel());
        variants.join(named("After a call", drafts, kept), "en", named("Nach dem Telefonat", drafts, kept), "de");
        List<Template> usable =
                kept.stream().limit(USED_SO_FAR).map(templates::any).toList();
        Grower first = made.growers().getFirst();
        List<Wish> wishes = new ArrayList<>();
        wishes.add(new Wish(chance.id(), usable.get(2), first, null, made.ago(20)));
        wishes.add(new Wish(chance.id(), usable.get(3), first, placements.get(0).id(), made.ago(12)));
        wishes.add(new Wish(chance.id(), usable.get(3), first, placements.get(1).id(), made.ago(4)));
        for (int i = 0; i < MESSAGES; i++) {
            DemoMessages.wish(chance, made, placements, usable).ifPresent(wishes::add);
        }
        messages.write(wishes, message -> {});
        Seeded readers = new Seeded(SEED + 3);
        DemoReadings readings = new DemoReadings(deliveries, readers, now);
        List<Template> designed = Stream.of("Welcome", "Long time no word", "Season’s greeting")
                .map(name -> templates.any(named(name, drafts, kept)))
                .toList();
        List<Wish> designedWishes = new ArrayList<>();
        designedWishes.add(new Wish(readers.id(), designed.getFirst(), first, null, made.ago(9)));
        for (int i = 0; i < DESIGNED_MESSAGES; i++) {
            DemoMessages.wish(readers, made, placements, designed).ifPresent(designedWishes::add);
        }
        messages.write(
                designedWishes,
                wish -> readings.read(
                        wish.id(), wish.grower().id(), wish.at(), wish.grower().equals(first)));
        mail(made, designed.getLast(), named("Season opener", drafts, kept), people, readings);
    }

    /** One mailing that went out weeks ago, and one that is being written. */
    private void mail(DemoRecords made, Template greeting, UUID opener, DemoTeam people, DemoReadings readings) {
        Seeded own = new Seeded(SEED + 6);
        UUID greetings = own.id();
        Instant at = made.ago(100);
        List<Wish> wished = made.growers().stream()
                .skip(LATER_GROWERS)
                .filter(grower -> grower.farm().land().language().equals(DemoMessages.language(greeting)))
                .limit(MAILED)
                .map(grower -> new Wish(own.id(), greeting, grower, null, at, greetings))
                .toList();
        List<Wish> went = new ArrayList<>();
        messages.write(wished, went::add);
        mailings.keepSent(
                greetings,
                "Greetings of the season",
                DemoMailings.greetings(greeting.id()),
                people.signe(),
                at,
                went.stream().map(Wish::id).toList());
        went.forEach(wish -> readings.read(wish.id(), wish.grower().id(), wish.at(), true));
        UUID apples = lists.all(CrmKind.CONTACT, people.signe()).stream()
                .filter(list -> list.name().equals(DemoLists.APPLES))
                .findFirst()
                .orElseThrow()
                .id();
        UUID news = topics.all().getFirst().id();
        mailings.keep(own.id(), "Before blossom, apples", DemoMailings.blossom(apples, opener, news), people.signe());
    }

    private static String resource(String name) {
        try (InputStream in = DemoData.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    private static UUID named(String name, List<Draft> drafts, List<UUID> kept) {
        for (int i = 0; i < drafts.size(); i++) {
            if (drafts.get(i).name().equals(name)) {
                return kept.get(i);
            }
        }
        throw new IllegalStateException("No template is called " + name);
    }

    private static TypedTopic topic(String name, String german, String french) {
        return new TypedTopic(null, name, Map.of("de", german, "fr", french));
    }

    private static String day(Instant now, int daysAgo) {
        return now.minus(Duration.ofDays(daysAgo))
                .atZone(DemoTeam.HOUSE.zone())
                .toLocalDate()
                .toString();
    }
}
