package famulus.server.mailings;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Mailings, without who gets them. */
@Mapper
interface MailingMapper {
    /** A mailing as it is kept; its counts stand in {@link CountRow}. */
    record MailingRow(
            UUID id,
            String name,
            MailingState state,
            String plan,
            int version,
            UUID madeBy,
            Instant createdAt,
            UUID changedBy,
            Instant changedAt,
            String tested,
            Instant testedAt,
            String started,
            UUID startedBy,
            Instant startedAt,
            Instant endedAt,
            Instant restsUntil,
            String said) {}

    String COLUMNS =
            """
            select m.id, m.name, m.state, m.plan, m.version, m.made_by, m.created_at, m.changed_by, m.changed_at, m.tested,
                   m.tested_at, m.started, m.started_by, m.started_at, m.ended_at, m.rests_until, m.said
            from mailing m
            """;

    @Select(COLUMNS + "where m.id = #{id}")
    Optional<MailingRow> byId(UUID id);

    /** As {@link #byId}, locked until the transaction ends. */
    @Select(COLUMNS + "where m.id = #{id} for update")
    Optional<MailingRow> hold(UUID id);

    /** What it says since it was started; empty while it has not been. */
    @Select("select words from mailing where id = #{id} and words is not null")
    Optional<String> words(UUID id);

    @Select(
            """
            select planned, leaving, waiting, sent, held, not_sure, refused, left_out, opened, clicked, replied, unsubscribed
            from mailing where id = #{id}
            """)
    Optional<MailingCounts> counts(UUID id);

    /** A mailing in a list. */
    record LineRow(
            UUID id,
            String name,
            MailingState state,
            String maker,
            UUID madeBy,
            UUID startedBy,
            UUID senderId,
            Instant changedAt,
            Instant startedAt,
            Instant endedAt,
            UUID topicId,
            String said,
            int planned,
            int leaving,
            int waiting,
            int sent,
            int held,
            int notSure,
            int refused,
            int leftOut,
            int opened,
            int clicked,
            int replied,
            int unsubscribed,
            String tags) {}

    /** What a list of mailings is narrowed to; what is null, or empty, narrows nothing. */
    record Wanted(
            String name,
            MailingState state,
            UUID topic,
            UUID sender,
            String tag,
            Instant since,
            String figure,
            int least) {}

    /** A window of the list, the newest change first. Leans on mailing_changed and mailing_state. */
    List<LineRow> lines(
            @Param("wanted") Wanted wanted,
            @Param("before") Instant before,
            @Param("beforeId") UUID beforeId,
            @Param("most") int most);

    /** Those that are on their way, or have somebody who was held back or whom nobody is sure of; a few, the newest first. */
    List<LineRow> underWay(@Param("most") int most);

    /**
     * What stands on a page, to be kept.
     *
     * @param version what it was before; of no matter for a new one
     */
    record PageRow(
            UUID id,
            int version,
            String name,
            String plan,
            UUID topic,
            UUID template,
            UUID sender,
            UUID by,
            Instant at) {}

    @Insert(
            """
            insert into mailing (id, name, state, plan, version, made_by, created_at, changed_by, changed_at, topic_id,
                                 template_id, sender_id)
            values (#{id}, #{name}, 'WRITING', #{plan}, 1, #{by}, #{at}, #{by}, #{at}, #{topic}, #{template}, #{sender})
            """)
    void insert(PageRow page);

    /** Keeps a change; 0 when somebody has kept another one since, or it can't be changed any more. */
    @Update(
            """
            update mailing
            set name = #{name}, plan = #{plan}, version = version + 1, changed_by = #{by}, changed_at = #{at},
                topic_id = #{topic}, template_id = #{template}, sender_id = #{sender}
            where id = #{id} and version = #{version} and state in ('WRITING', 'PAUSED')
            """)
    int change(PageRow page);

    /** What a mailing plans, changed by somebody. */
    record PlanRow(UUID id, String plan, UUID by, Instant at) {}

