package famulus.server.cupboard;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Files that go along with messages. */
@Mapper
interface FileMapper {
    @Select(
            """
            select f.id, f.name, f.media_type, octet_length(f.content) as size, c.first_name as added_by, f.added_at
            from kept_file f
            join colleague c on c.id = f.added_by
            order by f.name, f.id
            """)
    List<FileService.KeptFile> all();

    /** A file with its bytes. */
    record ContentRow(String name, String mediaType, byte[] content) {}

    @Select("select name, media_type, content from kept_file where id = #{id}")
    Optional<ContentRow> content(UUID id);

    @Insert(
            """
            insert into kept_file (id, name, media_type, content, added_by, added_at)
            values (#{id}, #{name}, #{type}, #{content}, #{by}, #{at})
            """)
    void insert(
            @Param("id") UUID id,
            @Param("name") String name,
            @Param("type") String mediaType,
            @Param("content") byte[] content,
            @Param("by") UUID by,
            @Param("at") Instant at);

    @Delete("delete from kept_file where id = #{id}")
    void delete(UUID id);

    @Select("select name from template where deleted_at is null and files like concat('%', #{id}, '%') order by name")
    List<String> using(String id);
}
