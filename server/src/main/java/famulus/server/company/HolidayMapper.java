package famulus.server.company;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Holidays as stored. */
@Mapper
interface HolidayMapper {
    record HolidayRow(String country, int position, String name, String rule) {}

    @Select("select country, position, name, rule from holiday order by country, position")
    List<HolidayRow> all();

    @Select("select count(*) from holiday")
    int count();

    @Delete("delete from holiday where country = #{country}")
    void clear(String country);

    @Insert("insert into holiday (country, position, name, rule) values (#{country}, #{position}, #{name}, #{rule})")
    void insert(HolidayRow holiday);
}
