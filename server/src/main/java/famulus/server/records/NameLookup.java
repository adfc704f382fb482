package famulus.server.records;

import famulus.core.proof.KnownNames;
import famulus.core.proof.SaidNames;
import famulus.server.platform.Ids;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.RecordStoreMapper.Belonging;
import famulus.server.search.SearchIndex;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Looks up the names that a message says: whole ones, first and last names, by the index kept with the records. */
@Service
public class NameLookup {
    private static final List<CrmKind> PEOPLE = List.of(CrmKind.CONTACT, CrmKind.LEAD);

    /** No more is read of companies than what they are called. */
    private static final NeededData NAMES = NeededData.of(Set.of());

    private final SearchIndex search;
    private final RecordService records;
    private final RecordStoreMapper store;
    private final TeamService team;

    NameLookup(SearchIndex search, RecordService records, RecordStoreMapper store, TeamService team) {
        this.store = store;
        this.search = search;
        this.records = records;
        this.team = team;
    }

    /**
     * A message whose names are looked up.
     *
     * @param to who it goes to: whoever belongs to the same organisation may be spoken of
     * @param sender who it goes out as
     */
    public record Saying(SaidNames said, Person to, Colleague sender) {}

    /** What is known of the names a message says. */
    public KnownNames of(SaidNames said, Person to, Colleague sender) {
        return all(List.of(new Saying(said, to, sender))).getFirst();
    }

    /** The same of many messages, in their order; so many questions are asked as of one. */
    public List<KnownNames> all(List<Saying> messages) {
        Set<String> wantedParts = wanted(messages, SaidNames::parts);
        Set<String> wantedKeys = wanted(messages, SaidNames::keys);
        Set<String> parts = new HashSet<>();
        PEOPLE.forEach(kind -> parts.addAll(search.known(kind.word(), wantedParts)));
        Map<CrmKind, Named> people = new EnumMap<>(CrmKind.class);
        PEOPLE.forEach(kind -> people.put(kind, named(kind, wantedKeys)));
        Map<UUID, CrmRecord> organisations = records.all(
                CrmKind.ORGANISATION,
                people.values().stream()
                        .flatMap(one ->
                                one.byKey().values().stream().flatMap(ids -> one.firstOrganisation(ids).stream()))
                        .collect(Collectors.toSet()),
                NAMES);
        Map<String, Set<UUID>> companies = search.named(CrmKind.ORGANISATION.word(), wantedKeys);
        List<Colleague> colleagues = team.all();
        return messages.stream()
                .map(message -> {
                    Map<String, String> elsewhere = new HashMap<>();
                    PEOPLE.forEach(kind -> elsewhere.putAll(people.get(kind).elsewhere(kind, message, organisations)));
                    message.said().keys().stream()
                            .filter(companies::containsKey)
                            .filter(key -> message.to()
                                    .organisation()
                                    .filter(companies.get(key)::contains)
                                    .isEmpty())
                            .forEach(key -> elsewhere.put(key, "another organisation"));
                    Set<String> theirs = new HashSet<>(message.said().parts());
                    theirs.retainAll(parts);
                    return new KnownNames(
                            theirs,
                            elsewhere,
                            others(colleagues, message.sender()),
                            message.sender().name());
                })
                .toList();
    }

    private static Set<String> wanted(List<Saying> messages, Function<SaidNames, Collection<String>> which) {
        return messages.stream()
                .flatMap(message -> which.apply(message.said()).stream())
                .collect(Collectors.toSet());
    }

    private static List<String> others(List<Colleague> colleagues, Colleague sender) {
        return colleagues.stream()
                .filter(colleague -> !colleague.id().equals(sender.id()))
                .map(Colleague::name)
                .toList();
    }

    private Named named(CrmKind kind, Set<String> keys) {
        Map<String, Set<UUID>> byKey = search.named(kind.word(), keys);
        Set<UUID> ids = byKey.values().stream().flatMap(Collection::stream).collect(Collectors.toSet());
        return new Named(byKey, kind == CrmKind.CONTACT ? belonging(ids) : Map.of());
    }

    private Map<UUID, UUID> belonging(Set<UUID> contacts) {
        return contacts.isEmpty()
                ? Map.of()
                : store.belonging(contacts).stream()
                        .collect(Collectors.toMap(Belonging::contact, Belonging::organisation));
    }

    /**
     * Those of one kind who have names that are said.
     *
     * @param organisations where each of them belongs, by person; of hundreds of one name no more is read
     */
    private record Named(Map<String, Set<UUID>> byKey, Map<UUID, UUID> organisations) {
        private Map<String, String> elsewhere(CrmKind kind, Saying message, Map<UUID, CrmRecord> companies) {
            Map<String, String> elsewhere = new HashMap<>();
            message.said().keys().stream().filter(byKey::containsKey).forEach(key -> what(
                            kind, byKey.get(key), message.to(), companies)
                    .ifPresent(what -> elsewhere.put(key, what)));
            return elsewhere;
        }

        /** Where the first of some people belongs who belongs anywhere. */
        private Optional<UUID> firstOrganisation(Set<UUID> ids) {
            return ids.stream()
                    .sorted(Ids.ORDER)
                    .map(organisations::get)
                    .filter(Objects::nonNull)
                    .findFirst();
        }

        /** What people of one name are; empty where one of them has to do with the message. */
        private Optional<String> what(CrmKind kind, Set<UUID> ids, Person to, Map<UUID, CrmRecord> companies) {
            boolean theirs = ids.contains(to.id())
                    || to.organisation()
                            .filter(theirOwn ->
                                    ids.stream().map(organisations::get).anyMatch(theirOwn::equals))
                            .isPresent();
            if (theirs) {
                return Optional.empty();
            }
            String what = kind == CrmKind.LEAD ? "a lead" : "a contact";
            return Optional.of(firstOrganisation(ids)
                    .map(companies::get)
                    .map(company -> what + " at " + company.name())
                    .orElse(what));
        }
    }
}
