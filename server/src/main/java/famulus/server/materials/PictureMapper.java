package famulus.server.materials;

import famulus.server.team.Colleague;
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
            Instant addedAt,
            UUID folderId,
            UUID addedBy) {}

    /** Where the bytes of a picture are. */
    record ContentRow(String mediaType, boolean moving, String content) {}

    /** Those somebody sees, by name. */
    List<PictureRow> seen(@Param("asking") Colleague asking);

    /** Some of those in Materials, whoever asks. */
    List<PictureRow> some(@Param("ids") Collection<UUID> ids);

    /** Those of some that are in Materials, where somebody does not see them. */
    List<UUID> unseen(@Param("ids") Collection<UUID> ids, @Param("asking") Colleague asking);

    @Select("select count(*) > 0 from picture where id = #{id}")
    boolean has(UUID id);

    @Select("select media_type, moving, content from picture where id = #{id}")
    Optional<ContentRow> content(UUID id);

    @Insert(
            """
            insert into picture (id, name, description, category, media_type, width, height, moving, size, content,
                                 added_by, added_at, folder_id)
            values (#{p.id}, #{p.name}, #{p.description}, #{p.category}, #{p.mediaType}, #{p.width}, #{p.height},
                    #{p.moving}, #{p.size}, #{content}, #{p.addedBy}, #{p.addedAt}, #{p.folderId})
            """)
    void insert(@Param("p") PictureRow picture, @Param("content") String content);

    @Update(
            """
            update picture set name = #{name}, description = #{description}, category = #{category} where id = #{id}
            """)
    int describe(
            @Param("id") UUID id,
            @Param("name") String name,
            @Param("description") String description,
            @Param("category") String category);

    /** One with the same bytes that a colleague sees, or that is kept aside for them. Leans on the index of the reference. */
    Optional<UUID> same(@Param("content") String content, @Param("asking") Colleague asking);

    @Update("update picture set kept_until = #{until} where id = #{id}")
    void keepUntil(@Param("id") UUID id, @Param("until") Instant until);

    /** Those that are kept aside. Leans on picture_kept_until. */
    @Select("select id from picture where kept_until is not null")
    List<UUID> aside();

    @Select("select id from picture where kept_until <= #{now}")
    List<UUID> outdated(Instant now);

    @Update("update picture set kept_until = null, folder_id = #{folder} where id = #{id}")
    void take(@Param("id") UUID id, @Param("folder") UUID folder);

    @Delete("delete from picture where id = #{id}")
    void delete(UUID id);

    @Select("select id from house_style where look like concat('%', #{id}, '%')")
    List<UUID> inStyles(String id);
}
