package famulus.server.library;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Erasing templates that were deleted. */
@Mapper
interface TemplateBinMapper {
    /** Those that still have words and were deleted before a moment. Leans on template_deleted. */
    @Select(
            """
            select t.id from template t join template_words w on w.template_id = t.id
            where t.deleted_at <= #{before}
            order by t.deleted_at
            limit #{most}
            """)
    List<UUID> outdated(@Param("before") Instant before, @Param("most") int most);

    @Delete("delete from template_version where template_id = #{id}")
    void forgetVersions(UUID id);

    @Delete("delete from waved_note where template_id = #{id}")
    void forgetIgnored(UUID id);

    @Delete("delete from desk_presence where template_id = #{id}")
    void forgetPresence(UUID id);

    /** Its own place among variants, and that of those that were deleted before it. */
    @Delete("delete from template_variant where template_id = #{id} or root_id = #{id}")
    void forgetVariants(UUID id);

    @Delete("delete from template_words where template_id = #{id}")
    void forgetWords(UUID id);

    @Delete("delete from template_names where template_id = #{id}")
    void forgetNames(UUID id);

    @Delete("delete from template_tag where template_id = #{id}")
    void forgetTags(UUID id);

    @Delete("delete from template_occasion where template_id = #{id}")
    void forgetOccasions(UUID id);

    /** Whether a message was made of it. */
    boolean written(UUID id);

    @Delete("delete from template where id = #{id}")
    void erase(UUID id);
}
