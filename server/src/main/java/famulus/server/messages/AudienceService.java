package famulus.server.messages;

import famulus.core.audience.Audience;
import famulus.core.audience.AudienceRules;
import famulus.core.audience.Candidate;
import famulus.core.audience.ReaderChoice;
import famulus.core.record.PlainLine;
import famulus.server.choices.ReaderChoices;
import famulus.server.choices.Topics;
import famulus.server.donotemail.DoNotEmailService;
import famulus.server.donotemail.DoNotEmailService.Stopped;
import famulus.server.lists.ChosenRecords;
import famulus.server.lists.ChosenRecords.ListSelection;
import famulus.server.lists.RecordLists;
import famulus.server.lists.RecordLists.ShownList;
import famulus.server.messages.CorrespondenceMapper.RefusedRow;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PersonAddress;
import famulus.server.records.PersonSummaries;
import famulus.server.records.PersonSummaries.Reached;
import famulus.server.records.RecordService;
import famulus.server.records.RecordWalk;
import famulus.server.records.RecordWalk.MainContact;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Gathers what is known of people that a message could go to, and asks the core who gets it. */
@Service
public class AudienceService {
    /** So many people can be looked at at once. */
    static final int MOST = 500;

    private static final int MOST_DAYS = 365;
    private static final int LONGEST_REASON = 200;

    private final ChosenRecords chosen;
    private final RecordLists lists;
    private final RecordService records;
    private final RecordWalk walk;
    private final PersonSummaries summaries;
    private final DoNotEmailService doNotEmail;
    private final Topics topics;
    private final ReaderChoices choices;
    private final CorrespondenceMapper correspondence;
    private final TeamService team;
    private final Clock clock;

    AudienceService(
            ChosenRecords chosen,
            RecordLists lists,
            RecordService records,
            RecordWalk walk,
            PersonSummaries summaries,
            DoNotEmailService doNotEmail,
            Topics topics,
            ReaderChoices choices,
            CorrespondenceMapper correspondence,
            TeamService team,
            Clock clock) {
        this.chosen = chosen;
        this.lists = lists;
        this.records = records;
        this.walk = walk;
        this.summaries = summaries;
        this.doNotEmail = doNotEmail;
        this.topics = topics;
        this.choices = choices;
        this.correspondence = correspondence;
        this.team = team;
        this.clock = clock;
    }

    /**
     * Whom a message is meant for.
     *
     * @param minus a list whose people are left out; null for none
     * @param restDays whoever was written to within so many days is left out; 0 for nobody
     * @param topic what the message is about; null for none of our topics
     * @param putBack who gets it in spite of what yields, and why: people, or deals where deals are chosen
     */
    public record Meant(
            ListSelection choice,
            @Schema(nullable = true) UUID minus,
            int restDays,
            @Schema(nullable = true) UUID topic,
            List<PutBack> putBack) {}

    /** Somebody who gets a message in spite of what would keep it from them. */
    public record PutBack(UUID key, String reason) {}

    /** Why each is put back who is; refused where one lacks a reason. */
    public static Map<UUID, String> reasons(List<PutBack> putBack) {
        Map<UUID, String> reasons = new HashMap<>();
        for (PutBack one : putBack) {
            PlainLine.refusal(one.reason(), LONGEST_REASON, true).ifPresent(sentence -> {
                throw Refusal.field("reason", sentence);
            });
            reasons.put(one.key(), one.reason().strip());
        }
        return reasons;
    }

    /** Whether messages to those of a kind go to several at once; what is about a deal of its reader is one of its own. */
    public static boolean toSeveral(CrmKind kind) {
        return kind != CrmKind.DEAL;
    }

    /** Whom a message goes to who was chosen as one of a kind, and about which deal. */
    public static For to(Candidate candidate, CrmKind chosen) {
        return new For(
                chosen == CrmKind.DEAL ? CrmKind.CONTACT : chosen,
                candidate.person().orElseThrow(),
                candidate.about().orElse(null));
    }

    /**
     * Whom a message is sought for, record by record.
     *
     * @param leftOut why some of them are left out, in sentences
     * @param putBack who gets it in spite of what yields, and why
     */
    public record Sought(
            CrmKind kind, List<UUID> ids, Map<UUID, String> leftOut, int restDays, UUID topic, List<PutBack> putBack) {}

    /** Who gets a message, and who does not; refused where they are too many to be looked at. */
    public Audience audience(Meant meant, Colleague asking) {
        CrmKind kind = meant.choice().kind();
        mustBeWrittenTo(kind);
        List<UUID> ids = chosen.ids(meant.choice(), MOST, asking);
        Map<UUID, String> leftOut = meant.minus() == null ? Map.of() : onList(kind, meant.minus(), ids, asking);
        return audience(new Sought(kind, ids, leftOut, meant.restDays(), meant.topic(), meant.putBack()));
    }