    /** Keeps what it plans from now on, however it stands. */
    @Update(
            """
            update mailing set plan = #{plan}, version = version + 1, changed_by = #{by}, changed_at = #{at}
            where id = #{id}
            """)
    void replan(PlanRow plan);

    @Delete("delete from mailing_tag where mailing_id = #{id}")
    void untag(UUID id);

    @Insert("insert into mailing_tag (mailing_id, tag, tag_key) values (#{id}, #{tag}, #{key})")
    void tag(@Param("id") UUID id, @Param("tag") String tag, @Param("key") String key);

    @Delete("delete from mailing where id = #{id} and state = 'WRITING'")
    int delete(UUID id);

    @Update("update mailing set tested = #{digest}, tested_at = #{at}, tested_by = #{by} where id = #{id}")
    void tested(@Param("id") UUID id, @Param("digest") String digest, @Param("at") Instant at, @Param("by") UUID by);

    /** Starts it, or has it go on; 0 when somebody else has, or has changed it. */
    @Update(
            """
            update mailing
            set state = 'RUNNING', words = #{words}, started = #{digest}, started_by = #{by},
                started_at = coalesce(started_at, #{at}), ended_at = null, rests = 0, rests_until = null, said = '',
                version = version + 1, changed_by = #{by}, changed_at = #{at}
            where id = #{id} and version = #{version} and state in ('WRITING', 'PAUSED')
            """)
    int start(
            @Param("id") UUID id,
            @Param("version") int version,
            @Param("words") String words,
            @Param("digest") String digest,
            @Param("by") UUID by,
            @Param("at") Instant at);

    /** Has it stand otherwise; 0 when it does not stand as one of these any more. */
    int become(
            @Param("id") UUID id,
            @Param("from") Collection<MailingState> from,
            @Param("state") MailingState state,
            @Param("said") String said,
            @Param("at") Instant at);

    /** Ends it where nothing of it is to leave any more; 0 where something is. */
    @Update(
            """
            update mailing set state = 'DONE', ended_at = #{at}, changed_at = #{at}
            where id = #{id} and state = 'RUNNING' and planned = 0 and leaving = 0 and waiting = 0
            """)
    int finish(@Param("id") UUID id, @Param("at") Instant at);

    /** Has one have gone out long ago; for the demo’s data. */
    @Update(
            """
            update mailing
            set state = 'DONE', started_by = #{by}, created_at = #{at}, changed_at = #{at}, started_at = #{at},
                ended_at = #{at}
            where id = #{id}
            """)
    void keepSent(@Param("id") UUID id, @Param("by") UUID by, @Param("at") Instant at);

    /** How often in a row the mail server took nothing. */
    @Select("select rests from mailing where id = #{id}")
    int rests(UUID id);

    @Update(
            """
            update mailing set rests = rests + 1, rests_until = #{until}, said = #{said} where id = #{id}
            """)
    void rest(@Param("id") UUID id, @Param("until") Instant until, @Param("said") String said);

    @Update("update mailing set rests = 0, rests_until = null, said = '' where id = #{id} and rests > 0")
    void awake(UUID id);

    /** Moves one of its people from one count to another; either is null for none. */
    void count(@Param("id") UUID id, @Param("from") String from, @Param("to") String to);

    /**
     * Counts its people afresh. It is locked first, in a statement of its own: one that counts while it waits for the lock would
     * count what was there before.
     */
    default void recount(UUID id) {
        hold(id);
        countPeople(id);
    }

    /** The same; whoever asks has locked it. */
    void countPeople(UUID id);

    @Select("select most, per_hour, per_day, look from mailing_rules where id = 1")
    SendingRules rules();

    /** The same, locked until the transaction ends. */
    @Select("select most, per_hour, per_day, look from mailing_rules where id = 1 for update")
    SendingRules holdRules();

    @Update(
            """
            update mailing_rules set most = #{most}, per_hour = #{perHour}, per_day = #{perDay}, look = #{look} where id = 1
            """)
    void changeRules(SendingRules rules);
}
