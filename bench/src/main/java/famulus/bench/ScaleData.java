package famulus.bench;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Locale;

/**
 * Multiplies the demo's data within its database, in batches of SQL: people, organisations, deals, templates and messages
 * are copies of the demo's own, mixed anew, uneven on purpose. Words and places of records are left to the application,
 * which makes them anew behind at its next start. Arguments: the folder of a demo that has been stopped, then how many
 * people, deals, templates and messages there are to be.
 */
public final class ScaleData {
    private final ScaleDatabase database;

    private ScaleData(ScaleDatabase database) {
        this.database = database;
    }

    /** Makes the data, and prints how they are spread. */
    public static void main(String[] arguments) throws SQLException {
        int people = Integer.parseInt(arguments[1]);
        int deals = Integer.parseInt(arguments[2]);
        int templates = Integer.parseInt(arguments[3]);
        int messages = Integer.parseInt(arguments[4]);
        long began = System.nanoTime();
        String url = "jdbc:h2:" + Path.of(arguments[0], "famulus").toAbsolutePath()
                + ";DB_CLOSE_ON_EXIT=FALSE;RETENTION_TIME=1000;CACHE_SIZE=2097152";
        try (Connection connection = DriverManager.getConnection(url, "famulus", "")) {
            connection.setAutoCommit(false);
            ScaleDatabase database = new ScaleDatabase(connection);
            ScaleData scale = new ScaleData(database);
            scale.records(people, deals);
            scale.templates(templates);
            scale.said("records and templates");
            new ScaleMessages(database).make(messages);
            scale.said("messages");
            scale.sums();
            scale.spread();
            database.run("analyze");
            database.run("checkpoint");
        }
        System.out.printf(
                Locale.ROOT,
                "made in %d s: %d people, %d deals, %d templates, %d messages%n",
                (System.nanoTime() - began) / 1_000_000_000,
                people,
                deals,
                templates,
                messages);
    }

    private final long began = System.nanoTime();

    private void said(String what) {
        System.out.printf(Locale.ROOT, "%s after %d s%n", what, (System.nanoTime() - began) / 1_000_000_000);
    }

