package famulus.server.library;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Which templates say the same in which language. */
@Mapper
interface VariantMapper {
    /** A template in its language; {@code readyVersion} is null while it has never been marked ready. */
    record VariantRow(UUID templateId, UUID rootId, String language, UUID ownerId, Integer readyVersion) {}

    /** All that say the same as a template, itself included; none when it stands alone. */
    @Select(
            """
            select v.template_id, v.root_id, v.language, t.owner_id, t.ready_version
            from template_variant me
            join template_variant v on v.root_id = me.root_id
            join template t on t.id = v.template_id
            where me.template_id = #{id} and t.deleted_at is null
            order by case when v.template_id = v.root_id then 0 else 1 end, v.language
            """)
    List<VariantRow> of(UUID id);

    @Select("select root_id from template_variant where template_id = #{id}")
    Optional<UUID> rootOf(UUID id);

    @Insert("insert into template_variant (template_id, root_id, language) values (#{id}, #{root}, #{language})")
    void insert(@Param("id") UUID id, @Param("root") UUID root, @Param("language") String language);
}
