package famulus.server.donotemail;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The do-not-email list. Its entries are found by their key, in the order of which they are listed. */
@Mapper
interface DoNotEmailMapper {
    /** An entry; {@code addedBy} is the first name of whoever added it. */
    record EntryRow(String entry, boolean wholeDomain, String reason, String addedBy, Instant addedAt) {}

    /**
     * Entries in their order.
     *
     * @param begins what an entry begins with; empty for any
     * @param after the last entry of the page before; empty for the first page
     */
    List<EntryRow> page(@Param("begins") String begins, @Param("after") String after, @Param("most") int most);

    /** Those of some keys that are on the list. */
    List<EntryRow> among(@Param("keys") Collection<String> keys);

    @Select("select entry from do_not_email where entry = #{entry}")
    Optional<String> find(String entry);

    @Insert(
            """
            insert into do_not_email (entry, whole_domain, reason, added_by, added_at)
            values (#{entry}, #{wholeDomain}, #{reason}, #{by}, #{at})
            """)
    void insert(
            @Param("entry") String entry,
            @Param("wholeDomain") boolean wholeDomain,
            @Param("reason") String reason,
            @Param("by") UUID by,
            @Param("at") Instant at);

    @Delete("delete from do_not_email where entry = #{entry}")
    int delete(String entry);
}
