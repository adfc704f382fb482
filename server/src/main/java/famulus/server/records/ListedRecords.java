package famulus.server.records;

import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.RecordIndexMapper.PeopleRow;
import famulus.server.records.RecordIndexMapper.WrittenRow;
import famulus.server.records.RecordStoreMapper.AddressRow;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads of many records at once what lists show of them and sort them by. */
@Component
class ListedRecords {
    private final RecordStore store;
    private final RecordIndexMapper mapper;
    private final CatalogueService catalogue;
    private final TeamService team;

    ListedRecords(RecordStore store, RecordIndexMapper mapper, CatalogueService catalogue, TeamService team) {
        this.store = store;
        this.mapper = mapper;
        this.catalogue = catalogue;
        this.team = team;
    }

    /** Those of some records that are there. */
    Map<UUID, Listed> read(CrmKind kind, Collection<UUID> ids) {
        if (ids.isEmpty()) {
            return Map.of();
        }
        List<StoredField> fields = catalogue.fields(kind);
        Map<String, StoredField> byName = fields.stream()
                .collect(Collectors.toMap(field -> field.definition().name(), Function.identity()));
        Map<UUID, CrmRecord> records = store.read(kind, ids, fields);
        Map<UUID, String> organisations = organisations(records.values());
        Map<UUID, String> owners = team.all().stream().collect(Collectors.toMap(Colleague::id, Colleague::firstName));
        Map<UUID, Instant> written = new HashMap<>();
        Map<UUID, List<String>> addresses = Map.of();
        if (kind.isPerson()) {
            for (WrittenRow row : mapper.written(ids)) {
                written.put(row.personId(), row.lastWritten());
            }
            addresses = store.addresses(ids).stream()
                    .collect(Collectors.groupingBy(
                            AddressRow::personId, Collectors.mapping(AddressRow::address, Collectors.toList())));
        }
        Map<UUID, Integer> people = kind == CrmKind.ORGANISATION
                ? mapper.people(ids).stream().collect(Collectors.toMap(PeopleRow::id, PeopleRow::people))
                : Map.of();
        Map<UUID, Listed> listed = new LinkedHashMap<>();
        for (CrmRecord record : records.values()) {
            UUID id = record.id();
            listed.put(
                    id,
                    new Listed(
                            record,
                            byName,
                            record.relation("organisation")
                                    .map(organisations::get)
                                    .orElse(""),
                            record.relation("owner")
                                    .map(owner -> owners.getOrDefault(owner, ""))
                                    .orElse(""),
                            written.get(id),
                            people.getOrDefault(id, 0),
                            addresses.getOrDefault(id, List.of())));
        }
        return listed;
    }

    private Map<UUID, String> organisations(Collection<CrmRecord> records) {
        Set<UUID> wanted = records.stream()
                .flatMap(record -> record.relation("organisation").stream())
                .collect(Collectors.toSet());
        List<StoredField> name = catalogue.fields(CrmKind.ORGANISATION).stream()
                .filter(field -> field.definition().name().equals("name"))
                .toList();
        Map<UUID, String> names = new HashMap<>();
        store.read(CrmKind.ORGANISATION, wanted, name).forEach((id, one) -> names.put(id, one.text("name")));
        return names;
    }
}
