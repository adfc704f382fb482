package famulus.server.library;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Update;

/** Who has which template on the desk. */
@Mapper
interface PresenceMapper {
    @Update("update desk_presence set seen_at = #{at} where template_id = #{template} and colleague_id = #{colleague}")
    int renew(@Param("template") UUID template, @Param("colleague") UUID colleague, @Param("at") Instant at);

    @Insert("insert into desk_presence (template_id, colleague_id, seen_at) values (#{template}, #{colleague}, #{at})")
    void come(@Param("template") UUID template, @Param("colleague") UUID colleague, @Param("at") Instant at);

    @Delete("delete from desk_presence where template_id = #{template} and colleague_id = #{colleague}")
    void leave(@Param("template") UUID template, @Param("colleague") UUID colleague);

    List<String> others(
            @Param("template") UUID template, @Param("colleague") UUID colleague, @Param("since") Instant since);
}
