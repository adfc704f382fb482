package famulus.server.records;

import famulus.core.field.RecordKind;
import famulus.core.record.EmailAddress;
import famulus.core.record.FieldInput;
import famulus.core.record.PlainLine;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.platform.Revisions;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.RecordRenewals.Cause;
import famulus.server.records.RecordStoreMapper.AddressRow;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads, makes and changes records. */
@Service
public class RecordService {
    /** Under this name changes of records are counted. */
    public static final String COUNTED = "records";

    /** The fields that records are called by. */
    private static final Set<String> NAMING = Set.of("first_name", "last_name", "name");

    private static final int MOST_ADDRESSES = 10;
    private static final int AT_ONCE = 500;
    private static final int MOST_TOLD = 200;

    private final RecordStore store;
    private final CatalogueService catalogue;
    private final TeamService team;
    private final Ids ids;
    private final Clock clock;
    private final Events events;
    private final Revisions revisions;
    private final RecordIndex index;
    private final RecordRenewals renewals;
    private final PersonSummaries summaries;
    private final RecordIndexMapper counts;

    RecordService(
            RecordStore store,
            CatalogueService catalogue,
            TeamService team,
            Ids ids,
            Clock clock,
            Events events,
            Revisions revisions,
            RecordIndex index,
            RecordRenewals renewals,
            PersonSummaries summaries,
            RecordIndexMapper counts) {
        this.index = index;
        this.renewals = renewals;
        this.summaries = summaries;
        this.counts = counts;
        this.revisions = revisions;
        this.store = store;
        this.catalogue = catalogue;
        this.team = team;
        this.ids = ids;
        this.clock = clock;
        this.events = events;
    }

    /** Returns a record, or refuses when it is not there. */
    public CrmRecord get(CrmKind kind, UUID id) {
        return store.read(kind, id, catalogue.fields(kind)).orElseThrow(() -> Refusal.missing("This " + kind.word()));
    }

    /** Several records at once; those that are not there are left out. */
    public Map<UUID, CrmRecord> all(CrmKind kind, Collection<UUID> ids) {
        return all(kind, ids, NeededData.ALL);
    }

    /** The same, with the fields alone that are asked. */
    Map<UUID, CrmRecord> all(CrmKind kind, Collection<UUID> ids, NeededData needs) {
        List<StoredField> fields = catalogue.fields(kind).stream()
                .filter(field -> needs.field(field.definition().name()))
                .toList();
        return store.read(kind, ids, fields);
    }

    /** What several records are called; those that are not there are left out. */
    public Map<UUID, String> names(CrmKind kind, Collection<UUID> ids) {
        List<StoredField> fields = catalogue.fields(kind).stream()
                .filter(field -> NAMING.contains(field.definition().name()))
                .toList();
        return store.read(kind, ids, fields).values().stream()
                .collect(Collectors.toMap(CrmRecord::id, CrmRecord::name));
    }

    /** The addresses of several people, by person, the one written to first in front. */
    public Map<UUID, List<PersonAddress>> addresses(Collection<UUID> people) {
        return store.addresses(people).stream()
                .collect(Collectors.groupingBy(
                        AddressRow::personId, Collectors.mapping(RecordService::address, Collectors.toList())));
    }

    private static PersonAddress address(AddressRow row) {
        return new PersonAddress(row.id(), row.address(), row.label() == null ? "" : row.label());
    }

    /** The people who have an address, contacts and leads. */
    public Set<UUID> peopleAt(String address) {
        return store.peopleAt(address);
    }

    /** A person's addresses, the one written to first in front. */
    public List<PersonAddress> addresses(UUID person) {
        return store.addresses(person).stream().map(RecordService::address).toList();
    }

