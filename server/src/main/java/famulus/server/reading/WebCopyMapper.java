package famulus.server.reading;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The links with which messages are shown. */
@Mapper
interface WebCopyMapper {
    /**
     * A link without what it shows.
     *
     * @param openUntil null for as long as nobody closes it
     * @param forAnybody whether it shows a page with nothing personal in it
     * @param pictureId what stands beside its title where it is passed on; null for nothing
     */
    record CopyRow(
            UUID id,
            String copyKey,
            UUID messageId,
            UUID madeBy,
            Instant madeAt,
            Instant openUntil,
            boolean forAnybody,
            UUID pictureId) {}

    /** A page, packed; {@code size} is how many bytes it is. */
    record PageBytes(int size, byte[] packed) {}

    String COLUMNS =
            "select id, copy_key, message_id, made_by, made_at, open_until, size is not null as for_anybody, picture_id"
                    + " from web_copy ";

    @Insert(
            """
            insert into web_copy (id, copy_key, message_id, made_by, made_at, open_until, size, packed, picture_id)
            values (#{row.id}, #{row.copyKey}, #{row.messageId}, #{row.madeBy}, #{row.madeAt}, #{row.openUntil},
                    #{page.size}, #{page.packed}, #{row.pictureId})
            """)
    void insert(@Param("row") CopyRow row, @Param("page") PageBytes page);

    /** Those of a message that are open at a moment, the newest first. Leans on web_copy_message. */
    @Select(COLUMNS + "where message_id = #{message} and (open_until is null or open_until > #{at})"
            + " order by made_at desc, id limit 50")
    List<CopyRow> open(@Param("message") UUID message, @Param("at") Instant at);

    @Select(COLUMNS + "where id = #{id}")
    Optional<CopyRow> byId(UUID id);

    @Select(COLUMNS + "where copy_key = #{key}")
    Optional<CopyRow> byKey(String key);

    @Select("select size, packed from web_copy where id = #{id}")
    PageBytes page(UUID id);

    @Delete("delete from web_copy where id = #{id}")
    void delete(UUID id);
}
