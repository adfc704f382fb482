package famulus.server.materials;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Files that are attached to messages. */
@Mapper
interface FileMapper {
    List<FileService.KeptFile> all();

    /** A file, and where its bytes are. */
    record ContentRow(String name, String mediaType, String content) {}

    @Select("select name, media_type, content from kept_file where id = #{id}")
    Optional<ContentRow> content(UUID id);

    @Insert(
            """
            insert into kept_file (id, name, media_type, size, content, added_by, added_at)
            values (#{id}, #{name}, #{type}, #{size}, #{content}, #{by}, #{at})
            """)
    void insert(
            @Param("id") UUID id,
            @Param("name") String name,
            @Param("type") String mediaType,
            @Param("size") int size,
            @Param("content") String content,
            @Param("by") UUID by,
            @Param("at") Instant at);

    @Delete("delete from kept_file where id = #{id}")
    void delete(UUID id);
}
