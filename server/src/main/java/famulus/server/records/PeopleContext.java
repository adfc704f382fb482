package famulus.server.records;

import famulus.core.calendar.WorkingDays;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.MergeContext;
import famulus.core.field.Root;
import famulus.core.merge.MergeSettings;
import famulus.core.salutation.Greeted;
import famulus.server.company.HolidayService;
import famulus.server.company.SalutationService;
import famulus.server.platform.PublicAddress;
import famulus.server.platform.Refusal;
import famulus.server.records.DealMapper.RelatedRow;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Gathers what messages to people can take their values from. */
@Service
public class PeopleContext {
    private static final int MOST_NEARBY = 60;
    private static final UUID NOBODY = new UUID(0, 0);

    private final RecordService records;
    private final PeopleMapper mapper;
    private final DealMapper deals;
    private final TeamService team;
    private final SalutationService salutations;
    private final HolidayService holidays;
    private final HouseFactService facts;
    private final PublicAddress address;
    private final Clock clock;

    PeopleContext(
            RecordService records,
            PeopleMapper mapper,
            DealMapper deals,
            TeamService team,
            SalutationService salutations,
            HolidayService holidays,
            HouseFactService facts,
            PublicAddress address,
            Clock clock) {
        this.address = address;
        this.clock = clock;
        this.records = records;
        this.mapper = mapper;
        this.deals = deals;
        this.team = team;
        this.salutations = salutations;
        this.holidays = holidays;
        this.facts = facts;
    }

    /**
     * Who a message is for.
     *
     * @param deal which of a contact's deals to take values from; null for the newest open one
     * @param also contacts who get the same message and are greeted with them
     */
    public record For(CrmKind kind, UUID id, UUID deal, List<UUID> also) {
        public For {
            also = List.copyOf(also);
        }

        /** For one person alone. */
        public For(CrmKind kind, UUID id, UUID deal) {
            this(kind, id, deal, List.of());
        }
    }

    /**
     * A person and the records around them.
     *
     * @param deal the deal whose values are used; absent when there is none
     * @param organisation the organisation whose values are used; absent when there is none
     * @param otherDeals the person's deals that could be used instead
     * @param addresses the one written to first in front
     * @param locale language and region to write in
     * @param sender who the message is from
     * @param owner who looks after the deal or person; absent for nobody
     * @param workingDays of the country the person is in
     */
    public record Person(
            CrmKind kind,
            UUID id,
            String name,
            String company,
            Optional<UUID> deal,
            Optional<UUID> organisation,
            List<DealChoice> otherDeals,
            List<PersonAddress> addresses,
            Locale locale,
            ZoneId zone,
            UUID sender,
            Optional<UUID> owner,
            WorkingDays workingDays,
            MergeContext context) {

        /** What a merge for this person needs besides the values. */
        public MergeSettings settings(Instant now) {
            return new MergeSettings(locale, zone, now, workingDays, Map.of(), Map.of());
        }
    }

    /** A deal that could be taken. */
    public record DealChoice(UUID id, String name) {}

    /**
     * Gathers a person; refused when they are missing.
     *
     * @param sender who the message goes out as
     * @param closedDeals whether a deal that is lost or placed is taken when no open one is there
     */
    public Person person(For to, Colleague sender, FieldCatalogue catalogue, boolean closedDeals) {
        return person(to, sender, catalogue, closedDeals, NeededData.ALL);
    }

    /**
     * The same.
     *
     * @param needs what will be asked for; the rest of it counts as missing
     */
    public Person person(For to, Colleague sender, FieldCatalogue catalogue, boolean closedDeals, NeededData needs) {
        return people(List.of(to), sender, catalogue, closedDeals, needs).stream()
                .findFirst()
                .orElseThrow(() -> Refusal.missing("This " + to.kind().word()));
    }

    /**
     * Gathers many people at once, in their order; those who are missing are left out.
     *
     * @param needs what will be asked for; the rest of it counts as missing
     */
    public List<Person> people(
            List<For> wanted, Colleague sender, FieldCatalogue catalogue, boolean closedDeals, NeededData needs) {
        return new PeopleLoader(
                        records,
                        mapper,
                        team,
                        salutations.salutations(),
                        holidays,
                        facts.stored(),
                        messageFacts(),
                        clock.instant(),
                        sender,
                        catalogue,
                        closedDeals,
                        needs)
                .people(wanted);
    }

