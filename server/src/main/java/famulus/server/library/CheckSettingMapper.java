package famulus.server.library;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The SQL of how a company wants its checks, and of how often each was ignored. */
@Mapper
interface CheckSettingMapper {
    /**
     * A check that was set, or ignored at least once.
     *
     * @param level as it is wanted; null for as it comes
     */
    record SettingRow(String code, String level, int ignored) {}

    @Select("select code, level, ignored from check_setting")
    List<SettingRow> all();

    @Update(
            """
            merge into check_setting t using (values (#{code}, #{level})) s (code, level) on t.code = s.code
            when matched then update set level = s.level
            when not matched then insert (code, level, ignored) values (s.code, s.level, 0)
            """)
    void set(@Param("code") String code, @Param("level") String level);

    @Update(
            """
            merge into check_setting t using (values (#{code}, #{by})) s (code, n) on t.code = s.code
            when matched then update set ignored = greatest(0, t.ignored + s.n)
            when not matched then insert (code, level, ignored) values (s.code, null, greatest(0, s.n))
            """)
    void count(@Param("code") String code, @Param("by") int by);
}
