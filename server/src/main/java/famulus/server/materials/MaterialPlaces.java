package famulus.server.materials;

import famulus.server.folders.FolderService.FolderToRemove;
import famulus.server.platform.Events;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.ConstructorArgs;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Where pictures and files lie, and having them lie elsewhere. */
@Component
class MaterialPlaces {
    private final PlaceMapper mapper;
    private final MaterialRights rights;
    private final Events events;

    MaterialPlaces(PlaceMapper mapper, MaterialRights rights, Events events) {
        this.mapper = mapper;
        this.rights = rights;
        this.events = events;
    }

    /** What lies in folders here. */
    enum What {
        PICTURE("picture"),
        FILE("kept_file");

        private final String table;

        What(String table) {
            this.table = table;
        }

        private String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** The SQL of places; the table is one of {@link What}, never from a request. */
    @Mapper
    interface PlaceMapper {
        @ConstructorArgs({
            @Arg(column = "folder_id", javaType = UUID.class),
            @Arg(column = "added_by", javaType = UUID.class)
        })
        @Select("select folder_id, added_by from ${table} where id = #{id}")
        Optional<Placed> placed(@Param("table") String table, @Param("id") UUID id);

        @Update("update ${table} set folder_id = #{folder} where id = #{id}")
        void move(@Param("table") String table, @Param("id") UUID id, @Param("folder") UUID folder);

        @Select("select exists (select 1 from ${table} where folder_id = #{folder})")
        boolean liesIn(@Param("table") String table, @Param("folder") UUID folder);
    }

    /** Lets only those through who may change it; for who may not even see it, it is not there. */
    void mustBeChangeable(What what, UUID id, Colleague by) {
        rights.mustBeChangeable(mapper.placed(what.table, id), what.word(), by);
    }

    /** Has it lie in another folder. */
    @Transactional
    public void move(What what, UUID id, UUID folder, Colleague by) {
        mustBeChangeable(what, id, by);
        UUID place = rights.place(folder, by);
        // Who saw it before is told as well.
        tell(what, id);
        mapper.move(what.table, id, place);
        tell(what, id);
    }

    /** Tells those who may see it that it has changed, or is there. */
    void tell(What what, UUID id) {
        mapper.placed(what.table, id)
                .ifPresent(placed -> events.tellThese(what.word(), id.toString(), rights.seenBy(placed)));
    }

    @EventListener
    void removed(FolderToRemove folder) {
        for (What what : What.values()) {
            if (mapper.liesIn(what.table, folder.id())) {
                throw Refusal.because(
                        "not-empty", "There are " + what.word() + "s in this folder. Move or delete them first.");
            }
        }
    }
}
