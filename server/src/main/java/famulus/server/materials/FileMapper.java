package famulus.server.materials;

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

/** Files that are attached to messages. */
@Mapper
interface FileMapper {
    /** Those in Materials, by name. Leans on kept_file_name. */
    List<FileService.KeptFile> all();

    /** Some files, wherever they belong. */
    List<FileService.KeptFile> some(@Param("ids") Collection<UUID> ids);

    /** A file, and where its bytes are. */
    record ContentRow(String name, String mediaType, String content) {}

    @Select("select name, media_type, content from kept_file where id = #{id}")
    Optional<ContentRow> content(UUID id);

    @Insert(
            """
            insert into kept_file (id, name, media_type, size, content, added_by, added_at, shared)
            values (#{id}, #{name}, #{type}, #{size}, #{content}, #{by}, #{at}, #{shared})
            """)
    void insert(
            @Param("id") UUID id,
            @Param("name") String name,
            @Param("type") String mediaType,
            @Param("size") int size,
            @Param("content") String content,
            @Param("by") UUID by,
            @Param("at") Instant at,
            @Param("shared") boolean shared);

    @Delete("delete from kept_file where id = #{id}")
    void delete(UUID id);
}
