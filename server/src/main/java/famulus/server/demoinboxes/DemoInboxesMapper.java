package famulus.server.demoinboxes;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Letters received. */
@Mapper
interface DemoInboxesMapper {
    record Inbox(String address, int letters, Instant newest) {}

    /** A letter without what it says; {@code words} are its first ones. */
    record LetterRow(long id, Instant arrivedAt, String fromName, String subject, String words, UUID sourceId) {}

    @Insert(
            """
            insert into demo_letter (arrived_at, to_address, from_name, subject, words, source_id)
            values (#{letter.arrivedAt}, #{to}, #{letter.fromName}, #{letter.subject}, #{letter.words}, #{letter.sourceId})
            """)
    void insert(@Param("to") String to, @Param("letter") LetterRow letter);

    @Select(
            """
            select to_address as address, count(*) as letters, max(arrived_at) as newest
            from demo_letter
            group by to_address
            order by newest desc, address
            limit 500
            """)
    List<Inbox> inboxes();

    @Select(
            """
            select id, arrived_at, from_name, subject, words, source_id
            from demo_letter
            where to_address = #{address}
            order by id desc
            limit 200
            """)
    List<LetterRow> letters(String address);

    @Select("select id, arrived_at, from_name, subject, words, source_id from demo_letter where id = #{id}")
    Optional<LetterRow> letter(long id);
}
