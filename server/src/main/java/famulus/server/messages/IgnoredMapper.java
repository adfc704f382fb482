package famulus.server.messages;

import famulus.server.library.WavedNoteService.Waved;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of checks that were ignored for a message. */
@Mapper
interface IgnoredMapper {
    /** All of a message, in the order they were ignored. */
    List<Waved> of(UUID message);

    /** The same as history shows them. */
    List<IgnoredNotes.Ignored> shown(UUID message);

    @Insert(
            """
            insert into message_ignored (message_id, code, words, title, reason, by_id, at)
            values (#{message}, #{code}, #{words}, #{title}, #{reason}, #{by}, #{at})
            """)
    void ignore(
            @Param("message") UUID message,
            @Param("code") String code,
            @Param("words") String words,
            @Param("title") String title,
            @Param("reason") String reason,
            @Param("by") UUID by,
            @Param("at") Instant at);

    @Delete("delete from message_ignored where message_id = #{message} and code = #{code} and words = #{words}")
    int takeBack(@Param("message") UUID message, @Param("code") String code, @Param("words") String words);

    @Delete("delete from message_ignored where message_id = #{message}")
    void forget(UUID message);

    @Update("update message_ignored set message_id = #{to} where message_id = #{from}")
    void move(@Param("from") UUID from, @Param("to") UUID to);

    @Select("select count(*) from message_ignored where message_id = #{message}")
    int count(UUID message);
}
