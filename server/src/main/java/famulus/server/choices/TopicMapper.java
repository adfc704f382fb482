package famulus.server.choices;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The topics of messages that go to several people. */
@Mapper
interface TopicMapper {
    record TopicRow(UUID id, String name) {}

    /** What a topic is called in another language; {@code language} by ISO 639. */
    record NameRow(UUID topicId, String language, String name) {}

    @Select("select id, name from topic order by position, id")
    List<TopicRow> all();

    @Select("select topic_id, language, name from topic_name order by topic_id, language")
    List<NameRow> names();

    @Insert("merge into topic (id, name, position) key (id) values (#{id}, #{name}, #{position})")
    void keep(@Param("id") UUID id, @Param("name") String name, @Param("position") int position);

    @Delete("delete from topic_name where topic_id = #{topic}")
    void clearNames(UUID topic);

    @Insert("insert into topic_name (topic_id, language, name) values (#{topicId}, #{language}, #{name})")
    void name(NameRow row);

    /** Nobody can want nothing about it any more, and no message is about it. */
    @Delete("delete from topic where id = #{topic}")
    void remove(UUID topic);
}