    /** The values that are the same whoever is written to: of the house and the sender. */
    public MergeContext sameForAll(Colleague sender, FieldCatalogue catalogue) {
        return ofAll(sender, catalogue);
    }

    private GatheredValues ofAll(Colleague sender, FieldCatalogue catalogue) {
        GatheredValues values = new GatheredValues(catalogue, (kind, id) -> Map.of());
        values.put(Root.OUR, PeopleLoader.houseFacts(team.house(), facts.stored()));
        values.put(Root.SENDER, PeopleLoader.colleague(sender));
        return values;
    }

    /**
     * Nobody in particular: whatever a message takes from a person, their organisation or their deal is missing, but they can be
     * greeted.
     *
     * @param locale language and region to write in
     * @param message what the message says of itself, by field
     */
    public Person nobody(Colleague sender, FieldCatalogue catalogue, Locale locale, Map<String, String> message) {
        House house = team.house();
        Map<String, String> facts = salutations
                .salutations()
                .of(locale, List.of(new Greeted("", "", "", Optional.empty())))
                .map(greeting -> Map.of("greeting", greeting))
                .orElse(Map.of());
        GatheredValues values = ofAll(sender, catalogue);
        values.put(Root.PERSON, facts);
        values.put(Root.MESSAGE, message);
        return new Person(
                CrmKind.CONTACT,
                NOBODY,
                "",
                "",
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                locale,
                house.zone(),
                sender.id(),
                Optional.empty(),
                holidays.of(house.country()),
                values);
    }

    /** What a message says of itself, as long as it is only looked at. */
    private Map<String, String> messageFacts() {
        return address.pages()
                .map(pages -> PublicAddress.facts(pages, PublicAddress.PROOF, PublicAddress.SHARED_PROOF))
                .orElse(Map.of());
    }

    /** Who owns the records that a message is about. */
    public Set<UUID> owners(For to) {
        return Stream.concat(
                        records.all(to.kind(), List.of(to.id())).values().stream(),
                        to.deal() == null
                                ? Stream.of()
                                : records.all(CrmKind.DEAL, List.of(to.deal())).values().stream())
                .flatMap(record -> record.relation("owner").stream())
                .collect(Collectors.toSet());
    }

    /**
     * Somebody of the same deal or organisation, who can be written to together with a person.
     *
     * @param remark what they are to the deal, or their job; may be empty
     * @param address empty for somebody without one
     */
    public record Nearby(UUID id, String name, String remark, String address) {}

    /** Who else is there at a person’s deal and organisation; those of the deal first, and no more than one looks through. */
    public List<Nearby> nearby(Person person) {
        Map<UUID, RelatedRow> found = new LinkedHashMap<>();
        person.deal().ifPresent(deal -> deals.related("contacts of deal", deal, null, MOST_NEARBY)
                .forEach(row -> found.put(row.id(), row)));
        person.organisation()
                .ifPresent(organisation -> deals.related("contacts of organisation", organisation, null, MOST_NEARBY)
                        .forEach(row -> found.putIfAbsent(row.id(), row)));
        found.remove(person.id());
        Map<UUID, List<PersonAddress>> addresses = records.addresses(found.keySet());
        return found.values().stream()
                .map(row -> nearby(row.id(), row.name(), row.remark(), addresses))
                .toList();
    }

    /** Contacts who get a message too, in the order they are named; those who are missing are left out. */
    public List<Nearby> contacts(List<UUID> wanted) {
        if (wanted.isEmpty()) {
            return List.of();
        }
        Map<UUID, CrmRecord> found = records.all(CrmKind.CONTACT, wanted);
        Map<UUID, List<PersonAddress>> addresses = records.addresses(wanted);
        return wanted.stream()
                .filter(found::containsKey)
                .map(id -> nearby(id, found.get(id).name(), "", addresses))
                .toList();
    }

    private static Nearby nearby(UUID id, String name, String remark, Map<UUID, List<PersonAddress>> addresses) {
        return new Nearby(
                id,
                name,
                remark,
                addresses.getOrDefault(id, List.of()).stream()
                        .findFirst()
                        .map(PersonAddress::address)
                        .orElse(""));
    }

    /** The people of a deal, the main contact first. */
    public List<UUID> contactsOf(UUID deal) {
        return deals.contactsOf(deal).stream()
                .map(DealMapper.MainContact::contactId)
                .toList();
    }
}
