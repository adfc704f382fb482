package famulus.server.reading;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What a reader of a message can come back to, and what became of messages. */
@Mapper
interface ReadingMapper {
    /** A message as its reader's key finds it; {@code sentAt} is null until it is handed over. */
    record PageRow(
            UUID messageId,
            String personKind,
            UUID personId,
            String toAddress,
            Instant sentAt,
            Instant createdAt,
            boolean counted,
            UUID topicId) {}

    /** {@code address} is null for anything but a click. */
    record EventRow(
            UUID id,
            UUID messageId,
            UUID personId,
            String kind,
            Instant at,
            String address,
            String program,
            boolean ahead,
            boolean byMachine) {}

    @Insert(
            """
            insert into message_page (message_id, reader_key, counted, several, topic_id)
            values (#{message}, #{key}, #{counted}, #{several}, #{topic})
            """)
    void page(
            @Param("message") UUID message,
            @Param("key") String key,
            @Param("counted") boolean counted,
            @Param("several") boolean several,
            @Param("topic") UUID topic);

    @Insert("insert into message_link (message_id, number, address) values (#{message}, #{number}, #{address})")
    void link(@Param("message") UUID message, @Param("number") int number, @Param("address") String address);

    @Select("select reader_key from message_page where message_id = #{message}")
    Optional<String> key(UUID message);

    /** A message by its reader’s key. */
    Optional<PageRow> byKey(String key);

    @Select("select address from message_link where message_id = #{message} and number = #{number}")
    Optional<String> address(@Param("message") UUID message, @Param("number") int number);

    @Select("select address from message_link where message_id = #{message} order by number")
    List<String> links(UUID message);

    @Insert(
            """
            insert into delivery_event (id, message_id, person_id, kind, at, address, program, ahead, by_machine)
            values (#{id}, #{messageId}, #{personId}, #{kind}, #{at}, #{address}, #{program}, #{ahead}, #{byMachine})
            """)
    void event(EventRow event);

    @Select("select * from delivery_event where message_id = #{message} order by at, id limit 1000")
    List<EventRow> events(UUID message);

    /** What became of several messages, in the order of time; so many at most. Leans on delivery_event_message. */
    @Select(
            """
            select e.* from unnest(#{messages,typeHandler=famulus.server.platform.IdentifiersTypeHandler}) as wanted(id)
            join delivery_event e on e.message_id = wanted.id
            order by e.at, e.id
            limit #{most}
            """)
    List<EventRow> ofSeveral(@Param("messages") Collection<UUID> messages, @Param("most") int most);

    @Update("update delivery_event set by_machine = #{byMachine} where id = #{id}")
    void judge(@Param("id") UUID id, @Param("byMachine") boolean byMachine);

    /** What is known of how somebody read their messages. */
    record ReadRow(Instant lastOpened, Instant lastClicked, String clickedLink) {}

    /** Empty when nothing is known. Leans on delivery_event_person. */
    @Select(
            """
            select (select max(e.at) from delivery_event e
                    where e.person_id = #{person} and e.kind = 'OPENED' and not e.by_machine) as last_opened,
                   c.at as last_clicked, c.address as clicked_link
            from (values (1)) one
            left join (
              select e.at, e.address from delivery_event e
              where e.person_id = #{person} and e.kind = 'CLICKED' and not e.by_machine
              order by e.at desc, e.id desc
              limit 1) c on true
            """)
    Optional<ReadRow> read(UUID person);
}
