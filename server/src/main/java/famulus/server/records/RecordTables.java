package famulus.server.records;

import famulus.server.team.ColleagueTable;

/**
 * What others may read of records in SQL of their own, so that the names of our tables stay here: from what people are read,
 * and how what belongs to them is joined. The aliases are the same throughout: {@code p} the person, {@code d} the deal,
 * {@code s} the summary, {@code o} the organisation, {@code doc} the document, {@code e} the address, {@code w} who looks
 * after them.
 *
 * <pre>
 *     RecordTables.people(CrmKind.CONTACT, "") + RecordTables.SUMMARY + RecordTables.OPEN_DEAL
 *         // from contact p left join person_summary s on … left join deal d on …
 * </pre>
 */
public final class RecordTables {
    /** The summary of a person’s history, and which of a contact's open deals is the newest. */
    public static final String SUMMARY = "left join person_summary s on s.person_id = p.id";

    /** A contact's newest open deal; leans on {@link #SUMMARY}. */
    public static final String OPEN_DEAL = "left join deal d on d.id = s.open_deal_id";

    /** The organisation of the deal, else of the contact. */
    public static final String ORGANISATION =
            "left join organisation o on o.id = coalesce(d.organisation_id, p.organisation_id)";

    /** The newest document of the deal. */
    public static final String DOCUMENT =
            """
            left join document doc on doc.id = (
              select x.id from document x where x.deal_id = d.id order by x.state_on desc, x.name, x.id limit 1)
            """;

    /** The address a person is written to first. */
    public static final String ADDRESS = "left join email_address e on e.person_id = p.id and e.position = 0";

    private RecordTables() {}

    /**
     * People of one kind.
     *
     * @param limits what limits them to some, as SQL behind the name {@code x} of their table; empty for all
     */
    public static String people(CrmKind kind, String limits) {
        return "from " + some(kind.word(), limits) + " p";
    }

    /** Deals, limited like {@link #people}, with their main contacts. */
    public static String deals(String limits) {
        return "from " + some("deal", limits)
                + " d join deal_contact dm on dm.deal_id = d.id and dm.is_main join contact p on p.id = dm.contact_id";
    }

    /** All deals, limited like {@link #people}, with their main contacts where they have one. */
    public static String allDeals(String limits) {
        return "from " + some("deal", limits)
                + " d left join deal_contact dm on dm.deal_id = d.id and dm.is_main"
                + " left join contact p on p.id = dm.contact_id";
    }

    /**
     * Whether a contact is on a deal, as SQL with a gap for which deals: {@code dc.deal_id} is one of them, {@code dc.role} what
     * the contact is to it.
     *
     * @param contact the contact's identifier as SQL
     */
    public static String onDeal(String contact) {
        return "exists (select 1 from deal_contact dc where dc.contact_id = " + contact + " and %s)";
    }

    /** Organisations, limited like {@link #people}. */
    public static String organisations(String limits) {
        return "from " + some("organisation", limits) + " o";
    }

    private static String some(String table, String limits) {
        return limits.isEmpty() ? table : "(select * from " + table + " x" + limits + ")";
    }

    /** Who looks after the deal, else the person. */
    public static String owner(CrmKind kind) {
        String owner = kind == CrmKind.LEAD ? "p.owner_id" : "coalesce(d.owner_id, p.owner_id)";
        return "left join " + ColleagueTable.NAME + " w on w.id = " + owner;
    }

    /** The record or colleague that a column leads to. */
    public static String related(boolean colleague, String as, String column) {
        return "left join " + (colleague ? ColleagueTable.NAME : "organisation") + " " + as + " on " + as + ".id = "
                + column;
    }

    /** The label of what is chosen in a field that has a column. */
    public static String label(String as, String kind, String field, String column) {
        return "left join field_choice %s on %s.kind = '%s' and %s.field_name = '%s' and %s.code = %s"
                .formatted(as, as, kind, as, field, as, column);
    }

    /** The value of a field of the house's own, of the record that {@code alias} stands for. */
    public static String value(String as, String alias, String field) {
        return "left join field_value %s on %s.record_id = %s.id and %s.field_name = '%s'"
                .formatted(as, as, alias, as, field);
    }
}
