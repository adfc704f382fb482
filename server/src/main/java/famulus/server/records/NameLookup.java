package famulus.server.records;

import famulus.core.proof.KnownNames;
import famulus.core.proof.SaidNames;
import famulus.server.records.PeopleContext.Person;
import famulus.server.search.SearchIndex;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Looks up the names that a message says: whole ones, first and last names, by the index kept with the records. */
@Service
public class NameLookup {
    private static final List<CrmKind> PEOPLE = List.of(CrmKind.CONTACT, CrmKind.LEAD);

    private final SearchIndex search;
    private final RecordService records;
    private final TeamService team;

    NameLookup(SearchIndex search, RecordService records, TeamService team) {
        this.search = search;
        this.records = records;
        this.team = team;
    }

    /**
     * What is known of the names a message says.
     *
     * @param to who it goes to: whoever belongs to the same organisation may be spoken of
     * @param sender who it goes out as
     */
    public KnownNames of(SaidNames said, Person to, Colleague sender) {
        Set<String> parts = new HashSet<>();
        PEOPLE.forEach(kind -> parts.addAll(search.known(kind.word(), said.parts())));
        Map<String, String> elsewhere = new HashMap<>();
        for (CrmKind kind : PEOPLE) {
            search.named(kind.word(), said.keys())
                    .forEach((key, ids) -> person(kind, ids, to).ifPresent(what -> elsewhere.put(key, what)));
        }
        search.named(CrmKind.ORGANISATION.word(), said.keys()).forEach((key, ids) -> {
            if (to.organisation().filter(ids::contains).isEmpty()) {
                elsewhere.put(key, "another organisation");
            }
        });
        return new KnownNames(
                parts,
                elsewhere,
                team.all().stream()
                        .filter(colleague -> !colleague.id().equals(sender.id()))
                        .map(Colleague::name)
                        .toList(),
                sender.name());
    }

    /** What people of one name are; empty where one of them has to do with the message. */
    private Optional<String> person(CrmKind kind, Collection<UUID> ids, Person to) {
        if (ids.contains(to.id())) {
            return Optional.empty();
        }
        Map<UUID, CrmRecord> found = records.all(kind, ids);
        Set<UUID> organisations = found.values().stream()
                .flatMap(one -> one.relation("organisation").stream())
                .collect(Collectors.toSet());
        if (found.isEmpty() || to.organisation().filter(organisations::contains).isPresent()) {
            return Optional.empty();
        }
        String company = records.all(CrmKind.ORGANISATION, organisations).values().stream()
                .map(CrmRecord::name)
                .findFirst()
                .orElse("");
        String what = kind == CrmKind.LEAD ? "a lead" : "a contact";
        return Optional.of(company.isEmpty() ? what : what + " at " + company);
    }
}
