package famulus.server.lists;

import famulus.core.condition.Condition;
import famulus.server.lists.RecordFilterService.OfDeals;
import famulus.server.lists.RecordFilterService.Wanted;
import famulus.server.lists.RecordFilterService.Without;
import famulus.server.lists.RecordListMapper.ListRow;
import famulus.server.lists.RecordLists.ShownList;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What a list is made of: its condition, and other lists, which are not made of others themselves. */
@Component
class ListParts {
    private static final int LONGEST_ROLE = 60;

    private final RecordListMapper mapper;
    private final ListRights rights;
    private final ConditionService conditions;

    ListParts(RecordListMapper mapper, ListRights rights, ConditionService conditions) {
        this.mapper = mapper;
        this.rights = rights;
        this.conditions = conditions;
    }

    /**
     * What a list has, whoever may see the lists it is made of: what it leaves out is left out for all who see it.
     *
     * @param where a condition in the place of its own; nothing for its own
     */
    Wanted wanted(ShownList list, Optional<Condition> where) {
        Optional<Condition> condition = where.or(
                () -> list.condition().isEmpty() ? Optional.empty() : Optional.of(conditions.parsed(list.condition())));
        Optional<UUID> fixed = list.live() ? Optional.ofNullable(list.base()) : Optional.of(list.id());
        return new Wanted(
                condition,
                fixed,
                Optional.ofNullable(list.minus()).map(this::without),
                Optional.ofNullable(list.deals()).map(deals -> deals(deals, list.role())));
    }

    /** A list that another one is made of. */
    private ListRow part(UUID id) {
        return there(mapper.byId(id))
                .orElseThrow(() -> Refusal.because(
                        "part-missing", "A list that this one is made of is missing. Save the list anew without it."));
    }

    private OfDeals deals(UUID deals, String role) {
        ListRow row = part(deals);
        return new OfDeals(row.name(), Optional.ofNullable(row.condition()).map(conditions::parsed), row.id(), role);
    }

    /** A list of deals whose contacts are wanted; refused where it is made of others itself. */
    OfDeals ofDeals(UUID deals, String role, CrmKind kind, Colleague asking) {
        if (kind != CrmKind.CONTACT) {
            throw Refusal.field("deals", "Only contacts are on deals.");
        }
        mustBeSimple(deals, CrmKind.DEAL, "deals", asking);
        return deals(deals, role(role));
    }

    /** No role has a longer name; one that is none is nobody's. */
    static String role(String typed) {
        return typed == null || typed.length() > LONGEST_ROLE ? "" : typed.strip();
    }

    private Without without(UUID minus) {
        ListRow row = part(minus);
        return new Without(row.name(), Optional.ofNullable(row.condition()).map(conditions::parsed), row.id());
    }

    /** A list that is left out of others; refused where it is made of others itself. */
    Without leftOut(UUID minus, CrmKind kind, Colleague asking) {
        mustBeSimple(minus, kind, "minus", asking);
        return without(minus);
    }

    /** Refused where a list can’t be a part of another: it is of another kind, or made of others itself. */
    void mustBeSimple(UUID list, CrmKind kind, String field, Colleague asking) {
        ListRow row = rights.mustBeSeen(there(mapper.byId(list)), asking);
        if (!row.kind().equals(kind.word())) {
            throw Refusal.field(field, "“" + row.name() + "” is a list of " + row.kind() + "s.");
        }
        if (row.combined()) {
            throw Refusal.field(field, "“" + row.name() + "” is made of other lists. Choose one that is not.");
        }
    }

    /** What a part is called; nothing where whoever asks does not see it. */
    String nameOf(UUID list, Colleague asking) {
        return Optional.ofNullable(list)
                .flatMap(mapper::byId)
                .filter(row -> rights.maySee(row, asking))
                .map(ListRow::name)
                .orElse("");
    }

    /** A list that was not deleted. */
    static Optional<ListRow> there(Optional<ListRow> list) {
        return list.filter(one -> one.deletedAt() == null);
    }
}
