package famulus.server.records;

import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Calls, notes and answers noted by hand, with the messages that went out between them. */
@Mapper
interface HistoryMapper {
    /** An entry; for a message {@code kind} is MESSAGE and {@code words} its subject. */
    record EntryRow(
            UUID id,
            String kind,
            Instant at,
            String byName,
            UUID byId,
            Integer minutes,
            String words,
            String person,
            String templateName,
            String state,
            String firstWords,
            Instant plannedFor,
            Instant openedAt,
            String clicked,
            boolean unsubscribed) {}

    record NewEntry(
            UUID id,
            String kind,
            String recordKind,
            UUID recordId,
            UUID dealId,
            Instant at,
            UUID byId,
            Integer minutes,
            String words) {}

    /**
     * The history, newest first.
     *
     * @param before only what is older than an entry; null for the newest of all
     */
    List<EntryRow> entries(
            @Param("kind") String kind,
            @Param("id") UUID id,
            @Param("before") Before before,
            @Param("most") int most,
            @Param("asking") Colleague asking);

    /** The entry that older ones follow on. */
    record Before(Instant at, UUID id) {}

    @Insert(
            """
            insert into history_entry
              (id, kind, record_kind, record_id, deal_id, organisation_id, at, by_id, minutes, words)
            values
              (#{id}, #{kind}, #{recordKind}, #{recordId}, #{dealId},
               case when #{recordKind} = 'organisation' then #{recordId}
                    else (select p.organisation_id from contact p where p.id = #{recordId}) end,
               #{at}, #{byId}, #{minutes}, #{words})
            """)
    void insert(NewEntry entry);

    /** Who noted an entry, and of whom. */
    record WrittenBy(UUID byId, UUID recordId) {}

    @Select("select by_id, record_id from history_entry where id = #{id}")
    Optional<WrittenBy> writtenBy(UUID id);

    @Delete("delete from history_entry where id = #{id}")
    void delete(UUID id);
}
