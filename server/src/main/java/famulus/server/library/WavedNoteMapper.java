package famulus.server.library;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Queries that were let pass. */
@Mapper
interface WavedNoteMapper {
    List<WavedNoteService.Waved> all(UUID template);

    @Insert(
            """
            insert into waved_note (template_id, code, words, reason, by_id, at)
            values (#{template}, #{code}, #{words}, #{reason}, #{by}, #{at})
            """)
    void wave(
            @Param("template") UUID template,
            @Param("code") String code,
            @Param("words") String words,
            @Param("reason") String reason,
            @Param("by") UUID by,
            @Param("at") Instant at);

    @Delete("delete from waved_note where template_id = #{template} and code = #{code} and words = #{words}")
    int takeBack(@Param("template") UUID template, @Param("code") String code, @Param("words") String words);
}