    private void records(int people, int deals) throws SQLException {
        int organisations = Math.max(60, people / 8);
        database.numbered("base_organisation", "select id from organisation");
        database.numbered("base_contact", "select id from contact");
        database.numbered("base_lead", "select id from lead");
        database.numbered("base_deal", "select id from deal");
        int baseOrganisations = database.number("select count(*) from base_organisation");
        int baseContacts = database.number("select count(*) from base_contact");
        int baseLeads = database.number("select count(*) from base_lead");
        int baseDeals = database.number("select count(*) from base_deal");
        database.inPortions(
                baseOrganisations,
                organisations,
                """
                insert into organisation (id, name, phone, website, street, postcode, town, country, owner_id, created_at,
                  version)
                select random_uuid(), concat(o.name, ' ', mod(x, 997)), o.phone, o.website, o.street, o.postcode, o.town,
                  o.country, o.owner_id, o.created_at, 1
                from system_range(FROM, TO) join base_organisation b on b.n = mod(x, %d) join organisation o on o.id = b.id
                """
                        .formatted(baseOrganisations));
        database.numbered("all_organisation", "select id from organisation");
        int leads = people / 5;
        int contacts = people - leads;
        // First names, surnames and organisations are mixed; one organisation has three in ten people.
        database.run(
                "create local temporary table mixed (n integer primary key, first integer, last integer, organisation integer)"
                        + " not persistent");
        database.inPortions(
                baseContacts,
                contacts,
                """
                insert into mixed
                select x, mod(x * 7, %1$d), mod(x / 3, %1$d), case when mod(x, 10) < 3 then 7 else mod(x * 13, %2$d) end
                from system_range(FROM, TO)
                """
                        .formatted(baseContacts, organisations));
        database.run("create local temporary table new_contact (n integer primary key, id uuid, first uuid, last uuid,"
                + " organisation uuid) not persistent");
        database.run(
                """
                insert into new_contact
                select m.n, random_uuid(), f.id, l.id, o.id from mixed m
                join base_contact f on f.n = m.first join base_contact l on l.n = m.last
                join all_organisation o on o.n = m.organisation
                """);
        database.inPortions(
                baseContacts,
                contacts,
                """
                insert into contact (id, organisation_id, title, first_name, last_name, job_title, phone, mobile, language,
                  time_zone, formality, counting, owner_id, created_at, version)
                select n.id, n.organisation, f.title, f.first_name, l.last_name, l.job_title, f.phone, f.mobile, f.language,
                  f.time_zone, f.formality, f.counting, f.owner_id, f.created_at, 1
                from new_contact n join contact f on f.id = n.first join contact l on l.id = n.last
                where n.n between FROM and TO
                """);
        database.inPortions(
                baseContacts,
                contacts,
                """
                insert into email_address (id, kind, person_id, address, label, position)
                select random_uuid(), 'contact', n.id, concat('grower', n.n, '@many.example'), '', 0
                from new_contact n where n.n between FROM and TO and mod(n.n, 25) > 0
                """);
        database.inPortions(
                baseContacts,
                contacts,
                """
                insert into field_value (kind, record_id, field_name, text_value, number_value, date_value)
                select v.kind, n.id, v.field_name, v.text_value, v.number_value, v.date_value
                from new_contact n join field_value v on v.record_id = n.last where n.n between FROM and TO
                """);
        database.inPortions(
                baseLeads,
                leads,
                """
                insert into lead (id, company, title, first_name, last_name, job_title, phone, language, time_zone, country,
                  source, state, formality, counting, owner_id, created_at, version)
                select random_uuid(), l.company, l.title, f.first_name, l.last_name, l.job_title, l.phone, l.language,
                  l.time_zone, l.country, l.source, f.state, l.formality, l.counting, l.owner_id, l.created_at, 1
                from system_range(FROM, TO) join base_lead a on a.n = mod(x * 7, %1$d) join base_lead b on b.n = mod(x / 3, %1$d)
                join lead f on f.id = a.id join lead l on l.id = b.id
                """
                        .formatted(baseLeads));
        database.numbered("all_contact", "select id from contact");
        database.run(
                "create local temporary table mixed_deal (n integer primary key, base integer, contact integer) not persistent");
        database.inPortions(
                baseDeals,
                deals,
                """
                insert into mixed_deal
                select x, mod(x, %d), cast(floor(%d * power(mod(x * 7919, 99991) / 99991.0, 2)) as integer)
                from system_range(FROM, TO)
                """
                        .formatted(baseDeals, contacts));
        database.run("create local temporary table new_deal (n integer primary key, id uuid, base uuid, contact uuid)"
                + " not persistent");
        database.run("insert into new_deal select m.n, random_uuid(), d.id, c.id from mixed_deal m"
                + " join base_deal d on d.n = m.base join all_contact c on c.n = m.contact");
        database.inPortions(
                baseDeals,
                deals,
                """
                insert into deal (id, organisation_id, name, stage, amount, amount_currency, closes_on, owner_id, created_at,
                  version)
                select n.id, c.organisation_id, concat(d.name, ' ', mod(n.n, 4999)), d.stage, d.amount + mod(n.n, 1000),
                  d.amount_currency, d.closes_on, d.owner_id, d.created_at, 1
                from new_deal n join deal d on d.id = n.base join contact c on c.id = n.contact
                where n.n between FROM and TO
                """);
        database.inPortions(
                baseDeals,
                deals,
                "insert into deal_contact (deal_id, contact_id, role, is_main)"
                        + " select n.id, n.contact, 'decides', true from new_deal n where n.n between FROM and TO");
        database.inPortions(
                baseDeals,
                deals,
                """
                insert into document (id, deal_id, name, link, state, state_on)
                select random_uuid(), n.id, d.name, d.link, d.state, d.state_on
                from new_deal n join document d on d.deal_id = n.base where n.n between FROM and TO
                """);
        database.run("insert into person_summary (person_id, times_written, unsubscribed) select p.id, 0, false"
                + " from (select id from contact union all select id from lead) p"
                + " where not exists (select 1 from person_summary s where s.person_id = p.id)");
        for (String kind : new String[] {"contact", "lead", "deal", "organisation"}) {
            database.run("insert into record_renewal (id, kind, cause) values (random_uuid(), '" + kind + "', 'KIND')");
        }
        database.run(
                "update organisation o set people = (select count(*) from contact c where c.organisation_id = o.id)");
    }

    /** So many folders among those of everybody that about seventeen templates lie in each. */
    private void folders(int templates) throws SQLException {
        String everyone = "'00000000-0000-0000-0000-000000000001'";
        int folders = Math.max(3, templates * 3 / 50);
        database.run("create local temporary table new_folder (n integer primary key, id uuid) not persistent");
        database.run("insert into new_folder select x, random_uuid() from system_range(0, " + (folders - 1) + ")");
        database.run("insert into folder (id, parent_id, name, place) select id, " + everyone
                + ", concat('Folder ', n), 1000 + n from new_folder");
        database.run("insert into folder_access (folder_id, colleague_id, may) select f.id, a.colleague_id, a.may"
                + " from new_folder f join folder_access a on a.folder_id = " + everyone);
        database.run(
                "update template t set folder_id = (select f.id from new_template n join new_folder f on f.n = mod(n.n, "
                        + folders + ") where n.id = t.id) where t.id in (select id from new_template)");
    }

