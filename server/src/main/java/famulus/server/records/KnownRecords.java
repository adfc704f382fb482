package famulus.server.records;

import famulus.core.table.Identity;
import famulus.core.table.Identity.Sameness;
import famulus.server.records.RecordIndexMapper.NamedRow;
import famulus.server.search.SearchIndex;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/** Finds records that are here already, of many at once: by their addresses and names, from the indexes of lists and searches. */
@Service
public class KnownRecords {
    private final ListedRecords listed;
    private final RecordIndexMapper mapper;
    private final SearchIndex search;

    KnownRecords(ListedRecords listed, RecordIndexMapper mapper, SearchIndex search) {
        this.listed = listed;
        this.mapper = mapper;
        this.search = search;
    }

    /**
     * A record that is here already.
     *
     * @param stored what its fields hold, by name
     */
    public record Known(UUID id, String name, Sameness sameness, Map<String, String> stored) {}

    /**
     * Looks for records.
     *
     * @param wanted what each is known by
     * @return for those that were found, by their turn in {@code wanted}; one with the same address comes first
     */
    public Map<Integer, Known> find(CrmKind kind, List<Identity> wanted) {
        Map<String, Set<UUID>> byWord = search.exactly(
                kind.word(),
                wanted.stream().flatMap(one -> one.addresses().stream()).toList());
        Map<String, Set<UUID>> byName =
                named(kind, wanted.stream().map(Identity::name).toList());
        Set<UUID> candidates = new HashSet<>();
        byWord.values().forEach(candidates::addAll);
        byName.values().forEach(candidates::addAll);
        Map<UUID, Listed> records = listed.read(kind, candidates);
        Map<Integer, Known> found = new HashMap<>();
        for (int i = 0; i < wanted.size(); i++) {
            Identity one = wanted.get(i);
            Set<UUID> likely = new LinkedHashSet<>();
            one.addresses().forEach(address -> likely.addAll(byWord.getOrDefault(SearchIndex.word(address), Set.of())));
            likely.addAll(byName.getOrDefault(one.name(), Set.of()));
            for (UUID id : likely) {
                Listed record = records.get(id);
                Optional<Sameness> same = record == null ? Optional.empty() : one.sameAs(identity(record));
                if (same.isPresent()
                        && (!found.containsKey(i)
                                || found.get(i).sameness() == Sameness.NAME && same.get() == Sameness.ADDRESS)) {
                    found.put(
                            i,
                            new Known(
                                    id,
                                    record.record().name(),
                                    same.get(),
                                    record.record().stored()));
                }
            }
        }
        return found;
    }

    /** The organisations of some names, without regard to case and accents; the first one of each. */
    public Map<String, UUID> organisations(Collection<String> folded) {
        Map<String, UUID> found = new HashMap<>();
        named(CrmKind.ORGANISATION, folded)
                .forEach((name, ids) ->
                        found.put(name, ids.stream().sorted().findFirst().orElseThrow()));
        return found;
    }

    /** The contacts with some addresses, which are in small letters. */
    public Map<String, UUID> contacts(Collection<String> addresses) {
        List<String> wanted = List.copyOf(new LinkedHashSet<>(addresses));
        Map<String, UUID> found = new HashMap<>();
        find(
                        CrmKind.CONTACT,
                        wanted.stream()
                                .map(address -> new Identity("", "", List.of(address)))
                                .toList())
                .forEach((at, known) -> found.put(wanted.get(at), known.id()));
        return found;
    }

    /**
     * The contacts with some full names, each within an organisation.
     *
     * @param names the full names, by what they are to be found for
     * @param organisations the organisation of each
     * @return all that each may be
     */
    public <T> Map<T, Set<UUID>> contactsNamed(Map<T, String> names, Function<T, String> organisations) {
        List<T> whose = new ArrayList<>();
        List<Identity> wanted = new ArrayList<>();
        names.forEach(
                (one, name) -> Identity.named(name, organisations.apply(one)).forEach(identity -> {
                    whose.add(one);
                    wanted.add(identity);
                }));
        Map<T, Set<UUID>> found = new HashMap<>();
        find(CrmKind.CONTACT, wanted)
                .forEach((at, known) -> found.computeIfAbsent(whose.get(at), any -> new LinkedHashSet<>())
                        .add(known.id()));
        return found;
    }

    private Map<String, Set<UUID>> named(CrmKind kind, Collection<String> names) {
        List<String> wanted =
                names.stream().filter(name -> !name.isEmpty()).distinct().toList();
        Map<String, Set<UUID>> found = new HashMap<>();
        if (!wanted.isEmpty()) {
            List<String> from = wanted.stream().map(ListPlace::ofName).toList();
            for (NamedRow row : mapper.named(kind.word(), wanted, from)) {
                found.computeIfAbsent(row.name(), any -> new LinkedHashSet<>()).add(ListPlace.record(row.place()));
            }
        }
        return found;
    }

    private static Identity identity(Listed listed) {
        String belongsTo = listed.record().kind() == CrmKind.LEAD ? listed.text("company") : listed.organisation();
        return Identity.of(listed.sortedName(), belongsTo, listed.addresses());
    }
}
