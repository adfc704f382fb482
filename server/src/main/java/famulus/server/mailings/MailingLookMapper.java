package famulus.server.mailings;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Colleagues who were asked to look at mailings. */
@Mapper
interface MailingLookMapper {
    /** What one was asked, and what they said; {@code answeredAt} and {@code digest} are null until they have. */
    record LookRow(
            UUID mailingId,
            UUID asked,
            UUID askedBy,
            Instant askedAt,
            Instant answeredAt,
            boolean approved,
            String digest,
            String comments) {}

    @Select("select * from mailing_look where mailing_id = #{mailing}")
    Optional<LookRow> of(UUID mailing);

    /** Asks somebody, in place of whoever was asked before. */
    @Insert(
            """
            merge into mailing_look (mailing_id, asked, asked_by, asked_at, answered_at, approved, digest, comments)
            key (mailing_id)
            values (#{mailing}, #{asked}, #{by}, #{at}, null, false, null, '[]')
            """)
    void ask(@Param("mailing") UUID mailing, @Param("asked") UUID asked, @Param("by") UUID by, @Param("at") Instant at);

    /** Keeps what they say; 0 when somebody else was asked meanwhile. */
    @Update(
            """
            update mailing_look
            set answered_at = #{at}, approved = #{approved}, digest = #{digest}, comments = #{comments}
            where mailing_id = #{mailing} and asked = #{asked}
            """)
    int answer(
            @Param("mailing") UUID mailing,
            @Param("asked") UUID asked,
            @Param("approved") boolean approved,
            @Param("digest") String digest,
            @Param("comments") String comments,
            @Param("at") Instant at);

    /** A mailing somebody was asked to look at. */
    record ToLookAtRow(UUID id, String name, UUID askedBy) {}

    /** What somebody was asked to look at and has not answered. Leans on mailing_look_asked. */
    @Select(
            """
            select m.id, m.name, l.asked_by
            from mailing_look l join mailing m on m.id = l.mailing_id
            where l.asked = #{asked} and l.answered_at is null and m.state in ('WRITING', 'PAUSED')
            order by l.asked_at desc
            limit 20
            """)
    List<ToLookAtRow> waiting(UUID asked);
}
