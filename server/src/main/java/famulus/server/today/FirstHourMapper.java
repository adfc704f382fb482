package famulus.server.today;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Steps of the first hour that are passed over. */
@Mapper
interface FirstHourMapper {
    @Select("select step from skipped_step")
    List<FirstHourStep> skipped();

    @Insert("merge into skipped_step (step) key (step) values (#{step})")
    void skip(@Param("step") FirstHourStep step);

    @Delete("delete from skipped_step where step = #{step}")
    void takeUp(@Param("step") FirstHourStep step);
}
