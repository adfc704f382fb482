package famulus.server.messages;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What messages on their way were made of, as JSON of {@link LeavingPlan}. */
@Mapper
interface LeavingMapper {
    @Insert("merge into message_plan (message_id, plan) key (message_id) values (#{message}, #{plan})")
    void keep(@Param("message") UUID message, @Param("plan") String plan);

    @Select("select plan from message_plan where message_id = #{message}")
    Optional<String> plan(UUID message);

    @Delete("delete from message_plan where message_id = #{message}")
    void forget(UUID message);
}