    private void templates(int templates) throws SQLException {
        database.numbered(
                "base_template", "select id from template where kind = 'TEMPLATE' and ready_version is not null");
        int base = database.number("select count(*) from base_template");
        database.run(
                "create local temporary table new_template (n integer primary key, id uuid, base uuid) not persistent");
        database.inPortions(
                base,
                templates,
                "insert into new_template select x, random_uuid(), b.id from system_range(FROM, TO)"
                        + " join base_template b on b.n = mod(x, " + base + ")");
        database.run(
                """
                insert into template (id, kind, name, purpose, about, subject, mode, house_style_id, header, footer, files,
                  version, ready_version, owner_id, created_at, changed_at, changed_by)
                select n.id, t.kind, concat(t.name, ' ', n.n), t.purpose, t.about, t.subject, t.mode, t.house_style_id,
                  t.header, t.footer, t.files, t.version, t.ready_version, t.owner_id, t.created_at, t.changed_at,
                  t.changed_by
                from new_template n join template t on t.id = n.base
                """);
        folders(templates);
        database.run("insert into template_words (template_id, preview_text, body, design)"
                + " select n.id, w.preview_text, w.body, w.design"
                + " from new_template n join template_words w on w.template_id = n.base");
        database.run("insert into template_names select n.id, w.what, w.named"
                + " from new_template n join template_names w on w.template_id = n.base");
        database.run(
                """
                insert into template_version (template_id, version, name, purpose, about, subject, preview_text, body, mode,
                  design, house_style_id, header, footer, files, changed_at, changed_by, reason, kept_at)
                select n.id, v.version, v.name, v.purpose, v.about, v.subject, v.preview_text, v.body, v.mode, v.design,
                  v.house_style_id, v.header, v.footer, v.files, v.changed_at, v.changed_by, v.reason, v.kept_at
                from new_template n join template_version v on v.template_id = n.base
                """);
    }

    /** What the application would have kept in sum with each of these. */
    private void sums() throws SQLException {
        database.run(
                "create local temporary table sum_message as select person_id, count(*) as times, max(created_at) as last_at"
                        + " from outgoing_message where not test and state not in ('REFUSED', 'CANCELLED') group by person_id");
        database.run("create index sum_message_person on sum_message (person_id)");
        database.run(
                "update person_summary s set times_written = (select m.times from sum_message m where m.person_id = s.person_id),"
                        + " last_written = (select m.last_at from sum_message m where m.person_id = s.person_id)"
                        + " where exists (select 1 from sum_message m where m.person_id = s.person_id)");
        database.run("create local temporary table sum_event as select person_id, max(at) as at from delivery_event"
                + " where kind = 'OPENED' and not by_machine group by person_id");
        database.run("create index sum_event_person on sum_event (person_id)");
        database.run(
                "update person_summary s set last_opened = (select e.at from sum_event e where e.person_id = s.person_id)"
                        + " where exists (select 1 from sum_event e where e.person_id = s.person_id)");
        database.run(
                """
                update person_summary s set open_deal_id = (
                  select d.id from deal_contact c join deal d on d.id = c.deal_id
                  join field_choice g on g.kind = 'deal' and g.field_name = 'stage' and g.code = d.stage
                  where c.contact_id = s.person_id and g.outcome = 'OPEN'
                  order by d.created_at desc, d.id limit 1)
                where exists (select 1 from deal_contact c where c.contact_id = s.person_id)
                """);
        database.run("delete from template_use");
        database.run("insert into template_use (template_id, colleague_id, times, last_at)"
                + " select template_id, written_by, count(*), max(created_at) from outgoing_message"
                + " where not test and template_id is not null group by template_id, written_by");
    }

    private void spread() throws SQLException {
        System.out.printf(
                Locale.ROOT,
                "spread: %s messages to one person, %s from one template, %s people in one organisation, %s deals of one"
                        + " contact, %s MB of packed messages%n",
                database.text("select max(times_written) from person_summary"),
                database.text(
                        "select max(times) from (select sum(times) as times from template_use group by template_id)"),
                database.text("select max(people) from organisation"),
                database.text("select max(n) from (select count(*) as n from deal_contact group by contact_id)"),
                database.text("select sum(octet_length(packed)) / 1000000 from kept_source"));
    }
}
