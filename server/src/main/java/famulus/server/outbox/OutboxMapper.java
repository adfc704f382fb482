package famulus.server.outbox;

import famulus.server.messages.Recipient;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Messages on their way and gone. */
@Mapper
interface OutboxMapper {
    record OutboxRow(
            UUID id,
            String subject,
            String toAddress,
            String personKind,
            UUID personId,
            String senderName,
            MessageState state,
            int attempts,
            Instant nextAttemptAt,
            String lastAnswer,
            Instant createdAt,
            Instant sentAt,
            boolean test,
            UUID writtenBy,
            UUID senderId,
            Instant plannedFor,
            String heldWhy,
            int others) {}

    @Insert(
            """
            insert into outgoing_message
              (id, message_id, template_id, template_version, written_by, sender_id, person_kind, person_id, deal_id,
               organisation_id, to_address, from_address, subject, state, attempts, next_attempt_at, last_answer, maybe_repeated,
               created_at, sent_at, test, planned_for, first_words, mailing_id, alone)
            values
              (#{id}, #{messageId}, #{templateId}, #{templateVersion}, #{writtenBy}, #{senderId}, #{personKind},
               #{personId}, #{dealId}, #{organisationId}, #{toAddress}, #{fromAddress}, #{subject}, #{state}, #{attempts},
               #{nextAttemptAt}, #{lastAnswer}, #{maybeRepeated}, #{createdAt}, #{sentAt}, #{test}, #{plannedFor},
               #{firstWords}, #{mailingId}, #{mailingId} is null)
            """)
    void insert(OutgoingMessage message);

    @Insert("insert into message_pieces (message_id, pieces) values (#{id}, #{pieces})")
    void insertPieces(@Param("id") UUID id, @Param("pieces") String pieces);

    @Select("select pieces from message_pieces where message_id = #{id}")
    Optional<String> pieces(UUID id);

    @Select("select * from outgoing_message where id = #{id}")
    Optional<OutgoingMessage> byId(UUID id);

    /** Whom a message is to. */
    record ToRow(String personKind, UUID personId, boolean test) {}

    @Select("select person_kind, person_id, test from outgoing_message where id = #{id}")
    Optional<ToRow> to(UUID id);

    /** A moment, as a row. */
    record AtRow(Instant at) {}

    /** Keeps who else gets a message. */
    @Insert(
            """
            insert into message_recipient (message_id, number, how, name, address, contact_id, at)
            values (#{message}, #{number}, #{to.how}, #{to.mailbox.name}, #{to.mailbox.address}, #{to.contact}, #{at})
            """)
    void insertRecipient(
            @Param("message") UUID message,
            @Param("number") int number,
            @Param("to") Recipient to,
            @Param("at") Instant at);

    /** Somebody who gets a message besides whom it is written to; {@code contactId} is null for a typed address. */
    record RecipientRow(Recipient.How how, String name, String address, UUID contactId) {}

    @Select("select how, name, address, contact_id from message_recipient where message_id = #{id} order by number")
    List<RecipientRow> recipients(UUID id);

    /**
     * When somebody was written to last, by a message that counts, theirs or one that they got too. Leans on
     * outgoing_message_person and message_recipient_contact.
     */
    @Select(
            """
            select max(at) as at from (
              (select m.created_at as at from outgoing_message m
               where m.person_id = #{person} and not m.test and m.state not in ('REFUSED', 'CANCELLED')
               order by m.person_id, m.created_at desc, m.id
               limit 1)
              union all
              (select r.at from message_recipient r join outgoing_message m on m.id = r.message_id
               where r.contact_id = #{person} and m.state not in ('REFUSED', 'CANCELLED')
               order by r.contact_id, r.at desc, r.message_id
               limit 1)) written
            having max(at) is not null
            """)
    Optional<AtRow> lastWritten(UUID person);

    @Update("update outgoing_message set several = true where id = #{id}")
    void toSeveral(UUID id);

    /** When somebody got the last message that went to several. Leans on outgoing_message_person. */
    @Select(
            """
            select created_at as at from outgoing_message
            where person_id = #{person} and several and not test and state not in ('REFUSED', 'CANCELLED')
            order by created_at desc
            limit 1
            """)
    Optional<AtRow> lastToSeveral(UUID person);

    /**
     * How often a message was tried.
     *
     * @param attempts all of them
     * @param tries those that count, less what was asked for by hand
     * @param mailingId the mailing it is one of; null for none
     */
    record Tried(UUID id, UUID personId, MessageState state, int attempts, int tries, UUID mailingId) {}

