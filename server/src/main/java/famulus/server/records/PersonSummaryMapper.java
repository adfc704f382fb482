package famulus.server.records;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The summary row of each person. */
@Mapper
interface PersonSummaryMapper {
    @Insert("insert into person_summary (person_id, times_written, unsubscribed) values (#{person}, 0, false)")
    void begin(UUID person);

    @Insert(
            """
            insert into person_summary (person_id, times_written, unsubscribed)
            select t.id, 0, false
            from unnest(#{people,typeHandler=famulus.server.platform.IdentifiersTypeHandler}) as t(id)
            """)
    void beginAll(@Param("people") Collection<UUID> people);

    /** Until the transaction ends nobody else changes the row of a person. */
    @Select("select person_id from person_summary where person_id = #{person} for update")
    UUID hold(UUID person);

    @Update(
            """
            update person_summary
            set times_written = times_written + 1,
                last_written = case when last_written > #{at} then last_written else #{at} end
            where person_id = #{person}
            """)
    void wrote(@Param("person") UUID person, @Param("at") Instant at);

    @Update(
            """
            update person_summary
            set last_to_several = case when last_to_several > #{at} then last_to_several else #{at} end
            where person_id = #{person}
            """)
    void wroteToSeveral(@Param("person") UUID person, @Param("at") Instant at);

    @Update("update person_summary set last_to_several = #{at} where person_id = #{person}")
    void keepToSeveral(@Param("person") UUID person, @Param("at") Instant at);

    /** When somebody was last written to. */
    record LastRow(Instant at) {}

    @Select("select last_written as at from person_summary where person_id = #{person} and last_written is not null")
    Optional<LastRow> lastWritten(UUID person);

    @Update(
            """
            update person_summary set times_written = times_written - 1, last_written = #{last}
            where person_id = #{person}
            """)
    void unwrote(@Param("person") UUID person, @Param("last") Instant last);

    @Update(
            """
            update person_summary
            set last_opened = #{opened}, last_clicked = #{clicked}, clicked_link = #{link}
            where person_id = #{person}
            """)
    void read(
            @Param("person") UUID person,
            @Param("opened") Instant opened,
            @Param("clicked") Instant clicked,
            @Param("link") String link);

    @Update("update person_summary set unsubscribed = #{unsubscribed} where person_id = #{person}")
    void unsubscribed(@Param("person") UUID person, @Param("unsubscribed") boolean unsubscribed);

    @Select("select last_reply as at from person_summary where person_id = #{person} and last_reply is not null")
    Optional<LastRow> lastReply(UUID person);

    /** Leans on history_entry_kind. */
    @Update(
            """
            update person_summary
            set last_reply = (select max(h.at) from history_entry h
                               where h.record_id = #{person} and h.kind = 'ANSWERED_ELSEWHERE'),
                last_called = (select max(h.at) from history_entry h where h.record_id = #{person} and h.kind = 'CALL')
            where person_id = #{person}
            """)
    void heard(UUID person);

    void deals(@Param("contacts") Collection<UUID> contacts);

    @Select("select contact_id from deal_contact where deal_id = #{deal}")
    List<UUID> contactsOf(UUID deal);

    @Select(
            """
            select s.person_id, s.last_written, s.last_to_several
            from unnest(#{people,typeHandler=famulus.server.platform.IdentifiersTypeHandler}) as wanted(id)
            join person_summary s on s.person_id = wanted.id
            """)
    List<PersonSummaries.Reached> reached(@Param("people") Collection<UUID> people);
}
