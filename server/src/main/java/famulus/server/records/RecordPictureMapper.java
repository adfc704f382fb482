package famulus.server.records;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Which picture each record has. */
@Mapper
interface RecordPictureMapper {
    /** The picture of a record. */
    record RecordPictureRow(String kind, UUID recordId, UUID pictureId) {}

    @Select("select picture_id from record_picture where kind = #{kind} and record_id = #{record}")
    Optional<UUID> of(@Param("kind") String kind, @Param("record") UUID record);

    /** Those of a few records; an identifier is of one kind alone. */
    @Select(
            """
            <script>
            select kind, record_id, picture_id from record_picture
            where record_id in <foreach item="id" collection="records" open="(" separator="," close=")">#{id}</foreach>
            </script>
            """)
    List<RecordPictureRow> all(@Param("records") List<UUID> records);

    @Insert(
            """
            merge into record_picture (kind, record_id, picture_id) key (kind, record_id)
            values (#{kind}, #{record}, #{picture})
            """)
    void keep(@Param("kind") String kind, @Param("record") UUID record, @Param("picture") UUID picture);

    @Delete("delete from record_picture where kind = #{kind} and record_id = #{record}")
    void forget(@Param("kind") String kind, @Param("record") UUID record);
}
