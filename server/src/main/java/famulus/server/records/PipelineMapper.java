package famulus.server.records;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Roles on deals, and how many records have an option. Names of tables and columns never come from a request. */
@Mapper
interface PipelineMapper {
    @Select("select label from contact_role order by position, label")
    List<String> roles();

    @Delete("delete from contact_role")
    void clearRoles();

    @Insert("insert into contact_role (label, position) values (#{label}, #{position})")
    void role(@Param("label") String label, @Param("position") int position);

    /** How many records hold the same. */
    record UseRow(String stored, int count) {}

    @Select(
            "select ${column} as stored, count(*) as count from ${table} where ${column} is not null group by ${column}")
    List<UseRow> usesOf(@Param("table") String table, @Param("column") String column);

    /** The same of a field whose values stand in field_value; leans on field_value_field. */
    @Select(
            """
            select text_value as stored, count(*) as count from field_value
            where kind = #{kind} and field_name = #{field} and text_value is not null group by text_value
            """)
    List<UseRow> usesOfOwn(@Param("kind") String kind, @Param("field") String field);
}
