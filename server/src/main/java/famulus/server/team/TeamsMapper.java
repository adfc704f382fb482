package famulus.server.team;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Teams, and who is in them. */
@Mapper
interface TeamsMapper {
    record TeamRow(UUID id, String name) {}

    record MemberRow(UUID teamId, UUID colleagueId) {}

    @Select("select id, name from team order by lower(name), id")
    List<TeamRow> all();

    @Select("select team_id, colleague_id from team_member")
    List<MemberRow> members();

    @Insert("insert into team (id, name) values (#{id}, #{name})")
    void insert(@Param("id") UUID id, @Param("name") String name);

    @Update("update team set name = #{name} where id = #{id}")
    int rename(@Param("id") UUID id, @Param("name") String name);

    @Delete("delete from team where id = #{id}")
    int delete(UUID id);

    @Delete("delete from team_member where team_id = #{id}")
    void clear(UUID id);

    @Insert("insert into team_member (team_id, colleague_id) values (#{id}, #{colleague})")
    void add(@Param("id") UUID id, @Param("colleague") UUID colleague);
}
