package famulus.server.messages;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What messages were made of, as JSON of {@link LeavingPlan}. */
@Mapper
interface LeavingMapper {
    /**
     * A plan, packed.
     *
     * @param size how many bytes it is
     */
    record PlanRow(int size, byte[] packed) {}

    @Insert(
            "merge into message_plan (message_id, size, packed) key (message_id) values (#{message}, #{size}, #{packed})")
    void keep(@Param("message") UUID message, @Param("size") int size, @Param("packed") byte[] packed);

    @Select("select size, packed from message_plan where message_id = #{message}")
    Optional<PlanRow> plan(UUID message);

    @Select("select exists (select * from message_plan where message_id = #{message})")
    boolean knows(UUID message);

    @Delete("delete from message_plan where message_id = #{message}")
    void forget(UUID message);
}
