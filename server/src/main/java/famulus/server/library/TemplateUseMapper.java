package famulus.server.library;

import java.time.Instant;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Update;

/** How often templates were used and tested. */
@Mapper
interface TemplateUseMapper {
    @Update(
            """
            update template_use
            set times = times + 1, last_at = case when last_at > #{at} then last_at else #{at} end
            where template_id = #{template} and colleague_id = #{colleague}
            """)
    int again(@Param("template") UUID template, @Param("colleague") UUID colleague, @Param("at") Instant at);

    @Insert(
            """
            insert into template_use (template_id, colleague_id, times, last_at)
            values (#{template}, #{colleague}, 1, #{at})
            """)
    void first(@Param("template") UUID template, @Param("colleague") UUID colleague, @Param("at") Instant at);

    @Insert(
            """
            merge into template_test (template_id, version, at, by_id) key (template_id)
            values (#{template}, #{version}, #{at}, #{by})
            """)
    void tested(
            @Param("template") UUID template,
            @Param("version") int version,
            @Param("at") Instant at,
            @Param("by") UUID by);
}
