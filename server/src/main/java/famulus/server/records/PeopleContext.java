package famulus.server.records;

import com.ibm.icu.util.ULocale;
import famulus.core.merge.FieldCatalogue;
import famulus.core.merge.FieldDefinition;
import famulus.core.merge.MergeContext;
import famulus.core.merge.Path;
import famulus.core.merge.RecordKind;
import famulus.core.merge.Root;
import famulus.core.merge.Value;
import famulus.core.record.StoredValue;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Gathers what a message to one person can take its values from. */
@Service
public class PeopleContext {
    /** Under this name a record's facts keep whose they are, beside the owner's printed name. */
    private static final String OWNER_ID = "owner id";

    private final RecordService records;
    private final DealMapper deals;
    private final TeamService team;

    PeopleContext(RecordService records, DealMapper deals, TeamService team) {
        this.records = records;
        this.deals = deals;
        this.team = team;
    }

    /**
     * A person and the records around them.
     *
     * @param deal the deal whose values are used; absent when there is none
     * @param otherDeals the person's deals that could be used instead
     * @param addresses the one written to first in front
     * @param locale language and region to write in
     */
    public record Person(
            CrmKind kind,
            UUID id,
            String name,
            String company,
            Optional<UUID> deal,
            List<DealChoice> otherDeals,
            List<PersonAddress> addresses,
            Locale locale,
            ZoneId zone,
            MergeContext context) {}

    /** A deal that could be taken. */
    public record DealChoice(UUID id, String name) {}

    /**
     * Gathers a person.
     *
     * @param deal which of a contact's deals to use; null takes the newest open one
     * @param sender who the message goes out as
     */
    public Person person(CrmKind kind, UUID id, UUID deal, Colleague sender, FieldCatalogue catalogue) {
        CrmRecord person = records.get(kind, id);
        House house = team.house();
        List<PersonAddress> addresses = records.addresses(id);
        List<DealChoice> choices = kind == CrmKind.CONTACT
                ? deals.dealsOf(id).stream()
                        .map(one -> new DealChoice(one.id(), one.name()))
                        .toList()
                : List.of();
        Optional<UUID> taken = deal != null
                ? Optional.of(deal)
                : choices.stream().map(DealChoice::id).findFirst();
        Optional<CrmRecord> dealRecord = taken.map(one -> records.get(CrmKind.DEAL, one));
        Optional<CrmRecord> organisation = dealRecord
                .flatMap(one -> one.relation("organisation"))
                .or(() -> person.relation("organisation"))
                .map(one -> records.get(CrmKind.ORGANISATION, one));
        Gathered gathered = new Gathered(catalogue);
        gathered.put(Root.HOUSE, house(house));
        gathered.put(Root.SENDER, colleague(sender));
        organisation.ifPresent(one -> gathered.put(Root.ORGANISATION, facts(one)));
        dealRecord.ifPresent(one -> gathered.put(Root.DEAL, facts(one)));
        dealRecord
                .flatMap(one -> one.relation("owner"))
                .or(() -> person.relation("owner"))
                .flatMap(team::find)
                .ifPresent(owner -> gathered.put(Root.OWNER, colleague(owner)));
        Map<String, String> facts =
                person(person, addresses, organisation.map(CrmRecord::name).orElse(""));
        gathered.put(Root.PERSON, facts);
        gathered.put(kind == CrmKind.CONTACT ? Root.CONTACT : Root.LEAD, facts);
        return new Person(
                kind,
                id,
                person.name(),
                facts.get("company"),
                taken,
                choices,
                addresses,
                locale(person, organisation, house),
                zone(person, house),
                gathered);
    }

    /** The people of a deal, the main contact first. */
    public List<UUID> contactsOf(UUID deal) {
        return deals.contactsOf(deal).stream()
                .map(DealMapper.MainContact::contactId)
                .toList();
    }

