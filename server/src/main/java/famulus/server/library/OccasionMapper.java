package famulus.server.library;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The SQL of when templates are meant to be used. */
@Mapper
interface OccasionMapper {
    /** One thing that is named: a month by its number, a stage or a country by its code. */
    record Named(UUID templateId, String what, String code) {}

    /** Few templates name anything, so that those of all of them are read at once. */
    @Select("select template_id, what, code from template_occasion order by template_id, what, code")
    List<Named> all();

    @Select("select template_id, what, code from template_occasion where template_id = #{id} order by what, code")
    List<Named> of(UUID id);

    @Delete("delete from template_occasion where template_id = #{id}")
    void clear(UUID id);

    @Insert("insert into template_occasion (template_id, what, code) values (#{id}, #{what}, #{code})")
    void insert(@Param("id") UUID id, @Param("what") String what, @Param("code") String code);
}
