package famulus.server.lists;

import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.ConstructorArgs;
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
            Instant deletedAt,
            UUID minusId,
            UUID baseId,
            UUID dealsId,
            String dealRole) {
        boolean live() {
            return condition != null || baseId != null || dealsId != null;
        }

        /** Whether it is made of other lists. */
        boolean combined() {
            return minusId != null || baseId != null || dealsId != null;
        }
    }

    String COLUMNS =
            """
            select l.id, l.kind, l.name, l.condition, l.sorted_by, l.descending, l.folder_id, l.owner_id, l.version,
                   l.changed_at, l.members, l.deleted_at, l.minus_id, l.base_id,
                   l.deals_id, l.deal_role
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
              changed_at, minus_id, base_id, deals_id, deal_role)
            values (#{id}, #{kind}, #{name}, #{condition}, #{sortedBy}, #{descending}, #{folderId}, #{ownerId},
              #{version}, #{changedAt}, #{minusId}, #{baseId}, #{dealsId}, #{dealRole})
            """)
    void insert(ListRow list);

    @Update(
            """
            update record_list set name = #{name}, condition = #{condition}, sorted_by = #{sortedBy},
              descending = #{descending}, folder_id = #{folderId}, version = #{version} + 1, changed_at = #{changedAt}, minus_id = #{minusId}
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

    /** The lists that are made of one. Leans on record_list_minus, record_list_base and record_list_deals. */
    @Select(
            COLUMNS
                    + "where (l.minus_id = #{id} or l.base_id = #{id} or l.deals_id = #{id}) and l.deleted_at is null order by l.name, l.id")
    List<ListRow> madeOf(UUID id);

    /** Who put a record onto a fixed list, by first name, and when. */
    record PutRow(UUID recordId, UUID byId, Instant at) {}

    @Select(
            """
            select m.record_id, m.by_id, m.at
            from unnest(#{records,typeHandler=famulus.server.platform.IdentifiersTypeHandler}) as wanted(id)
            join record_list_member m on m.list_id = #{list} and m.record_id = wanted.id
            """)
    List<PutRow> puts(@Param("list") UUID list, @Param("records") Collection<UUID> records);

    /** What was on a list when somebody looked at it last: identifiers, parted by blanks. */
    record LookRow(Instant at, String members) {}

    @ConstructorArgs({@Arg(column = "at", javaType = Instant.class), @Arg(column = "members", javaType = String.class)})
    @Select("select at, members from record_list_look where list_id = #{list} and colleague_id = #{who}")
    Optional<LookRow> look(@Param("list") UUID list, @Param("who") UUID who);

    @Insert(
            """
            merge into record_list_look (list_id, colleague_id, at, members) key (list_id, colleague_id)
            values (#{list}, #{who}, #{at}, #{members})
            """)
    void looked(
            @Param("list") UUID list,
            @Param("who") UUID who,
            @Param("at") Instant at,
            @Param("members") String members);
}
