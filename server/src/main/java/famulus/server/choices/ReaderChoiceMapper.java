package famulus.server.choices;

import famulus.core.audience.ReaderChoice.Pace;
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

/** What readers have chosen. Who has chosen nothing has no rows. */
@Mapper
interface ReaderChoiceMapper {
    record ChoiceRow(UUID personId, boolean nothing, Pace pace) {}

    record RefusedRow(UUID personId, UUID topicId) {}

    @Select(
            """
            select c.person_id, c.nothing, c.pace
            from unnest(#{people,typeHandler=famulus.server.platform.IdentifiersTypeHandler}) as wanted(id)
            join reader_choice c on c.person_id = wanted.id
            """)
    List<ChoiceRow> choices(@Param("people") Collection<UUID> people);

    @Select(
            """
            select r.person_id, r.topic_id
            from unnest(#{people,typeHandler=famulus.server.platform.IdentifiersTypeHandler}) as wanted(id)
            join topic_refused r on r.person_id = wanted.id
            """)
    List<RefusedRow> refused(@Param("people") Collection<UUID> people);

    @Insert(
            """
            merge into reader_choice (person_id, nothing, pace, changed_at) key (person_id)
            values (#{row.personId}, #{row.nothing}, #{row.pace}, #{at})
            """)
    void keep(@Param("row") ChoiceRow row, @Param("at") Instant at);

    @Delete("delete from topic_refused where person_id = #{person}")
    void clearRefused(UUID person);

    @Insert("insert into topic_refused (person_id, topic_id) values (#{personId}, #{topicId})")
    void refuse(RefusedRow row);

    /** How choices were before one was made, so that it can be undone; {@code before} is JSON. */
    @Insert(
            """
            insert into reader_choice_change (id, message_id, at, before)
            values (#{id}, #{message}, #{at}, #{before})
            """)
    void change(
            @Param("id") UUID id,
            @Param("message") UUID message,
            @Param("at") Instant at,
            @Param("before") String before);

    @Select("select before from reader_choice_change where id = #{id} and message_id = #{message}")
    Optional<String> before(@Param("id") UUID id, @Param("message") UUID message);

    @Delete("delete from reader_choice_change where id = #{id}")
    void forget(UUID id);
}
