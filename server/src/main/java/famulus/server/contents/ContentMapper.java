package famulus.server.contents;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Bytes by what they are, and messages of the wire that are made of them. */
@Mapper
interface ContentMapper {
    @Select("select count(*) > 0 from content where hash = #{hash}")
    boolean has(String hash);

    /** Several that keep the same bytes at once are no mistake. */
    @Insert("merge into content (hash, bytes) key (hash) values (#{hash}, #{bytes})")
    void keep(@Param("hash") String hash, @Param("bytes") byte[] bytes);

    /** Bytes, as a row: a mapper takes a bare array for many rows. */
    record BytesRow(byte[] bytes) {}

    @Select("select bytes from content where hash = #{hash}")
    Optional<BytesRow> read(String hash);

    @Insert("insert into kept_source (id, size, packed) values (#{id}, #{size}, #{packed})")
    void keepSource(@Param("id") UUID id, @Param("size") int size, @Param("packed") byte[] packed);

    /** A content within a message: where it goes in what is left of the message. */
    record WithinRow(int at, String hash) {}

    @Insert(
            """
            insert into kept_source_content (source_id, position, at, hash)
            values (#{id}, #{position}, #{at}, #{hash})
            """)
    void keepWithin(
            @Param("id") UUID id, @Param("position") int position, @Param("at") int at, @Param("hash") String hash);

    @Delete("delete from kept_source_content where source_id = #{id}")
    void forgetWithin(UUID id);

    @Delete("delete from kept_source where id = #{id}")
    void forgetSource(UUID id);

    /** What is left of a message, packed, and how long it is unpacked. */
    record SourceRow(int size, byte[] packed) {}

    @Select("select size, packed from kept_source where id = #{id}")
    Optional<SourceRow> source(UUID id);

    @Select("select at, hash from kept_source_content where source_id = #{id} order by position")
    List<WithinRow> within(UUID id);
}
