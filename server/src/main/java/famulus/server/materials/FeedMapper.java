package famulus.server.materials;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Feeds as they were read last. */
@Mapper
interface FeedMapper {
    /** A feed; {@code address} is null for one that came as a file. */
    record FeedRow(UUID id, String name, String address, String xml, Instant readAt) {}

    @Select("select id, name, address, xml, read_at from feed order by name")
    List<FeedRow> all();

    @Insert(
            """
            insert into feed (id, name, address, xml, read_at, added_by)
            values (#{f.id}, #{f.name}, #{f.address}, #{f.xml}, #{f.readAt}, #{by})
            """)
    void insert(@Param("f") FeedRow feed, @Param("by") UUID by);

    @Update("update feed set xml = #{xml}, read_at = #{at} where id = #{id}")
    void update(@Param("id") UUID id, @Param("xml") String xml, @Param("at") Instant at);

    @Delete("delete from feed where id = #{id}")
    void delete(UUID id);
}