    /**
     * Makes a record.
     *
     * @param typed what was typed into fields, by their names
     * @param email the first address of a person; may be empty
     */
    @Transactional
    public UUID add(CrmKind kind, Map<String, String> typed, String email) {
        Map<String, String> wrong = new LinkedHashMap<>();
        Map<StoredField, String> stored = read(kind, typed, wrong);
        begin(kind, stored);
        refuseRetired(stored, Map.of(), wrong);
        catalogue.fields(kind).stream()
                .filter(StoredField::required)
                .filter(field -> stored.getOrDefault(field, "").isEmpty())
                .forEach(field -> wrong.putIfAbsent(field.definition().name(), "This can’t be empty."));
        boolean addressed = kind.isPerson() && email != null && !email.isBlank();
        if (addressed) {
            EmailAddress.refusal(email).ifPresent(sentence -> wrong.put("email", sentence));
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        UUID id = ids.next();
        store.insert(kind, id, clock.instant(), stored);
        if (kind.isPerson()) {
            summaries.begin(id);
        }
        if (addressed) {
            store.addresses(kind, id, List.of(new PersonAddress(null, email.strip(), "")));
        }
        index.keep(kind, List.of(id));
        if (kind == CrmKind.CONTACT) {
            moved(Optional.empty(), get(kind, id).relation("organisation"));
        }
        revisions.changed(COUNTED);
        return id;
    }

    /** A record begins with the first of the choices of what has to be chosen: a deal in the first open stage. */
    void begin(CrmKind kind, Map<StoredField, String> stored) {
        for (StoredField field : catalogue.fields(kind)) {
            if (!field.beginning().isEmpty()) {
                stored.putIfAbsent(field, field.beginning());
            }
        }
    }

    private static void refuseRetired(
            Map<StoredField, String> stored, Map<String, String> before, Map<String, String> wrong) {
        stored.forEach((field, text) -> {
            String name = field.definition().name();
            RetiredChoices.refusal(field.definition(), text, before.get(name))
                    .ifPresent(sentence -> wrong.put(name, sentence));
        });
    }

    /**
     * Changes fields of a record.
     *
     * @param version what the record was when it was read; refused when it has changed since
     * @param typed what was typed, by field; an empty text clears a field
     */
    @Transactional
    public void change(CrmKind kind, UUID id, int version, Map<String, String> typed) {
        CrmRecord before = get(kind, id);
        Map<String, String> wrong = new LinkedHashMap<>();
        Map<StoredField, String> stored = read(kind, typed, wrong);
        refuseRetired(stored, before.stored(), wrong);
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        store.update(kind, id, version, stored);
        index.keep(kind, List.of(id));
        follow(before, get(kind, id));
        revisions.changed(COUNTED);
        events.tell("record", id.toString());
    }

    /**
     * Changes one field of many records.
     *
     * @param typed what was typed for each; an empty text clears the field
     * @param done told how many have been changed, now and then
     * @return what the field of each holds now, in its stored form
     */
    @Transactional
    public Map<UUID, String> changeEach(CrmKind kind, String field, Map<UUID, String> typed, IntConsumer done) {
        Map<String, Map<StoredField, String>> read = new HashMap<>();
        Map<UUID, String> now = new LinkedHashMap<>();
        List<UUID> all = List.copyOf(typed.keySet());
        for (int from = 0; from < all.size(); from += AT_ONCE) {
            List<UUID> some = all.subList(from, Math.min(all.size(), from + AT_ONCE));
            Map<UUID, CrmRecord> before = all(kind, some);
            for (CrmRecord record : before.values()) {
                Map<StoredField, String> stored =
                        read.computeIfAbsent(typed.get(record.id()), text -> sound(kind, field, text));
                refuseRetired(stored, record);
                store.update(kind, record.id(), record.version(), stored);
                now.put(record.id(), stored.values().iterator().next());
            }
            index.keep(kind, before.keySet());
            Map<UUID, CrmRecord> after = all(kind, some);
            before.forEach((id, record) -> follow(record, after.get(id)));
            done.accept(now.size());
        }
        revisions.changed(COUNTED);
        // Whoever has one of them open is told; of very many nobody has more than a few open.
        now.keySet().stream().limit(MOST_TOLD).forEach(id -> events.tell("record", id.toString()));
        return now;
    }

    private Map<StoredField, String> sound(CrmKind kind, String field, String text) {
        Map<String, String> wrong = new LinkedHashMap<>();
        Map<StoredField, String> stored = read(kind, Map.of(field, text), wrong);
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        return stored;
    }

    private static void refuseRetired(Map<StoredField, String> stored, CrmRecord before) {
        Map<String, String> wrong = new LinkedHashMap<>();
        refuseRetired(stored, before.stored(), wrong);
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
    }

    /** Puts right what is kept of other records because of this one. */
    void follow(CrmRecord before, CrmRecord now) {
        switch (now.kind()) {
            case CONTACT -> moved(before.relation("organisation"), now.relation("organisation"));
            case DEAL -> {
                if (!before.text("stage").equals(now.text("stage"))) {
                    summaries.dealsOfContactsOf(now.id());
                }
            }
            case ORGANISATION -> {
                if (!before.name().equals(now.name())) {
                    renewals.renew(CrmKind.CONTACT, Cause.ORGANISATION, now.id());
                    renewals.renew(CrmKind.DEAL, Cause.ORGANISATION, now.id());
                }
            }
            case LEAD -> {}
        }
    }

    /** Counts the contacts of the organisations that one has gone from and come to. */
    private void moved(Optional<UUID> from, Optional<UUID> to) {
        if (from.equals(to)) {
            return;
        }
        from.ifPresent(organisation -> counts.peopleBy(organisation, -1));
        to.ifPresent(organisation -> counts.peopleBy(organisation, 1));
        index.keep(
                CrmKind.ORGANISATION,
                Stream.of(from, to).flatMap(Optional::stream).toList());
    }

    /** Fills a field that is missing, whatever else has changed; refused when somebody has filled it meanwhile. */
    @Transactional
    public void fill(CrmKind kind, UUID id, String field, String typed) {
        CrmRecord record = get(kind, id);
        if (!record.text(field).isBlank()) {
            throw Refusal.changedMeanwhile("Somebody has filled this in already: “" + record.text(field) + "”.");
        }
        change(kind, id, record.version(), Map.of(field, typed));
    }

    /** Takes the place of a person's addresses; the first one is written to first. */
    @Transactional
    public void addresses(CrmKind kind, UUID person, List<PersonAddress> addresses) {
        if (!kind.isPerson()) {
            throw Refusal.because("no-person", "Only people have addresses.");
        }
        get(kind, person);
        Map<String, String> wrong = new LinkedHashMap<>();
        Set<String> seen = new HashSet<>();
        Set<UUID> own = new HashSet<>(
                store.addresses(person).stream().map(AddressRow::id).toList());
        for (int i = 0; i < addresses.size(); i++) {
            String field = "addresses." + i;
            PersonAddress address = addresses.get(i);
            EmailAddress.refusal(address.address()).ifPresent(sentence -> wrong.put(field, sentence));
            PlainLine.refusal(address.label(), 40, false).ifPresent(sentence -> wrong.put(field, sentence));
            if (address.address() != null && !seen.add(address.address().strip().toLowerCase(Locale.ROOT))) {
                wrong.put(field, "This address is listed twice.");
            }
        }
        if (addresses.size() > MOST_ADDRESSES) {
            wrong.put("addresses", "A person has at most " + MOST_ADDRESSES + " addresses.");
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        List<PersonAddress> kept = addresses.stream()
                .map(one -> new PersonAddress(
                        own.contains(one.id()) ? one.id() : null, one.address().strip(), one.label()))
                .toList();
        store.addresses(kind, person, kept);
        index.keep(kind, List.of(person));
        revisions.changed(COUNTED);
        events.tell("record", person.toString());
    }

    /**
     * Puts a record in place as it is, stored forms and all; for the demo's data. It stands in no list before
     * {@link #listAll}.
     */
    public void keep(CrmKind kind, UUID id, Instant at, Map<String, String> stored, List<PersonAddress> addresses) {
        Map<StoredField, String> fields = new LinkedHashMap<>();
        catalogue.fields(kind).forEach(field -> {
            if (stored.containsKey(field.definition().name())) {
                fields.put(field, stored.get(field.definition().name()));
            }
        });
        store.insert(kind, id, at, fields);
        store.addresses(kind, id, addresses);
        if (kind.isPerson()) {
            summaries.begin(id);
        }
    }

    /** Gives every record its places in lists and the words it is found by, after some were put in place as they are. */
    public void listAll() {
        index.all();
    }

    private Map<StoredField, String> read(CrmKind kind, Map<String, String> typed, Map<String, String> wrong) {
        House house = team.house();
        Map<String, StoredField> known = new LinkedHashMap<>();
        catalogue.fields(kind).forEach(field -> known.put(field.definition().name(), field));
        Map<StoredField, String> stored = new LinkedHashMap<>();
        typed.forEach((name, text) -> {
            StoredField field = known.get(name);
            if (field == null || field.computed()) {
                wrong.put(name, "This can't be changed here.");
            } else if (field.isRelation()) {
                relation(field, text, stored, wrong);
            } else {
                FieldInput input = FieldInput.read(
                        field.definition(), field.most(), field.required(), text, house.country(), house.currency());
                input.refusal()
                        .ifPresentOrElse(
                                sentence -> wrong.put(name, sentence), () -> stored.put(field, input.stored()));
            }
        });
        return stored;
    }

    private void relation(StoredField field, String text, Map<StoredField, String> stored, Map<String, String> wrong) {
        String name = field.definition().name();
        if (text == null || text.isBlank()) {
            stored.put(field, "");
            return;
        }
        try {
            UUID id = UUID.fromString(text);
            boolean there = field.definition()
                            .relation()
                            .filter(RecordKind.USER::equals)
                            .isPresent()
                    ? team.find(id).isPresent()
                    : store.read(CrmKind.ORGANISATION, id, List.of()).isPresent();
            if (there) {
                stored.put(field, id.toString());
                return;
            }
        } catch (IllegalArgumentException noIdentifier) {
            // Said below, as for one that leads nowhere.
        }
        wrong.put(name, "Choose one from the list.");
    }
}
