package famulus.server.records;

import com.ibm.icu.util.ULocale;
import famulus.core.audience.WhyYouGetThis;
import famulus.core.calendar.WorkingDays;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.RecordKind;
import famulus.core.field.Root;
import famulus.core.salutation.Formality;
import famulus.core.salutation.Greeted;
import famulus.core.salutation.Salutations;
import famulus.server.company.HolidayService;
import famulus.server.records.PeopleContext.DealChoice;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.PeopleMapper.DealRow;
import famulus.server.records.PeopleMapper.HistoryRow;
import famulus.server.records.PeopleMapper.NewestDocument;
import famulus.server.records.PeopleMapper.SharerRow;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/** One gathering of people and all that stands around them, in as many queries for a thousand people as for one. */
final class PeopleLoader {
    private static final Set<String> ZONES = Set.copyOf(ZoneId.getAvailableZoneIds());

    private final RecordService records;
    private final PeopleMapper mapper;
    private final Salutations salutations;
    private final HolidayService holidays;
    private final FieldCatalogue catalogue;
    private final boolean closedDeals;
    private final NeededData needs;
    private final House house;
    private final Map<UUID, Colleague> team;
    private final Map<String, String> houseFacts;
    private final UUID sender;
    private final Map<String, String> senderFacts;
    private final Map<String, String> messageFacts;
    private final Instant now;

    private final Map<UUID, Map<String, String>> teamFacts = new HashMap<>();
    private final Map<UUID, Map<String, String>> organisationFacts = new ConcurrentHashMap<>();
    private final Map<String, WorkingDays> workingDays = new HashMap<>();

    private final Map<UUID, CrmRecord> people = new HashMap<>();
    private Map<UUID, List<DealRow>> dealsOf = Map.of();
    private Map<UUID, CrmRecord> deals = Map.of();
    private Map<UUID, CrmRecord> organisations = Map.of();
    private Map<UUID, List<PersonAddress>> addresses = Map.of();
    private Map<UUID, CrmRecord> also = Map.of();
    private Map<UUID, List<SharerRow>> sharers = Map.of();
    private Map<UUID, HistoryRow> history = Map.of();
    private Map<UUID, NewestDocument> documents = Map.of();

    PeopleLoader(
            RecordService records,
            PeopleMapper mapper,
            TeamService team,
            Salutations salutations,
            HolidayService holidays,
            Map<String, String> houseFacts,
            Map<String, String> messageFacts,
            Instant now,
            Colleague sender,
            FieldCatalogue catalogue,
            boolean closedDeals,
            NeededData needs) {
        this.needs = needs;
        this.messageFacts = messageFacts;
        this.now = now;
        this.records = records;
        this.mapper = mapper;
        this.salutations = salutations;
        this.holidays = holidays;
        this.catalogue = catalogue;
        this.closedDeals = closedDeals;
        this.house = team.house();
        this.team = team.all().stream().collect(Collectors.toMap(Colleague::id, Function.identity()));
        this.houseFacts = houseFacts(house, houseFacts);
        this.sender = sender.id();
        this.senderFacts = colleague(sender);
        this.team.values().forEach(one -> teamFacts.put(one.id(), colleague(one)));
    }

    List<Person> people(List<For> wanted) {
        Map<Boolean, List<For>> madeUp =
                wanted.stream().collect(Collectors.partitioningBy(one -> SampleRecords.is(one.id())));
        read(madeUp.get(false));
        madeUp.get(true).forEach(this::makeUp);
        return wanted.stream()
                .filter(one -> people.containsKey(one.id()))
                .map(this::person)
                .toList();
    }