    private Map<String, String> facts(CrmRecord record) {
        Map<String, String> facts = new HashMap<>(record.stored());
        record.relation("owner").flatMap(team::find).ifPresent(owner -> {
            facts.put("owner", owner.firstName() + "\n" + owner.lastName());
            facts.put(OWNER_ID, owner.id().toString());
        });
        return facts;
    }

    private Map<String, String> person(CrmRecord person, List<PersonAddress> addresses, String organisation) {
        Map<String, String> facts = facts(person);
        facts.put("full_name", person.name());
        facts.put("company", person.kind() == CrmKind.CONTACT ? organisation : person.text("company"));
        facts.put("email", addresses.isEmpty() ? "" : addresses.getFirst().address());
        return facts;
    }

    private static Map<String, String> colleague(Colleague who) {
        return Map.of(
                "first_name",
                who.firstName(),
                "last_name",
                who.lastName(),
                "full_name",
                who.name(),
                "job_title",
                who.jobTitle(),
                "email",
                who.email(),
                "phone",
                who.phone(),
                "signature",
                who.signature());
    }

    private static Map<String, String> house(House house) {
        return Map.of(
                "name",
                house.name(),
                "phone",
                house.phone(),
                "website",
                house.website(),
                "street",
                house.street(),
                "postcode",
                house.postcode(),
                "town",
                house.town());
    }

    /** The person's language, with the region of their organisation, else the one the language is most at home in. */
    private static Locale locale(CrmRecord person, Optional<CrmRecord> organisation, House house) {
        String language = person.text("language");
        if (language.isEmpty() || language.equals(house.language())) {
            return house.locale();
        }
        String region = organisation
                .map(one -> one.text("country"))
                .filter(one -> !one.isEmpty())
                .orElseGet(() -> ULocale.addLikelySubtags(ULocale.forLanguageTag(language))
                        .getCountry());
        return Locale.of(language, region);
    }

    private static ZoneId zone(CrmRecord person, House house) {
        String zone = person.text("time_zone");
        return ZoneId.getAvailableZoneIds().contains(zone) ? ZoneId.of(zone) : house.zone();
    }

    /** Looks values up in the records that were gathered. */
    private final class Gathered implements MergeContext {
        private final FieldCatalogue catalogue;
        private final Map<Root, Map<String, String>> roots = new HashMap<>();

        private Gathered(FieldCatalogue catalogue) {
            this.catalogue = catalogue;
        }

        private void put(Root root, Map<String, String> facts) {
            roots.put(root, facts);
        }

        @Override
        public Optional<Value> value(Path path) {
            Optional<Root> root = Root.of(path).filter(roots::containsKey);
            if (root.isEmpty() || path.words().size() < 2) {
                return Optional.empty();
            }
            Map<String, String> facts = roots.get(root.get());
            RecordKind kind = root.get().kind();
            for (int step = 1; step < path.words().size(); step++) {
                Optional<FieldDefinition> field =
                        catalogue.field(kind, path.words().get(step));
                if (field.isEmpty()) {
                    return Optional.empty();
                }
                if (step == path.words().size() - 1) {
                    return StoredValue.of(field.get(), facts.get(field.get().name()));
                }
                if (field.get().relation().isEmpty()) {
                    return Optional.empty();
                }
                facts = follow(facts, field.get());
                kind = field.get().relation().get();
            }
            return Optional.empty();
        }

        /** One step from a record to the one its relation leads to; nothing when it leads nowhere. */
        private Map<String, String> follow(Map<String, String> facts, FieldDefinition relation) {
            boolean user = relation.relation().orElseThrow() == RecordKind.USER;
            String id = facts.getOrDefault(user ? OWNER_ID : relation.name(), "");
            if (id.isEmpty()) {
                return Map.of();
            }
            return user
                    ? team.find(UUID.fromString(id))
                            .map(PeopleContext::colleague)
                            .orElse(Map.of())
                    : facts(records.get(CrmKind.ORGANISATION, UUID.fromString(id)));
        }
    }
}
