package famulus.server.practicepost;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Letters received. */
@Mapper
interface PracticePostMapper {
    record Inbox(String address, int letters, Instant newest) {}

    record LetterRow(long id, Instant arrivedAt, String toAddress, byte[] source) {}

    @Insert("insert into practice_letter (arrived_at, to_address, source) values (#{at}, #{to}, #{source})")
    void insert(@Param("at") Instant at, @Param("to") String to, @Param("source") byte[] source);

    @Select(
            """
            select to_address as address, count(*) as letters, max(arrived_at) as newest
            from practice_letter
            group by to_address
            order by newest desc, address
            limit 500
            """)
    List<Inbox> inboxes();

    @Select(
            """
            select id, arrived_at, to_address, source
            from practice_letter
            where to_address = #{address}
            order by id desc
            limit 200
            """)
    List<LetterRow> letters(String address);

    @Select("select id, arrived_at, to_address, source from practice_letter where id = #{id}")
    Optional<LetterRow> letter(long id);
}