    @Select("select id, person_id, state, attempts, tries, mailing_id from outgoing_message where id = #{id}")
    Optional<Tried> tried(UUID id);

    /** Whose a message is: who wrote it, and who it goes out as. */
    record Holder(UUID id, UUID writtenBy, UUID senderId, MessageState state, boolean test, UUID mailingId) {}

    @Select("select id, written_by, sender_id, state, test, mailing_id from outgoing_message where id = #{id}")
    Optional<Holder> holder(UUID id);

    /** Holds a message that was about to leave; 0 when it does not wait any more. */
    @Update(
            """
            update outgoing_message set state = 'HELD', held_why = #{why}, next_attempt_at = null, as_it_is = false
            where id = #{id} and state = 'WAITING'
            """)
    int hold(@Param("id") UUID id, @Param("why") String why);

    /** Lets a message go as it is that was held; 0 when it is not. */
    @Update(
            """
            update outgoing_message
            set state = 'WAITING', held_why = null, as_it_is = true, by_hand = true, next_attempt_at = #{now}
            where id = #{id} and state = 'HELD'
            """)
    int asItIs(@Param("id") UUID id, @Param("now") Instant now);

    /** Has a message leave at another hour that was never tried; 0 when there is none. */
    @Update(
            """
            update outgoing_message
            set state = 'WAITING', held_why = null, planned_for = #{at}, next_attempt_at = #{at}
            where id = #{id} and state in ('WAITING', 'HELD') and attempts = 0
            """)
    int move(@Param("id") UUID id, @Param("at") Instant at);

    /** Takes a message for sending; 0 when it is not waiting any more. */
    @Update(
            """
            update outgoing_message
            set state = 'SENDING', attempts = attempts + 1,
                tries = tries + case when by_hand then 0 else 1 end, by_hand = false
            where id = #{id} and state = 'WAITING'
            """)
    int take(UUID id);

    /** Takes back a try of a message that the server turned away without looking at it. */
    @Update("update outgoing_message set tries = greatest(tries - 1, 0) where id = #{id} and state = 'WAITING'")
    void untried(UUID id);

    /** Writes down how an attempt ended; 0 when the message has gone another way since. */
    @Update(
            """
            update outgoing_message
            set state = #{state}, last_answer = #{answer}, next_attempt_at = #{next}, sent_at = #{sentAt}
            where id = #{id} and attempts = #{attempt} and state in ('SENDING', 'NOT_SURE')
            """)
    int ended(
            @Param("id") UUID id,
            @Param("attempt") int attempt,
            @Param("state") MessageState state,
            @Param("answer") String answer,
            @Param("next") Instant next,
            @Param("sentAt") Instant sentAt);

    /** Has a waiting message tried at once, without counting that as a try; 0 when it does not wait. */
    @Update(
            """
            update outgoing_message set by_hand = true, next_attempt_at = #{now}
            where id = #{id} and state = 'WAITING'
            """)
    int hurry(@Param("id") UUID id, @Param("now") Instant now);

    /** Has a message that may have gone sent once more; 0 when nobody doubts what became of it. */
    @Update(
            """
            update outgoing_message
            set state = 'WAITING', by_hand = true, maybe_repeated = true, next_attempt_at = #{now}
            where id = #{id} and state = 'NOT_SURE'
            """)
    int again(@Param("id") UUID id, @Param("now") Instant now);

    /** Settles that a message that may have gone has arrived; 0 when nobody doubts what became of it. */
    @Update(
            """
            update outgoing_message
            set state = 'SENT',
                sent_at = (select max(a.at) from message_attempt a where a.message_id = #{id})
            where id = #{id} and state = 'NOT_SURE'
            """)
    int arrived(UUID id);

    @Select("select id from outgoing_message where state = 'SENDING'")
    List<UUID> inHand();

    /**
     * Whether a message that stands alone is due, or is being handed over. Leans on outgoing_message_state: it is asked every
     * second, and without the states in a list of their own H2 would look through all messages that ever were.
     */
    @Select(
            """
            select exists (
              select 1 from outgoing_message
              where state in ('SENDING', 'WAITING') and alone
                and (state = 'SENDING' or tries = 0 and next_attempt_at <= #{now}))
            """)
    boolean anyAloneDue(Instant now);

    /** Gives free what a process that has ended had taken from the scheduler's table. */
    @Update(
            """
            update scheduled_tasks set picked = false, picked_by = null, last_heartbeat = null
            where task_name = #{task} and picked
            """)
    int release(String task);