    /** Puts the made-up person in place with all that stands around them. */
    private void makeUp(For to) {
        LocalDate today = LocalDate.ofInstant(now, house.zone());
        SampleRecords sample = new SampleRecords(catalogue, house, sender, today);
        CrmRecord deal = sample.deal();
        people.put(to.id(), sample.person(to.kind()));
        organisations = with(organisations, sample.organisation());
        deals = with(deals, deal);
        dealsOf = new HashMap<>(dealsOf);
        dealsOf.put(to.id(), List.of(new DealRow(to.id(), deal.id(), deal.name(), true)));
        addresses = new HashMap<>(addresses);
        addresses.put(to.id(), SampleRecords.addresses());
    }

    private static Map<UUID, CrmRecord> with(Map<UUID, CrmRecord> records, CrmRecord one) {
        Map<UUID, CrmRecord> more = new HashMap<>(records);
        more.put(one.id(), one);
        return more;
    }

    private void read(List<For> wanted) {
        Set<UUID> ids = new HashSet<>();
        for (CrmKind kind : List.of(CrmKind.CONTACT, CrmKind.LEAD)) {
            List<UUID> ofKind = wanted.stream()
                    .filter(one -> one.kind() == kind)
                    .map(For::id)
                    .distinct()
                    .toList();
            people.putAll(records.all(kind, ofKind, needs));
            ids.addAll(ofKind);
        }
        if (ids.isEmpty()) {
            return;
        }
        dealsOf = mapper.deals(ids).stream().collect(Collectors.groupingBy(DealRow::contactId));
        Set<UUID> dealIds =
                wanted.stream().map(this::deal).flatMap(Optional::stream).collect(Collectors.toSet());
        deals = records.all(CrmKind.DEAL, dealIds, needs);
        Set<UUID> organisationIds = new HashSet<>();
        people.values().forEach(one -> one.relation("organisation").ifPresent(organisationIds::add));
        deals.values().forEach(one -> one.relation("organisation").ifPresent(organisationIds::add));
        organisations = records.all(CrmKind.ORGANISATION, organisationIds, needs);
        if (needs.addresses()) {
            addresses = records.addresses(ids);
        }
        if (needs.greeting()) {
            also = records.all(
                    CrmKind.CONTACT,
                    wanted.stream()
                            .flatMap(one -> one.also().stream())
                            .distinct()
                            .toList(),
                    needs);
            sharers = mapper.sharers(ids).stream().collect(Collectors.groupingBy(SharerRow::personId));
        }
        if (needs.history()) {
            history = byId(mapper.history(ids), HistoryRow::personId);
        }
        if (needs.documents() && !dealIds.isEmpty()) {
            documents = byId(mapper.documents(dealIds), NewestDocument::dealId);
        }
    }

    private static <T> Map<UUID, T> byId(Collection<T> rows, Function<T, UUID> id) {
        return rows.stream().collect(Collectors.toMap(id, Function.identity()));
    }

    /** The deal asked for, else the newest open one, else, if that is wanted, the newest. */
    private Optional<UUID> deal(For to) {
        if (to.deal() != null) {
            return Optional.of(to.deal());
        }
        return dealsOf.getOrDefault(to.id(), List.of()).stream()
                .filter(deal -> deal.open() || closedDeals)
                .map(DealRow::id)
                .findFirst();
    }

