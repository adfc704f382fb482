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
import org.apache.ibatis.annotations.Update;

/** Pictures of the library. */
@Mapper
interface PictureMapper {
    /** A picture without its bytes. */
    record PictureRow(
            UUID id,
            String name,
            String description,
            String category,
            String mediaType,
            int width,
            int height,
            boolean moving,
            int size,
            Instant addedAt) {}

    /** Where the bytes of a picture are. */
    record ContentRow(String mediaType, boolean moving, String content) {}

    @Select(
            """
            select id, name, description, category, media_type, width, height, moving, size, added_at
            from picture
            where shared
            order by name, id
            """)
    List<PictureRow> all();

    @Select("select count(*) > 0 from picture where id = #{id}")
    boolean has(UUID id);

    @Select("select media_type, moving, content from picture where id = #{id}")
    Optional<ContentRow> content(UUID id);

    @Insert(
            """
            insert into picture (id, name, description, category, media_type, width, height, moving, size, content,
                                 added_by, added_at, shared)
            values (#{p.id}, #{p.name}, #{p.description}, #{p.category}, #{p.mediaType}, #{p.width}, #{p.height},
                    #{p.moving}, #{p.size}, #{content}, #{by}, #{p.addedAt}, #{shared})
            """)
    void insert(
            @Param("p") PictureRow picture,
            @Param("content") String content,
            @Param("by") UUID by,
            @Param("shared") boolean shared);

    @Update(
            """
            update picture set name = #{name}, description = #{description}, category = #{category} where id = #{id}
            """)
    int describe(
            @Param("id") UUID id,
            @Param("name") String name,
            @Param("description") String description,
            @Param("category") String category);

    /** One with the same bytes, in Materials or kept aside for the same colleague. Leans on the index of the reference. */
    @Select(
            """
            select id from picture
            where content = #{content} and (shared or (kept_until is not null and added_by = #{by}))
            order by shared desc, id
            limit 1
            """)
    Optional<UUID> same(@Param("content") String content, @Param("by") UUID by);

    @Update("update picture set kept_until = #{until} where id = #{id}")
    void keepUntil(@Param("id") UUID id, @Param("until") Instant until);

    /** Those that are kept aside. Leans on picture_kept_until. */
    @Select("select id from picture where kept_until is not null")
    List<UUID> aside();

    @Select("select id from picture where kept_until <= #{now}")
    List<UUID> outdated(Instant now);

    @Update("update picture set kept_until = null, shared = true where id = #{id}")
    void take(UUID id);

    @Delete("delete from picture where id = #{id}")
    void delete(UUID id);

    @Select("select name from house_style where look like concat('%', #{id}, '%')")
    List<String> inStyles(String id);
}