    /** Refused for records that nobody can write to. */
    public static void mustBeWrittenTo(CrmKind kind) {
        if (kind == CrmKind.ORGANISATION) {
            throw Refusal.because("no-people", "Choose contacts, leads or deals: messages go to people.");
        }
    }

    /** Who gets a message of those that were found, and who does not. */
    public Audience audience(Sought sought) {
        CrmKind kind = sought.kind();
        House house = team.house();
        LocalDate today = clock.instant().atZone(house.zone()).toLocalDate();
        AudienceRules rules = new AudienceRules(
                today,
                Math.clamp(sought.restDays(), 0, MOST_DAYS),
                !toSeveral(kind),
                Optional.ofNullable(sought.topic())
                        .map(topics::get)
                        .map(topic -> new AudienceRules.Topic(topic.id(), topic.name())),
                reasons(sought.putBack()).keySet());
        return Audience.of(candidates(kind, sought.ids(), sought.leftOut(), house), rules);
    }

    private List<Candidate> candidates(CrmKind kind, List<UUID> ids, Map<UUID, String> leftOut, House house) {
        Map<UUID, UUID> people = people(kind, ids);
        Map<UUID, String> chosenNames = records.names(kind, ids);
        Map<UUID, String> names = kind == CrmKind.DEAL ? records.names(CrmKind.CONTACT, people.values()) : chosenNames;
        Map<UUID, List<PersonAddress>> addresses = records.addresses(people.values());
        Map<UUID, Reached> reached = summaries.reached(people.values());
        Map<UUID, ReaderChoice> choices = this.choices.of(people.values());
        Map<UUID, String> refused = correspondence.refused(people.values()).stream()
                .collect(Collectors.toMap(RefusedRow::personId, RefusedRow::address));
        Map<String, Stopped> stopped = doNotEmail.stopped(first(addresses.values()));
        List<Candidate> candidates = new ArrayList<>();
        for (UUID id : ids) {
            Optional<UUID> person = Optional.ofNullable(people.get(id)).filter(names::containsKey);
            Optional<String> address = person.flatMap(one ->
                            addresses.getOrDefault(one, List.of()).stream().findFirst())
                    .map(PersonAddress::address);
            Optional<Reached> summary = person.map(reached::get);
            candidates.add(new Candidate(
                    id,
                    person,
                    person.map(names::get).orElse(chosenNames.get(id)),
                    address,
                    kind == CrmKind.DEAL ? Optional.of(id) : Optional.empty(),
                    address.filter(stopped::containsKey)
                            .map(one -> stopped.get(one).sentence(one)),
                    person.map(refused::get).equals(address) && address.isPresent(),
                    person.map(choices::get).orElse(ReaderChoice.NONE),
                    summary.map(Reached::lastWritten)
                            .map(at -> at.atZone(house.zone()).toLocalDate()),
                    summary.map(Reached::lastToSeveral)
                            .map(at -> at.atZone(house.zone()).toLocalDate()),
                    Optional.ofNullable(leftOut.get(id))));
        }
        return candidates;
    }

    private static List<String> first(Collection<List<PersonAddress>> addresses) {
        return addresses.stream().map(one -> one.getFirst().address()).toList();
    }

    /** Who each of what is chosen goes to. */
    private Map<UUID, UUID> people(CrmKind kind, List<UUID> ids) {
        Map<UUID, UUID> people = new HashMap<>();
        if (kind == CrmKind.DEAL) {
            for (MainContact main : walk.mainContacts(ids).values()) {
                people.put(main.dealId(), main.id());
            }
        } else {
            ids.forEach(id -> people.put(id, id));
        }
        return people;
    }

    /** Why those are left out that are on a list, or whose main contact is; each of what was chosen with a sentence. */
    public Map<UUID, String> onList(CrmKind kind, UUID list, List<UUID> ids, Colleague asking) {
        ShownList shown = lists.list(list, asking);
        CrmKind listed = shown.kind();
        String why = "On the list “" + shown.name() + "”.";
        if (listed == kind) {
            return chosen.onList(list, ids, asking).stream().collect(Collectors.toMap(id -> id, id -> why));
        }
        if (kind == CrmKind.DEAL && listed == CrmKind.CONTACT) {
            Map<UUID, UUID> people = people(kind, ids);
            Set<UUID> on = chosen.onList(list, people.values(), asking);
            return people.entrySet().stream()
                    .filter(one -> on.contains(one.getValue()))
                    .collect(Collectors.toMap(Map.Entry::getKey, one -> why));
        }
        throw Refusal.field("minus", "This is a list of " + listed.word() + "s. Choose one of " + kind.word() + "s.");
    }
}
