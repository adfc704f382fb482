package famulus.server.records;

import java.util.Collection;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** All records of a kind, a portion at a time, by identifier. */
@Service
public class RecordPortions {
    private static final int AT_ONCE = 500;

    private final RecordIndexMapper mapper;
    private final RecordService records;
    private final DealMapper deals;

    RecordPortions(RecordIndexMapper mapper, RecordService records, DealMapper deals) {
        this.mapper = mapper;
        this.records = records;
        this.deals = deals;
    }

    /** The identifiers of all records; each portion is read when it is asked for. */
    public Iterable<List<UUID>> of(CrmKind kind) {
        return () -> new Iterator<>() {
            private List<UUID> next = after(null);

            private List<UUID> after(UUID last) {
                return mapper.after(kind.word(), RecordRenewals.Cause.KIND.name(), null, last, AT_ONCE);
            }

            @Override
            public boolean hasNext() {
                return !next.isEmpty();
            }

            @Override
            public List<UUID> next() {
                List<UUID> portion = next;
                next = after(portion.getLast());
                return portion;
            }
        };
    }

    /** Those of some records that are still there. */
    public Map<UUID, CrmRecord> read(CrmKind kind, Collection<UUID> ids) {
        return records.all(kind, ids);
    }

    /** The addresses of some people; of deals the one their main contact is written to. */
    public Map<UUID, List<String>> addresses(CrmKind kind, Collection<UUID> ids) {
        if (kind == CrmKind.ORGANISATION) {
            return Map.of();
        }
        if (kind == CrmKind.DEAL) {
            Map<UUID, UUID> main =
                    mapper.mainContacts(ids).stream().collect(Collectors.toMap(row -> row.dealId(), row -> row.id()));
            Map<UUID, List<String>> theirs = texts(main.values());
            Map<UUID, List<String>> addresses = new HashMap<>();
            main.forEach((deal, contact) -> addresses.put(deal, theirs.getOrDefault(contact, List.of())));
            return addresses;
        }
        return texts(ids);
    }

    private Map<UUID, List<String>> texts(Collection<UUID> people) {
        Map<UUID, List<String>> texts = new HashMap<>();
        records.addresses(people)
                .forEach((id, all) ->
                        texts.put(id, all.stream().map(PersonAddress::address).toList()));
        return texts;
    }

    /** The names of the organisations that some records belong to. */
    public Map<UUID, String> organisations(Collection<CrmRecord> some) {
        Set<UUID> wanted = some.stream()
                .flatMap(record -> record.relation("organisation").stream())
                .collect(Collectors.toSet());
        Map<UUID, String> names = new HashMap<>();
        records.all(CrmKind.ORGANISATION, wanted).forEach((id, one) -> names.put(id, one.name()));
        return names;
    }
}