    private Person person(For to) {
        CrmRecord person = people.get(to.id());
        Optional<CrmRecord> deal = deal(to).map(deals::get).filter(Objects::nonNull);
        Optional<CrmRecord> own = person.relation("organisation").map(organisations::get);
        Optional<CrmRecord> organisation = deal.flatMap(one -> one.relation("organisation"))
                .map(organisations::get)
                .or(() -> own);
        List<PersonAddress> theirs = addresses.getOrDefault(to.id(), List.of());
        Optional<String> country = own.map(one -> one.text("country"))
                .or(() -> Optional.of(person.text("country")))
                .filter(one -> !one.isEmpty());
        Locale locale = locale(person, country);
        Map<String, String> facts = facts(person);
        facts.put("full_name", person.name());
        facts.put(
                "company",
                to.kind() == CrmKind.CONTACT ? organisation.map(CrmRecord::name).orElse("") : person.text("company"));
        facts.put("email", theirs.isEmpty() ? "" : theirs.getFirst().address());
        if (needs.greeting()) {
            greeting(person, to.also(), locale).ifPresent(greeting -> facts.put("greeting", greeting));
        }
        GatheredValues values = new GatheredValues(catalogue, this::related);
        values.put(Root.OUR, houseFacts);
        values.put(Root.SENDER, senderFacts);
        values.put(Root.PERSON, facts);
        values.put(to.kind() == CrmKind.CONTACT ? Root.CONTACT : Root.LEAD, facts);
        organisation.ifPresent(one -> values.put(Root.ORGANISATION, organisationFacts(one)));
        deal.ifPresent(one -> values.put(Root.DEAL, facts(one)));
        deal.map(one -> documents.get(one.id())).ifPresent(one -> values.put(Root.DOCUMENT, document(one)));
        Optional<UUID> looksAfter = deal.flatMap(one -> one.relation("owner")).or(() -> person.relation("owner"));
        looksAfter.map(team::get).ifPresent(owner -> values.put(Root.OWNER, teamFacts.get(owner.id())));
        values.put(Root.HISTORY, history(history.get(to.id())));
        ZoneId zone = zone(person);
        Map<String, String> said = message(zone);
        said.put("why_you_get_this", why(person, locale));
        values.put(Root.MESSAGE, said);
        return new Person(
                to.kind(),
                to.id(),
                person.name(),
                facts.get("company"),
                deal.map(CrmRecord::id),
                organisation.map(CrmRecord::id),
                dealsOf.getOrDefault(to.id(), List.of()).stream()
                        .map(one -> new DealChoice(one.id(), one.name()))
                        .toList(),
                theirs,
                locale,
                zone,
                sender,
                looksAfter,
                workingDays.computeIfAbsent(country.orElse(house.country()), holidays::of),
                values);
    }

    /** Whoever gets the message is greeted, and whoever reads it at the same address. */
    private Optional<String> greeting(CrmRecord person, List<UUID> others, Locale locale) {
        List<Greeted> greeted = new ArrayList<>();
        greeted.add(greeted(person));
        others.stream().map(also::get).filter(Objects::nonNull).forEach(one -> greeted.add(greeted(one)));
        sharers.getOrDefault(person.id(), List.of())
                .forEach(one -> greeted.add(greeted(one.title(), one.firstName(), one.lastName(), one.formality())));
        return salutations.of(locale, greeted);
    }

    private static Greeted greeted(CrmRecord person) {
        return greeted(
                person.text("title"), person.text("first_name"), person.text("last_name"), person.text("formality"));
    }

    private static Greeted greeted(String title, String firstName, String lastName, String formality) {
        Optional<Formality> set =
                switch (formality) {
                    case "formal" -> Optional.of(Formality.FORMAL);
                    case "familiar" -> Optional.of(Formality.FAMILIAR);
                    default -> Optional.empty();
                };
        return new Greeted(title, firstName, lastName, set);
    }

    private Map<String, String> related(RecordKind kind, String id) {
        UUID leadsTo = UUID.fromString(id);
        return switch (kind) {
            case USER -> teamFacts.getOrDefault(leadsTo, Map.of());
            case ORGANISATION ->
                organisations.containsKey(leadsTo) ? organisationFacts(organisations.get(leadsTo)) : Map.of();
            default -> Map.of();
        };
    }

    /** Many people share one. */
    private Map<String, String> organisationFacts(CrmRecord organisation) {
        return organisationFacts.computeIfAbsent(organisation.id(), any -> facts(organisation));
    }

