package famulus.server.outbox;

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
            boolean test) {}

    @Insert(
            """
            insert into outgoing_message
              (id, message_id, template_id, template_version, written_by, sender_id, person_kind, person_id, deal_id,
               to_address, from_address, subject, preview_text, body, pieces, source, state, attempts,
               next_attempt_at, last_answer, maybe_repeated, created_at, sent_at, test)
            values
              (#{id}, #{messageId}, #{templateId}, #{templateVersion}, #{writtenBy}, #{senderId}, #{personKind},
               #{personId}, #{dealId}, #{toAddress}, #{fromAddress}, #{subject}, #{previewText}, #{body}, #{pieces},
               #{source}, #{state}, #{attempts}, #{nextAttemptAt}, #{lastAnswer}, #{maybeRepeated}, #{createdAt},
               #{sentAt}, #{test})
            """)
    void insert(OutgoingMessage message);

    @Select("select * from outgoing_message where id = #{id}")
    Optional<OutgoingMessage> byId(UUID id);

    /** Takes a message for sending; 0 when it is not waiting any more. */
    @Update(
            """
            update outgoing_message
            set maybe_repeated = case when state = 'SENDING' then true else maybe_repeated end,
                state = 'SENDING', attempts = attempts + 1
            where id = #{id} and state in ('WAITING', 'SENDING')
            """)
    int take(UUID id);

    @Update(
            """
            update outgoing_message
            set state = #{state}, last_answer = #{answer}, next_attempt_at = #{next}, sent_at = #{sentAt}
            where id = #{id}
            """)
    void ended(
            @Param("id") UUID id,
            @Param("state") MessageState state,
            @Param("answer") String answer,
            @Param("next") Instant next,
            @Param("sentAt") Instant sentAt);

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

    @Select(
            """
            select m.id, m.subject, m.to_address, m.person_kind, m.person_id, c.first_name as sender_name, m.state,
                   m.attempts, m.next_attempt_at, m.last_answer, m.created_at, m.sent_at, m.test
            from outgoing_message m
            join colleague c on c.id = m.sender_id
            order by case when m.state in ('WAITING', 'SENDING', 'REFUSED') then 0 else 1 end,
                     m.created_at desc, m.id
            limit #{most}
            """)
    List<OutboxRow> newest(int most);

    @Select("select id from outgoing_message where state = 'WAITING' order by created_at limit 1000")
    List<UUID> waiting();

    @Select("select count(*) from outgoing_message where state in ('WAITING', 'SENDING')")
    int countWaiting();

    @Update("delete from outgoing_message where id = #{id} and state in ('WAITING', 'REFUSED')")
    int discard(UUID id);

    @Update("delete from message_attempt where message_id = #{id}")
    void discardAttempts(UUID id);
}
