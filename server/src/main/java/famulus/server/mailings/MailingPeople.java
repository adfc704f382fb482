package famulus.server.mailings;

import famulus.core.audience.Audience;
import famulus.core.audience.Candidate;
import famulus.core.audience.Reason;
import famulus.server.lists.ChosenRecords;
import famulus.server.lists.ChosenRecords.ListSelection;
import famulus.server.lists.ChosenRecords.Narrowed;
import famulus.server.mailings.MailingPlan.Who;
import famulus.server.messages.AudienceService;
import famulus.server.messages.AudienceService.Sought;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Finds out who gets a mailing, and who does not and why: the lists, conditions and names of its page, asked of the core. */
@Service
class MailingPeople {
    /** So many can be looked at for one mailing, before anybody is left out. */
    static final int MOST_LOOKED_AT = 2_000;

    private final ChosenRecords chosen;
    private final AudienceService audiences;
    private final RecordService records;

    MailingPeople(ChosenRecords chosen, AudienceService audiences, RecordService records) {
        this.chosen = chosen;
        this.audiences = audiences;
        this.records = records;
    }

    /** Who gets it; nobody where nobody was chosen. Refused where they are too many to be looked at. */
    Audience audience(MailingPlan plan, Colleague asking) {
        Who who = plan.who();
        if (who.nobody()) {
            return new Audience(List.of(), List.of());
        }
        List<UUID> ids = List.copyOf(ids(who, asking));
        return audiences.audience(new Sought(
                who.kind(),
                ids,
                leftOut(who, ids, asking),
                who.restDays(),
                plan.what().topic(),
                who.putBack()));
    }

    /** Whether what was chosen is in our records still. */
    boolean there(MailingPlan plan, UUID key) {
        return !records.names(plan.who().kind(), List.of(key)).isEmpty();
    }

    /**
     * Whether one of them still gets it, a moment before it leaves: what they have chosen since, or what has been written down
     * about their address. Whether they are on a list was settled when the mailing was started.
     */
    Audience still(MailingPlan plan, UUID key) {
        return audiences.audience(new Sought(
                plan.who().kind(),
                List.of(key),
                Map.of(),
                0,
                plan.what().topic(),
                plan.who().putBack()));
    }

    private Set<UUID> ids(Who who, Colleague asking) {
        Set<UUID> ids = new LinkedHashSet<>();
        for (UUID list : who.lists()) {
            ids.addAll(all(who.kind(), new Narrowed("", "", list), asking));
        }
        if (!who.where().isBlank()) {
            ids.addAll(all(who.kind(), new Narrowed("", who.where(), null), asking));
        }
        ids.addAll(records.names(who.kind(), Set.copyOf(who.people())).keySet());
        if (ids.size() > MOST_LOOKED_AT) {
            throw tooMany(ids.size());
        }
        return ids;
    }

    private Set<UUID> all(CrmKind kind, Narrowed narrowed, Colleague asking) {
        int there = chosen.exactly(kind, narrowed, asking);
        if (there > MOST_LOOKED_AT) {
            throw tooMany(there);
        }
        return there == 0
                ? Set.of()
                : Set.copyOf(chosen.ids(new ListSelection(kind, true, List.of(), narrowed), MOST_LOOKED_AT, asking));
    }

    private static Refusal tooMany(int there) {
        return Refusal.because(
                "too-many",
                "These are %,d. A mailing can look through %,d: narrow them down.".formatted(there, MOST_LOOKED_AT));
    }

    private Map<UUID, String> leftOut(Who who, List<UUID> ids, Colleague asking) {
        Map<UUID, String> leftOut = new HashMap<>();
        for (UUID list : who.minus()) {
            audiences.onList(who.kind(), list, ids, asking).forEach(leftOut::putIfAbsent);
        }
        if (!who.minusWhere().isBlank()) {
            chosen.fitting(who.kind(), who.minusWhere(), ids, asking)
                    .forEach(id -> leftOut.putIfAbsent(id, "Left out by a condition of this mailing."));
        }
        return leftOut;
    }

    /** What each was chosen as, in the order of names. */
    static List<UUID> keys(Audience audience) {
        return audience.in().stream().map(Candidate::key).toList();
    }

    /** Those whom it has not gone to. */
    static Audience left(Audience audience, Map<UUID, MailingPerson> known) {
        return new Audience(
                audience.in().stream()
                        .filter(one -> !known.containsKey(one.key())
                                || !known.get(one.key()).state().gone())
                        .toList(),
                audience.out());
    }

    /** Why somebody does not get it, in sentences. */
    static String why(Audience.LeftOut out) {
        return out.reasons().stream().map(Reason::sentence).collect(Collectors.joining(" "));
    }
}
