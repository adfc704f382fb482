package famulus.server.library;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Templates and the versions that were used. */
@Mapper
interface TemplateMapper {
    /** A line of the list: a template without its text. */
    record TemplateRow(
            UUID id,
            String name,
            String purpose,
            String about,
            String subject,
            UUID ownerId,
            String ownerName,
            Instant changedAt,
            String mode,
            int used,
            Instant lastUsedByMe) {}

    List<TemplateRow> lines(@Param("words") List<String> words, @Param("me") UUID me);

    /** What a template says. */
    record TemplateText(UUID id, String name, String subject, String previewText, String body) {}

    @Select("select id, name, subject, preview_text, body from template where deleted_at is null order by name, id")
    List<TemplateText> texts();

    Optional<Template> byId(@Param("id") UUID id, @Param("deleted") boolean deletedToo);

    @Insert(
            """
            insert into template
              (id, name, purpose, about, subject, preview_text, body, mode, design, house_style_id, header, footer, version,
               owner_id, created_at, changed_at, changed_by)
            values
              (#{t.id}, #{t.name}, #{t.purpose}, #{t.about}, #{t.subject}, #{t.previewText}, #{t.body}, #{t.mode},
               #{t.design}, #{t.houseStyle}, #{t.header}, #{t.footer}, #{t.version}, #{t.ownerId}, #{t.changedAt}, #{t.changedAt}, #{t.ownerId})
            """)
    void insert(@Param("t") Template template);

    @Update(
            """
            update template
            set name = #{t.name}, purpose = #{t.purpose}, about = #{t.about}, subject = #{t.subject},
                preview_text = #{t.previewText}, body = #{t.body}, mode = #{t.mode}, design = #{t.design},
                house_style_id = #{t.houseStyle}, header = #{t.header}, footer = #{t.footer}, version = version + 1,
                changed_at = #{t.changedAt}, changed_by = #{by}
            where id = #{t.id} and version = #{t.version} and deleted_at is null
            """)
    int update(@Param("t") Template template, @Param("by") UUID by);

    @Update("update template set deleted_at = #{at} where id = #{id}")
    void delete(@Param("id") UUID id, @Param("at") Instant at);

    @Update("update template set deleted_at = null where id = #{id}")
    void restore(UUID id);

    @Insert(
            """
            insert into template_version (template_id, version, name, subject, preview_text, body, mode, design, kept_at)
            select id, version, name, subject, preview_text, body, mode, design, #{at}
            from template t
            where t.id = #{id}
              and not exists (select 1 from template_version v where v.template_id = t.id and v.version = t.version)
            """)
    void keepVersion(@Param("id") UUID id, @Param("at") Instant at);
}
