package famulus.server.folders;

import famulus.core.sharing.Right;
import famulus.server.folders.FolderNames.NameRow;
import famulus.server.folders.FolderPlaces.PlaceRow;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.ConstructorArgs;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Folders, their shares, and the kept table of who may do what. */
@Mapper
interface FolderMapper {
    /**
     * A folder.
     *
     * @param shared whether it has shares of its own
     * @param whoseId whose personal folder it is, or lies in; null for others
     */
    record FolderRow(
            UUID id, UUID parentId, String name, UUID ownerId, boolean personal, boolean shared, UUID whoseId) {}

    /** A share; of role, team and colleague at most one is there. */
    record ShareRow(UUID folderId, String sharedWith, String role, UUID teamId, UUID colleagueId, Right may) {}

    /** What somebody may do, as the database keeps it: 1 use, 2 change, 3 manage. */
    record AccessRow(UUID folderId, UUID colleagueId, int may) {}

    /** Lets nobody else change folders until the transaction is over. */
    @Select("select id from folder where id = #{id} for update")
    UUID lock(UUID id);

    @Select("select id, parent_id, name, owner_id, personal, shared, whose_id from folder")
    List<FolderRow> all();

    @Select("select id, parent_id, name, owner_id, personal, shared, whose_id from folder where id = #{id}")
    Optional<FolderRow> byId(UUID id);

    @Select(
            """
            select folder_id, shared_with, role, team_id, colleague_id, may
            from folder_share
            order by folder_id, position
            """)
    List<ShareRow> shares();

    @Select("select folder_id, colleague_id, may from folder_access")
    List<AccessRow> access();

    @Select("select folder_id, colleague_id, may from folder_access where colleague_id = #{colleague}")
    List<AccessRow> accessOf(UUID colleague);

    /** The names of the folders a colleague sees, but for personal ones. Leans on folder_access_colleague. */
    @ConstructorArgs({
        @Arg(column = "id", javaType = UUID.class, id = true),
        @Arg(column = "name", javaType = String.class)
    })
    @Select(
            """
            select f.id, f.name
            from folder_access a
            join folder f on f.id = a.folder_id
            where a.colleague_id = #{colleague} and not f.personal
            """)
    List<NameRow> names(UUID colleague);

    /** The folders a colleague sees. Leans on folder_access_colleague. */
    @ConstructorArgs({
        @Arg(column = "id", javaType = UUID.class, id = true),
        @Arg(column = "place", javaType = int.class),
        @Arg(column = "whose_id", javaType = UUID.class),
        @Arg(column = "may", javaType = int.class)
    })
    @Select(
            """
            select f.id, f.place, f.whose_id, a.may
            from folder_access a
            join folder f on f.id = a.folder_id
            where a.colleague_id = #{colleague}
            """)
    List<PlaceRow> places(UUID colleague);

    @Select("select may from folder_access where folder_id = #{folder} and colleague_id = #{colleague}")
    Optional<Integer> may(@Param("folder") UUID folder, @Param("colleague") UUID colleague);

    @Select("select colleague_id from folder_access where folder_id = #{folder} and may >= #{least}")
    Set<UUID> whoMay(@Param("folder") UUID folder, @Param("least") int least);

    @Insert("insert into folder_access (folder_id, colleague_id, may) values (#{folderId}, #{colleagueId}, #{may})")
    void grant(AccessRow row);

    @Delete("delete from folder_access where folder_id = #{folderId} and colleague_id = #{colleagueId}")
    void revoke(AccessRow row);

    @Insert(
            """
            insert into folder (id, parent_id, name, owner_id, personal, shared)
            values (#{id}, #{parentId}, #{name}, #{ownerId}, #{personal}, #{shared})
            """)
    void insert(FolderRow folder);

    @Update("update folder set name = #{name}, parent_id = #{parent} where id = #{id}")
    void change(@Param("id") UUID id, @Param("name") String name, @Param("parent") UUID parent);

    /** Keeps the place of a folder, and in whose personal folder it lies. */
    @Update(
            """
            update folder set place = #{place}, whose_id = #{whose}
            where id = #{id} and (place <> #{place} or whose_id is distinct from #{whose})
            """)
    void place(@Param("id") UUID id, @Param("place") int place, @Param("whose") UUID whose);

    @Update("update folder set shared = #{own} where id = #{id}")
    void shared(@Param("id") UUID id, @Param("own") boolean own);

    @Delete("delete from folder_share where folder_id = #{id}")
    void clearShares(UUID id);

    @Insert(
            """
            insert into folder_share (folder_id, position, shared_with, role, team_id, colleague_id, may)
            values (#{row.folderId}, #{position}, #{row.sharedWith}, #{row.role}, #{row.teamId}, #{row.colleagueId}, #{row.may})
            """)
    void share(@Param("row") ShareRow row, @Param("position") int position);

    @Delete("delete from folder where id = #{id}")
    void delete(UUID id);
}
