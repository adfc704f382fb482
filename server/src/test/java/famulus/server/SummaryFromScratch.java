package famulus.server;

import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.JdbcTemplate;

/** What is kept in sum, counted from scratch. */
public final class SummaryFromScratch {
    private static final String PEOPLE =
            """
            select p.id as person_id,
                   (select count(*) from outgoing_message m where m.person_id = p.id and not m.test
                      and m.state not in ('REFUSED', 'CANCELLED')) as times_written,
                   (select max(m.created_at) from outgoing_message m where m.person_id = p.id and not m.test
                      and m.state not in ('REFUSED', 'CANCELLED')) as last_written,
                   (select max(m.created_at) from outgoing_message m where m.person_id = p.id and m.several and not m.test
                      and m.state not in ('REFUSED', 'CANCELLED')) as last_to_several,
                   (select max(h.at) from history_entry h
                    where h.record_id = p.id and h.kind = 'ANSWERED_ELSEWHERE') as last_reply,
                   (select max(h.at) from history_entry h where h.record_id = p.id and h.kind = 'CALL') as last_called,
                   (select max(e.at) from delivery_event e
                    where e.person_id = p.id and e.kind = 'OPENED' and not e.by_machine) as last_opened,
                   (select max(e.at) from delivery_event e
                    where e.person_id = p.id and e.kind = 'CLICKED' and not e.by_machine) as last_clicked,
                   (select e.address from delivery_event e
                    where e.person_id = p.id and e.kind = 'CLICKED' and not e.by_machine
                    order by e.at desc, e.id desc limit 1) as clicked_link,
                   exists (select 1 from reader_choice u where u.person_id = p.id and u.nothing) as unsubscribed,
                   (select d.id from deal_contact c join deal d on d.id = c.deal_id
                    join field_choice g on g.kind = 'deal' and g.field_name = 'stage' and g.code = d.stage
                    where c.contact_id = p.id and g.outcome = 'OPEN'
                    order by d.created_at desc, d.id limit 1) as open_deal_id
            from (select id from contact union all select id from lead) p
            """;

    private SummaryFromScratch() {}

    /** The row of each person as it should be, by identifier. */
    public static List<Map<String, Object>> people(JdbcTemplate sql) {
        return sql.queryForList("select * from (" + PEOPLE + ") order by person_id");
    }

    /** The row of each person as it is kept, by identifier. */
    public static List<Map<String, Object>> keptPeople(JdbcTemplate sql) {
        return sql.queryForList(
                """
                select person_id, cast(times_written as bigint) as times_written, last_written, last_to_several, last_reply,
                       last_called,
                       last_opened, last_clicked, clicked_link, unsubscribed, open_deal_id
                from person_summary order by person_id
                """);
    }

    /** Keeps the rows as they should be, after something was put in place without them. */
    public static void keep(JdbcTemplate sql) {
        sql.execute("delete from person_summary");
        sql.execute(
                """
                insert into person_summary
                  (person_id, times_written, last_written, last_to_several, last_reply, last_called, last_opened, last_clicked,
                   clicked_link, unsubscribed, open_deal_id)
                """
                        + PEOPLE);
    }

    /** How often each template was used by whom, as it should be. */
    public static List<Map<String, Object>> templates(JdbcTemplate sql) {
        return sql.queryForList(
                """
                select template_id, written_by, count(*) as times, max(created_at) as last_at
                from outgoing_message
                where not test and template_id is not null
                group by template_id, written_by
                order by template_id, written_by
                """);
    }

    /** The same as it is kept. */
    public static List<Map<String, Object>> keptTemplates(JdbcTemplate sql) {
        return sql.queryForList(
                """
                select template_id, colleague_id as written_by, cast(times as bigint) as times, last_at
                from template_use order by template_id, colleague_id
                """);
    }
}
