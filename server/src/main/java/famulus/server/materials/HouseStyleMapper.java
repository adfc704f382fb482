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

/** House styles. */
@Mapper
interface HouseStyleMapper {
    /** A house style as it is kept; {@code look} is JSON. */
    record StyleRow(UUID id, String name, String look, boolean usual, int version, Instant changedAt) {}

    @Select("select id, name, look, usual, version, changed_at from house_style order by usual desc, name")
    List<StyleRow> all();

    @Select("select id, name, look, usual, version, changed_at from house_style where id = #{id}")
    Optional<StyleRow> byId(UUID id);

    @Insert(
            """
            insert into house_style (id, name, look, usual, version, changed_at, changed_by)
            values (#{s.id}, #{s.name}, #{s.look}, #{s.usual}, 1, #{s.changedAt}, #{by})
            """)
    void insert(@Param("s") StyleRow style, @Param("by") UUID by);

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

    @Update("update house_style set usual = (id = #{id})")
    void makeUsual(UUID id);
}
