package famulus.bench;

import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;

/** Multiplies the demo's messages, each with its bytes, pieces and page. */
final class ScaleMessages {
    private final ScaleDatabase database;

    ScaleMessages(ScaleDatabase database) {
        this.database = database;
    }

    /** Makes as many as there are to be. */
    void make(int messages) throws SQLException {
        withoutIndexes(() -> messages(messages));
    }

    /** A message of the demo's that others are copies of. */
    private record Base(
            UUID writtenBy,
            UUID senderId,
            String to,
            String from,
            String subject,
            int size,
            byte[] packed,
            List<Within> within,
            String pieces) {}

    /** A content within a message. */
    private record Within(int position, int at, String hash) {}

    /** Somebody who is written to. */
    private record To(UUID id, UUID organisation) {}

    /**
     * One message in fifty goes to one person, one in five is from one template; the others are spread unevenly. Identifiers
     * follow one another, since a million random ones take very long to be put in.
     */
    private void messages(int messages) throws SQLException {
        List<Base> bases = bases();
        List<To> people = new ArrayList<>();
        database.each(
                "select id, organisation_id from contact order by id",
                row -> people.add(new To(row.getObject(1, UUID.class), row.getObject(2, UUID.class))));
        // Who has the first identifiers stands for all where something is estimated, and is to be written to no
        // oftener.
        Collections.shuffle(people, new Random(12));
        List<UUID> templates = new ArrayList<>();
        database.each(
                "select id from template where kind = 'TEMPLATE' and ready_version is not null order by id",
                row -> templates.add(row.getObject(1, UUID.class)));
        int toOne = Math.max(200, messages / 50);
        Random random = new Random(11);
        Instant newest = Instant.parse("2026-05-04T08:00:00Z");
        try (PreparedStatement message = database.prepared(
                        """
                        insert into outgoing_message (id, message_id, template_id, template_version, written_by, sender_id,
                          person_kind, person_id, organisation_id, to_address, from_address, subject, state, attempts, tries,
                          by_hand, last_answer, maybe_repeated, created_at, sent_at, test)
                        values (?, ?, ?, 1, ?, ?, 'contact', ?, ?, ?, ?, ?, ?, 1, 1, false, '250 taken', false, ?, ?, false)
                        """);
                PreparedStatement source = database.prepared("insert into kept_source values (?, ?, ?)");
                PreparedStatement within = database.prepared("insert into kept_source_content values (?, ?, ?, ?)");
                PreparedStatement pieces = database.prepared("insert into message_pieces values (?, ?)");
                PreparedStatement page = database.prepared(
                        "insert into message_page (message_id, reader_key, counted) values (?, ?, false)");
                PreparedStatement event = database.prepared(
                        """
                        insert into delivery_event (id, message_id, person_id, kind, at, program, ahead, by_machine)
                        values (?, ?, ?, 'OPENED', ?, 'a person', false, false)
                        """)) {
            List<PreparedStatement> all = List.of(message, source, within, pieces, page, event);
            for (int i = bases.size(); i < messages; i++) {
                Base base = bases.get(i % bases.size());
                To to = people.get(i < toOne ? 0 : uneven(random, people.size()));
                UUID template = templates.get(i % 5 == 0 ? 3 : uneven(random, templates.size()));
                UUID id = new UUID(0x4000_0000_0000_0000L + i, 0x8000_0000_0000_0000L + i);
                Instant at = newest.minusSeconds(20L * i);
                ScaleDatabase.set(
                        message,
                        id,
                        "<" + id + "@many.example>",
                        template,
                        base.writtenBy(),
                        base.senderId(),
                        to.id(),
                        to.organisation(),
                        base.to(),
                        base.from(),
                        base.subject(),
                        i % 5_000 == 1 ? "REFUSED" : "SENT",
                        at,
                        at.plusSeconds(2));
                ScaleDatabase.set(source, id, base.size(), base.packed());
                for (Within one : base.within()) {
                    ScaleDatabase.set(within, id, one.position(), one.at(), one.hash());
                }
                if (base.pieces() != null) {
                    ScaleDatabase.set(pieces, id, base.pieces());
                }
                ScaleDatabase.set(page, id, "many%020d".formatted(i));
                if (i % 7 == 0) {
                    ScaleDatabase.set(event, new UUID(0x5000_0000_0000_0000L + i, i), id, to.id(), at);
                }
                if (i % 20_000 == 0 || i == messages - 1) {
                    for (PreparedStatement one : all) {
                        one.executeBatch();
                    }
                    database.commit();
                }
            }
        }
    }

    /** One of so many, the first of them far oftener than the last. */
    private static int uneven(Random random, int of) {
        double drawn = random.nextDouble();
        return (int) (of * drawn * drawn);
    }

    private List<Base> bases() throws SQLException {
        Map<UUID, List<Within>> within = new HashMap<>();
        database.each(
                "select source_id, position, at, hash from kept_source_content order by position",
                row -> within.computeIfAbsent(row.getObject(1, UUID.class), any -> new ArrayList<>())
                        .add(new Within(row.getInt(2), row.getInt(3), row.getString(4))));
        List<Base> bases = new ArrayList<>();
        database.each(
                """
                select m.id, m.written_by, m.sender_id, m.to_address, m.from_address, m.subject, s.size, s.packed, p.pieces
                from outgoing_message m join kept_source s on s.id = m.id left join message_pieces p on p.message_id = m.id
                where m.state = 'SENT' and not m.test order by m.id
                """,
                row -> bases.add(new Base(
                        row.getObject(2, UUID.class),
                        row.getObject(3, UUID.class),
                        row.getString(4),
                        row.getString(5),
                        row.getString(6),
                        row.getInt(7),
                        row.getBytes(8),
                        within.getOrDefault(row.getObject(1, UUID.class), List.of()),
                        row.getString(9))));
        return bases;
    }

    /** Work on the database. */
    @FunctionalInterface
    private interface Work {
        void run() throws SQLException;
    }

    /** Does something while the indexes that it would write at random places are not there, and makes them anew after. */
    private void withoutIndexes(Work work) throws SQLException {
        Map<String, String> indexes = Map.of(
                "outgoing_message_state", "outgoing_message (state, created_at desc, id desc)",
                "outgoing_message_person", "outgoing_message (person_id, created_at desc, id)",
                "outgoing_message_organisation", "outgoing_message (organisation_id, created_at desc, id)",
                "delivery_event_person", "delivery_event (person_id, kind, by_machine, at)");
        for (String index : indexes.keySet()) {
            database.run("drop index " + index);
        }
        work.run();
        for (Map.Entry<String, String> index : indexes.entrySet()) {
            database.run("create index " + index.getKey() + " on " + index.getValue());
        }
    }
}
