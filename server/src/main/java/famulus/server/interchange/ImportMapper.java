package famulus.server.interchange;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Files that are imported. */
@Mapper
interface ImportMapper {
    /** A file; what became of it is null until it is imported. */
    record FileRow(
            UUID id,
            String kind,
            String name,
            boolean cards,
            UUID byId,
            String charset,
            int mark,
            String delimiter,
            int headings,
            String dates,
            String decimalMark,
            String targets,
            int rowCount,
            Instant doneAt,
            Integer added,
            Integer updated,
            Integer skipped,
            Integer faulty) {}

    @Select(
            """
            select id, kind, name, cards, by_id, charset, mark, delimiter, headings, dates, decimal_mark, targets, row_count,
              done_at, added, updated, skipped, faulty
            from import_file where id = #{id} and by_id = #{by}
            """)
    Optional<FileRow> file(@Param("id") UUID id, @Param("by") UUID by);

    /** The same, once nobody imports it any more: an import holds its row until it has ended. */
    @Select(
            """
            select id, kind, name, cards, by_id, charset, mark, delimiter, headings, dates, decimal_mark, targets, row_count,
              done_at, added, updated, skipped, faulty
            from import_file where id = #{id} and by_id = #{by} for update
            """)
    Optional<FileRow> ended(@Param("id") UUID id, @Param("by") UUID by);

    @Insert(
            """
            insert into import_file (id, kind, name, cards, by_id, at, charset, mark, delimiter, headings, dates, decimal_mark,
              targets, row_count)
            values (#{file.id}, #{file.kind}, #{file.name}, #{file.cards}, #{file.byId}, #{at}, #{file.charset}, #{file.mark},
              #{file.delimiter}, #{file.headings}, #{file.dates}, #{file.decimalMark}, #{file.targets}, #{file.rowCount})
            """)
    void insert(@Param("file") FileRow file, @Param("at") Instant at);

    @Update(
            """
            update import_file set cards = #{cards}, charset = #{charset}, mark = #{mark}, delimiter = #{delimiter},
              headings = #{headings}, dates = #{dates}, decimal_mark = #{decimalMark}, targets = #{targets},
              row_count = #{rowCount}
            where id = #{id} and done_at is null
            """)
    int update(FileRow file);

    /** Nobody else imports the same file until the transaction ends. */
    @Update("update import_file set done_at = #{at} where id = #{id} and done_at is null")
    int begin(@Param("id") UUID id, @Param("at") Instant at);

    @Update(
            """
            update import_file set added = #{added}, updated = #{updated}, skipped = #{skipped}, faulty = #{faulty}
            where id = #{id}
            """)
    void end(
            @Param("id") UUID id,
            @Param("added") int added,
            @Param("updated") int updated,
            @Param("skipped") int skipped,
            @Param("faulty") int faulty);

    @Delete("delete from import_file where id = #{id} and by_id = #{by}")
    int delete(@Param("id") UUID id, @Param("by") UUID by);

    @Delete("delete from import_file where at < #{before}")
    void deleteOld(Instant before);

    @Insert("insert into import_part (file_id, position, bytes) values (#{file}, #{position}, #{bytes})")
    void insertPart(@Param("file") UUID file, @Param("position") int position, @Param("bytes") byte[] bytes);

    /** A part as it was kept. */
    record PartRow(byte[] bytes) {}

    @Select("select bytes from import_part where file_id = #{file} and position = #{position}")
    Optional<PartRow> part(@Param("file") UUID file, @Param("position") int position);

    /** Where a column went. */
    record MatchRow(String heading, String target) {}

    @Select("select heading, target from import_match where kind = #{kind}")
    List<MatchRow> matches(String kind);

    @Delete("delete from import_match where kind = #{kind} and heading = #{heading}")
    void forget(@Param("kind") String kind, @Param("heading") String heading);

    @Insert("insert into import_match (kind, heading, target) values (#{kind}, #{match.heading}, #{match.target})")
    void remember(@Param("kind") String kind, @Param("match") MatchRow match);
}
