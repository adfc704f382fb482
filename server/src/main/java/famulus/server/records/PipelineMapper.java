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

    @Select("select count(*) from ${table} where ${column} = #{code}")
    int used(@Param("table") String table, @Param("column") String column, @Param("code") String code);
}
