package famulus.server.materials;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** House styles. */
@Mapper
interface HouseStyleMapper {
    /** A house style as it is kept; {@code look} is JSON. */
    record StyleRow(
            UUID id,
            String name,
            String look,
            boolean usual,
            int version,
            Instant changedAt,
            UUID folderId,
            UUID ownerId) {}

    @Select(
            """
            select id, name, look, usual, version, changed_at, folder_id, owner_id
            from house_style
            order by usual desc, name, id
            """)
    List<StyleRow> all();

    @Insert(
            """
            insert into house_style (id, name, look, usual, version, changed_at, changed_by, folder_id, owner_id)
            values (#{s.id}, #{s.name}, #{s.look}, #{s.usual}, 1, #{s.changedAt}, #{s.ownerId}, #{s.folderId},
                    #{s.ownerId})
            """)
    void insert(@Param("s") StyleRow style);

    @Update(
            """
            update house_style
            set name = #{s.name}, look = #{s.look}, version = version + 1, changed_at = #{s.changedAt}, changed_by = #{by}
            where id = #{s.id} and version = #{s.version}
            """)
    int update(@Param("s") StyleRow style, @Param("by") UUID by);

    /** Somebody who may change a style, whatever their role. */
    record NamedRow(UUID houseStyleId, UUID colleagueId) {}

    @Select("select house_style_id, colleague_id from house_style_named order by house_style_id, colleague_id")
    List<NamedRow> named();

    @Delete("delete from house_style_named where house_style_id = #{id}")
    void clearNamed(UUID id);

    @Insert("insert into house_style_named (house_style_id, colleague_id) values (#{id}, #{colleague})")
    void insertNamed(@Param("id") UUID id, @Param("colleague") UUID colleague);

    @Update("update house_style set folder_id = #{folder} where id = #{id}")
    void move(@Param("id") UUID id, @Param("folder") UUID folder);

    @Select("select count(*) from house_style where folder_id = #{folder}")
    int inFolder(UUID folder);

    @Update("update house_style set usual = (id = #{id})")
    void makeUsual(UUID id);
}
