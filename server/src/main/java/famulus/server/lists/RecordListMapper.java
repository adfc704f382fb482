package famulus.server.lists;

import famulus.server.team.Colleague;
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
import org.apache.ibatis.annotations.Update;

/** Lists of records, and what fixed ones have. */
@Mapper
interface RecordListMapper {
    /** A list; {@code condition} is null for a fixed one. */
    record ListRow(
            UUID id,
            String kind,
            String name,
            String condition,
            String sortedBy,
            boolean descending,
            UUID folderId,
            UUID ownerId,
            int version,
            Instant changedAt,
            int members,
            Instant deletedAt) {
        boolean live() {
            return condition != null;
        }
    }

    String COLUMNS =
            """
            select l.id, l.kind, l.name, l.condition, l.sorted_by, l.descending, l.folder_id, l.owner_id, l.version,
                   l.changed_at, l.members, l.deleted_at
            from record_list l
            """;

    @Select(COLUMNS + "where l.id = #{id}")
    Optional<ListRow> byId(UUID id);

    /** As {@link #byId}, locked until the transaction ends. */
    @Select(COLUMNS + "where l.id = #{id} for update")
    Optional<ListRow> hold(UUID id);

    /** The lists of a kind that somebody sees, by name. Leans on record_list_kind. */
    List<ListRow> seen(@Param("kind") String kind, @Param("asking") Colleague asking);

    /** Whether another list of the kind has a name in a folder. */
    @Select(
            """
            select exists (
              select 1 from record_list
              where kind = #{kind} and lower(name) = lower(#{name}) and folder_id = #{folder} and id <> #{but}
                and deleted_at is null)
            """)
    boolean named(
            @Param("kind") String kind,
            @Param("name") String name,
            @Param("folder") UUID folder,
            @Param("but") UUID but);

    @Select("select exists (select 1 from record_list where folder_id = #{folder} and deleted_at is null)")
    boolean liesIn(UUID folder);

    @Insert(
            """
            insert into record_list (id, kind, name, condition, sorted_by, descending, folder_id, owner_id, version,
              changed_at)
            values (#{id}, #{kind}, #{name}, #{condition}, #{sortedBy}, #{descending}, #{folderId}, #{ownerId},
              #{version}, #{changedAt})
            """)
    void insert(ListRow list);

    @Update(
            """
            update record_list set name = #{name}, condition = #{condition}, sorted_by = #{sortedBy},
              descending = #{descending}, folder_id = #{folderId}, version = #{version} + 1, changed_at = #{changedAt}
            where id = #{id} and version = #{version}
            """)
    int update(ListRow list);

    @Update("update record_list set deleted_at = #{at} where id = #{id}")
    void delete(@Param("id") UUID id, @Param("at") Instant at);

    /** Leans on record_list_deleted. */
    @Delete("delete from record_list where deleted_at < #{before}")
    void erase(Instant before);

    /** Lists that were in a folder that is removed, and in the bin. */
    @Delete("delete from record_list where folder_id = #{folder} and deleted_at is not null")
    void eraseIn(UUID folder);

    /** Adds those that the list does not have yet, and says how many these were. */
    int add(
            @Param("list") UUID list,
            @Param("ids") Collection<UUID> ids,
            @Param("by") UUID by,
            @Param("at") Instant at);

    /** Takes one off that the list may have, and says how many these were. */
    @Delete("delete from record_list_member where list_id = #{list} and record_id = #{record}")
    int take(@Param("list") UUID list, @Param("record") UUID record);

    @Update("update record_list set members = members + #{by}, changed_at = #{at} where id = #{id}")
    void count(@Param("id") UUID id, @Param("by") int by, @Param("at") Instant at);
}