    private Map<String, String> facts(CrmRecord record) {
        Map<String, String> facts = new HashMap<>(record.stored());
        record.relation("organisation").ifPresent(to -> {
            facts.put("organisation" + GatheredValues.LEADS_TO, to.toString());
            CrmRecord organisation = organisations.get(to);
            facts.put("organisation", organisation == null ? "" : organisation.name());
        });
        record.relation("owner").map(team::get).ifPresent(owner -> {
            facts.put("owner" + GatheredValues.LEADS_TO, owner.id().toString());
            facts.put("owner", owner.firstName() + "\n" + owner.lastName());
        });
        return facts;
    }

    static Map<String, String> colleague(Colleague who) {
        Map<String, String> facts = new HashMap<>();
        facts.put("first_name", who.firstName());
        facts.put("last_name", who.lastName());
        facts.put("full_name", who.name());
        facts.put("job_title", who.jobTitle());
        facts.put("email", who.email());
        facts.put("phone", who.phone());
        facts.put("signature", who.signature());
        return facts;
    }

    static Map<String, String> houseFacts(House house, Map<String, String> facts) {
        Map<String, String> all = new LinkedHashMap<>(facts);
        all.put("name", house.name());
        all.put("phone", house.phone());
        all.put("website", house.website());
        all.put("street", house.street());
        all.put("postcode", house.postcode());
        all.put("town", house.town());
        return all;
    }

    private static Map<String, String> document(NewestDocument document) {
        Map<String, String> facts = new HashMap<>();
        facts.put("name", document.name());
        facts.put("link", document.link());
        facts.put("state", document.state());
        facts.put("state_on", document.stateOn().toString());
        return facts;
    }

    /** Whoever was never written to has been written to no times, which is a value. */
    private static Map<String, String> history(HistoryRow row) {
        Map<String, String> facts = new HashMap<>();
        facts.put("times_written", row == null ? "0" : String.valueOf(row.timesWritten()));
        facts.put("replied", row != null && row.lastReply() != null ? "yes" : "no");
        facts.put("opened", row != null && row.lastOpened() != null ? "yes" : "no");
        facts.put("clicked", row != null && row.lastClicked() != null ? "yes" : "no");
        facts.put("unsubscribed", row != null && row.unsubscribed() ? "yes" : "no");
        if (row != null) {
            if (row.lastWritten() != null) {
                facts.put("last_written", row.lastWritten().toString());
            }
            if (row.lastReply() != null) {
                facts.put("last_reply", row.lastReply().toString());
            }
            if (row.lastCalled() != null) {
                facts.put("last_called", row.lastCalled().toString());
            }
            if (row.lastOpened() != null) {
                facts.put("last_opened", row.lastOpened().toString());
            }
            if (row.lastClicked() != null) {
                facts.put("last_clicked", row.lastClicked().toString());
                facts.put("clicked_link", row.clickedLink());
            }
        }
        return facts;
    }

    /** The links are the reader's own only once the message leaves. */
    private Map<String, String> message(ZoneId zone) {
        Map<String, String> facts = new HashMap<>(messageFacts);
        facts.put("sent_date", LocalDate.ofInstant(now, zone).toString());
        return facts;
    }

    private String why(CrmRecord person, Locale locale) {
        Optional<LocalDate> since = Optional.of(person.text("permission_on"))
                .filter(day -> !day.isEmpty())
                .map(LocalDate::parse);
        return WhyYouGetThis.sentence(person.text("permission"), since, house.name(), locale);
    }

    /** The person's language, with the region they are in, else the one the language is most at home in. */
    private Locale locale(CrmRecord person, Optional<String> country) {
        String language = person.text("language");
        if (language.isEmpty() || language.equals(house.language())) {
            return house.locale();
        }
        String region = country.orElseGet(
                () -> ULocale.addLikelySubtags(ULocale.forLanguageTag(language)).getCountry());
        return Locale.of(language, region);
    }

    private ZoneId zone(CrmRecord person) {
        String zone = person.text("time_zone");
        return ZONES.contains(zone) ? ZoneId.of(zone) : house.zone();
    }
}