    /**
     * A message that waits.
     *
     * @param tries those made that count
     */
    record Waiting(UUID id, int tries, Instant createdAt, Instant nextAttemptAt) {}

    /**
     * Waiting messages that are due later than a moment because of a try before, or although they were written later than
     * it, as after a clock was set back; the first of many. What waits for its own hour is not among them.
     */
    @Select(
            """
            select id, tries, created_at, next_attempt_at from outgoing_message
            where state = 'WAITING' and next_attempt_at > #{moment}
              and (tries > 0 or planned_for is null and created_at > #{moment})
            order by next_attempt_at desc
            limit 500
            """)
    List<Waiting> dueAfter(Instant moment);

    /** Has a message wait no longer than until a moment; 0 when it does not. */
    @Update(
            """
            update outgoing_message set next_attempt_at = #{at}
            where id = #{id} and state = 'WAITING' and next_attempt_at > #{at}
            """)
    int due(@Param("id") UUID id, @Param("at") Instant at);

    /** Waiting messages that the scheduler knows nothing of; those of a mailing are its own until they were tried. */
    @Select(
            """
            select m.id, m.tries, m.created_at, m.next_attempt_at from outgoing_message m
            where m.state = 'WAITING' and (m.alone or m.tries > 0) and not exists (
              select 1 from scheduled_tasks s where s.task_name = #{task} and s.task_instance = cast(m.id as varchar(36)))
            limit 500
            """)
    List<Waiting> unlined(String task);

    /** Puts right what was written down of an attempt; 0 when nothing was. */
    @Update(
            """
            update message_attempt set at = #{at}, outcome = #{outcome}, answer = #{answer}
            where message_id = #{id} and number = #{number}
            """)
    int amend(
            @Param("id") UUID id,
            @Param("number") int number,
            @Param("at") Instant at,
            @Param("outcome") String outcome,
            @Param("answer") String answer);

    @Insert(
            """
            insert into message_attempt (message_id, number, at, outcome, answer)
            values (#{id}, #{number}, #{at}, #{outcome}, #{answer})
            """)
    void attempt(
            @Param("id") UUID id,
            @Param("number") int number,
            @Param("at") Instant at,
            @Param("outcome") String outcome,
            @Param("answer") String answer);

    /**
     * Messages of some states, the newest first.
     *
     * @param before only those that are older; null for the newest of all
     */
    List<OutboxRow> newest(
            @Param("states") List<MessageState> states,
            @Param("before") Instant before,
            @Param("beforeId") UUID beforeId,
            @Param("most") int most,
            @Param("asking") Colleague asking,
            @Param("all") boolean all);

    /** Messages that wait for another try; what waits for its own hour is not among them. */
    @Select(
            """
            select id from outgoing_message
            where state = 'WAITING' and alone and attempts > 0
            order by created_at
            limit 1000
            """)
    List<UUID> waiting();

    @Select("select exists (select 1 from outgoing_message where not test)")
    boolean any();

    @Select(
            """
            select count(*) from outgoing_message
            where state in ('WAITING', 'SENDING') and alone and (not test or written_by = #{asking.id} or #{all})
            """)
    int countWaiting(@Param("asking") Colleague asking, @Param("all") boolean all);

    @Select(
            """
            select count(*) from outgoing_message
            where state = 'NOT_SURE' and alone and (not test or written_by = #{asking.id} or #{all})
            """)
    int countNotSure(@Param("asking") Colleague asking, @Param("all") boolean all);

    @Select(
            """
            select count(*) from outgoing_message
            where state = 'HELD' and alone and (not test or written_by = #{asking.id} or #{all})
            """)
    int countHeld(@Param("asking") Colleague asking, @Param("all") boolean all);

    /** Takes a message back that waits and was never tried, or is held and never left; 0 when there is none. */
    @Update(
            """
            update outgoing_message set state = 'CANCELLED', next_attempt_at = null
            where id = #{id} and (state = 'WAITING' and attempts = 0 or state = 'HELD' and not maybe_repeated)
            """)
    int takeBack(UUID id);

    /** Takes a message back that waits or was refused; its row stays, so that its identifier can't send again. */
    @Update(
            """
            update outgoing_message set state = 'CANCELLED', next_attempt_at = null
            where id = #{id} and state = #{state}
            """)
    int cancel(@Param("id") UUID id, @Param("state") MessageState state);
}
