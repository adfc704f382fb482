package famulus.server.library;

import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.Collection;
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
            int version,
            Integer readyVersion,
            int used,
            String languages,
            Instant lastUsedByMe,
            UUID folder,
            Integer may,
            boolean favourite,
            String tags) {}

    /** The lines of some templates, of which those are left out that somebody may not see; in no order. */
    List<TemplateRow> lines(@Param("ids") Collection<UUID> ids, @Param("asking") Colleague asking);

    /**
     * What decides on whether somebody sees them, of all of a kind whoever sees them, by name.
     *
     * @param archived those that were archived, in place of those that are not
     * @param deletedSince those that were deleted after this moment, in place of those that are there; null for none
     */
    List<TemplateShelf.Shelved> standing(
            @Param("kind") TemplateKind kind,
            @Param("archived") boolean archived,
            @Param("deletedSince") Instant deletedSince);

    /** Those of a kind whose name comes before another one, whoever sees them. Leans on template_kind. */
    @Select("select id from template where kind = #{kind} and name <= #{name}")
    Set<UUID> namedBefore(@Param("kind") TemplateKind kind, @Param("name") String name);

    /** Those that another template stands for in a list. */
    @Select("select template_id from template_variant where root_id <> template_id")
    Set<UUID> variantsOfOthers();

    @Select("select template_id from template_favourite where colleague_id = #{whose}")
    Set<UUID> favourites(UUID whose);

    /** Those that are written in a language, by whichever of their variants. Few have any. */
    @Select(
            """
            select v.root_id from template_variant v join template t on t.id = v.template_id
            where v.language = #{language} and t.deleted_at is null
            union
            select v.template_id from template_variant v where v.language = #{language}
            """)
    Set<UUID> speaking(String language);

    /** Those that have a tag. Leans on template_tag_key. */
    @Select("select template_id from template_tag where tag_key = #{key}")
    Set<UUID> tagged(String key);

    /** How often a template was used. */
    record Times(UUID templateId, int times) {}

    @ConstructorArgs({
        @Arg(column = "template_id", javaType = UUID.class, id = true),
        @Arg(column = "times", javaType = int.class)
    })
    @Select("select template_id, cast(sum(times) as integer) as times from template_use group by template_id")
    List<Times> times();

    /** When somebody wrote last from a template. */
    record LastUse(UUID templateId, Instant lastAt) {}

    /** The latest first. Leans on template_use_colleague. */
    @ConstructorArgs({
        @Arg(column = "template_id", javaType = UUID.class, id = true),
        @Arg(column = "last_at", javaType = Instant.class)
    })
    @Select(
            """
            select template_id, last_at from template_use
            where colleague_id = #{whose}
            order by colleague_id, last_at desc
            limit #{most}
            """)
    List<LastUse> lastUses(@Param("whose") UUID whose, @Param("most") int most);

    /** How many templates lie in a folder. */
    @Select("select count(*) from template where folder_id = #{folder} and deleted_at is null")
    int inFolder(UUID folder);

    /** Moves the deleted ones of a folder where new ones of their owners go. */
    void moveDeleted(UUID folder);

    /** What a template is found by. */
    record IndexedTemplate(
            UUID id,
            TemplateKind kind,
            String name,
            String purpose,
            String subject,
            String previewText,
            String body,
            UUID folder,
            UUID ownerId,
            String tags) {}

    /** Templates by their identifiers, from one on; deleted ones too, which can be brought back. */
    @Select(
            """
            select t.id, t.kind, t.name, coalesce(t.purpose, '') as purpose, t.subject, w.preview_text, w.body,
                   t.folder_id as folder, t.owner_id,
                   (select listagg(g.tag, ' ') from template_tag g where g.template_id = t.id) as tags
            from template t
            join template_words w on w.template_id = t.id
            where t.id > #{after}
            order by t.id
            limit #{most}
            """)
    List<IndexedTemplate> indexed(@Param("after") UUID after, @Param("most") int most);

    /** What a template says, where hits are looked for. */
    record FoundWords(UUID templateId, String previewText, String body) {}

    List<FoundWords> foundWords(@Param("ids") Collection<UUID> ids);

    @Insert("insert into template_favourite (template_id, colleague_id) values (#{id}, #{whose})")
    void favour(@Param("id") UUID id, @Param("whose") UUID whose);

    @Delete("delete from template_favourite where template_id = #{id} and colleague_id = #{whose}")
    void disfavour(@Param("id") UUID id, @Param("whose") UUID whose);

    /** A passage or signature as others use it. */
    record ReadyText(UUID id, String name, String design) {}

    List<ReadyText> readyTexts();

    /** Whose signature is which. */
    record ChosenSignature(String forWhom, UUID templateId) {}

    /** Whether there is a template of any writer; leans on template_kind. */
    @Select(
            """
            select exists (select 1 from template where kind = 'TEMPLATE' and deleted_at is null)
            """)
    boolean any();

    @Select("select for_whom, template_id from signature_choice")
    List<ChosenSignature> signatureChoices();

    @Delete("delete from signature_choice where for_whom = #{whose}")
    void forgetSignature(String whose);

    @Insert("insert into signature_choice (for_whom, template_id) values (#{whose}, #{template})")
    void chooseSignature(@Param("whose") String whose, @Param("template") UUID template);

    /** Has all sign with another signature who sign with one. */
    @Update("update signature_choice set template_id = #{other} where template_id = #{signature}")
    void signWith(@Param("signature") UUID signature, @Param("other") UUID other);

    @Select("select count(*) from signature_choice where template_id = #{id}")
    int signing(UUID id);

    @Select(
            """
            select count(*)
            from template_variant v
            join template t on t.id = v.template_id and t.deleted_at is null
            where v.root_id = #{id} and v.template_id <> #{id}
            """)
    int variants(UUID id);

    /** A template that uses something; {@code seen} tells whether whoever asks may see it. */
    record UsingRow(UUID id, String name, boolean seen) {}

    /** The templates that name a field, or something by its identifier. */
    List<UsingRow> naming(@Param("what") String what, @Param("named") String named, @Param("asking") Colleague asking);

    /**
     * Those of some identifiers that are named in a template somebody may see, in a passage or signature that is named there, or
     * in what messages are signed with. Leans on template_names_named.
     */
    Set<UUID> within(@Param("some") Collection<String> some, @Param("asking") Colleague asking);

    /** Those of some passages and signatures that are there, where somebody does not see them by their folder. */
    Set<UUID> unseenTexts(@Param("ids") Collection<UUID> ids, @Param("asking") Colleague asking);

    /** Whether a template that somebody may see is in a style. Leans on template_house_style. */
    boolean inStyle(@Param("style") UUID style, @Param("asking") Colleague asking);

    /** The templates in a style, but for plain ones. */
    List<StyledRow> styled(
            @Param("style") UUID style, @Param("usual") boolean usual, @Param("asking") Colleague asking);

    /** A template in a style. */
    record StyledRow(UUID id, String name, String about) {}

    /** A header or footer of a house style as it stands on the desk. */
    record WrappingRow(UUID id, String kind, String name, int version, Integer readyVersion) {}

    @Select(
            """
            select id, kind, name, version, ready_version
            from template
            where deleted_at is null and house_style_id = #{style} and kind in ('HEADER', 'FOOTER')
            order by name, id
            """)
    List<WrappingRow> wrappings(UUID style);

    /** The templates in a style, designed or written as source, that have named one of its headers or footers; the first one's name is empty. */
    List<UsingRow> wrapped(
            @Param("style") UUID style,
            @Param("usual") boolean usual,
            @Param("above") boolean above,
            @Param("name") String name,
            @Param("asking") Colleague asking);

    Optional<Template> byId(@Param("id") UUID id, @Param("deleted") boolean deletedToo);

    @Insert(
            """
            insert into template
              (id, kind, name, purpose, about, subject, mode, house_style_id, header, footer, files, wishes, version, folder_id,
               owner_id, created_at, changed_at, changed_by)
            values
              (#{t.id}, #{t.kind}, #{t.name}, #{t.purpose}, #{t.about}, #{t.subject}, #{t.mode}, #{t.houseStyle},
               #{t.header}, #{t.footer}, #{t.files,typeHandler=famulus.server.platform.UuidListTypeHandler},
               #{t.wishes,typeHandler=famulus.server.library.TemplateWishesTypeHandler}, #{t.version}, #{t.folder}, #{t.ownerId}, #{t.changedAt}, #{t.changedAt}, #{t.ownerId})
            """)
    void insert(@Param("t") Template template);

    @Insert(
            """
            insert into template_words (template_id, preview_text, body, design, plain_text)
            values (#{t.id}, #{t.previewText}, #{t.body}, #{t.design}, #{t.plainText,typeHandler=famulus.server.library.KeptPlainTextTypeHandler,jdbcType=VARCHAR})
            """)
    void insertWords(@Param("t") Template template);

    @Update(
            """
            update template_words
            set preview_text = #{t.previewText}, body = #{t.body}, design = #{t.design},
                plain_text = #{t.plainText,typeHandler=famulus.server.library.KeptPlainTextTypeHandler,jdbcType=VARCHAR}
            where template_id = #{t.id}
            """)
    void updateWords(@Param("t") Template template);

    @Delete("delete from template_names where template_id = #{id}")
    void clearNames(UUID id);

    @Insert("insert into template_names (template_id, what, named) values (#{id}, #{what}, #{named})")
    void insertName(@Param("id") UUID id, @Param("what") String what, @Param("named") String named);

    @Update(
            """
            update template
            set name = #{t.name}, purpose = #{t.purpose}, about = #{t.about}, subject = #{t.subject}, mode = #{t.mode},
                house_style_id = #{t.houseStyle}, header = #{t.header}, footer = #{t.footer},
                files = #{t.files,typeHandler=famulus.server.platform.UuidListTypeHandler},
                wishes = #{t.wishes,typeHandler=famulus.server.library.TemplateWishesTypeHandler}, version = version + 1,
                changed_at = #{t.changedAt}, changed_by = #{by}
            where id = #{t.id} and version = #{t.version} and deleted_at is null
            """)
    int update(@Param("t") Template template, @Param("by") UUID by);

    /** The languages of templates that somebody may see and that are written in several. */
    List<String> languages(@Param("asking") Colleague asking);

    /** The tags of the templates that somebody may see, by name. */
    List<String> tags(@Param("asking") Colleague asking);

    /** What the templates that somebody may see are for, by name. */
    List<String> purposes(@Param("asking") Colleague asking);

    @Select("select tag from template_tag where template_id = #{id} order by tag")
    List<String> tagsOf(UUID id);

    @Delete("delete from template_tag where template_id = #{id}")
    void clearTags(UUID id);

    @Insert("insert into template_tag (template_id, tag, tag_key) values (#{id}, #{tag}, #{key})")
    void insertTag(@Param("id") UUID id, @Param("tag") String tag, @Param("key") String key);

    @Select("select archived_at is not null from template where id = #{id}")
    boolean archived(UUID id);

    @Update("update template set archived_at = #{at} where id = #{id}")
    void archive(@Param("id") UUID id, @Param("at") Instant at);

    @Update("update template set owner_id = #{owner}, folder_id = #{folder} where id = #{id}")
    void handOver(@Param("id") UUID id, @Param("owner") UUID owner, @Param("folder") UUID folder);

    @Update("update template set deleted_at = #{at} where id = #{id}")
    void delete(@Param("id") UUID id, @Param("at") Instant at);

    /** A template and its variants. */
    @Select(
            """
            select t.id
            from template t
            where t.id = #{id}
               or t.id in (select o.template_id from template_variant me
                           join template_variant o on o.root_id = me.root_id
                           where me.template_id = #{id})
            """)
    List<UUID> together(UUID id);

    @Update("update template set folder_id = #{folder} where id = #{id}")
    void move(@Param("id") UUID id, @Param("folder") UUID folder);

    @Update("update template set deleted_at = null where id = #{id}")
    void restore(UUID id);

    /** A kept version; {@code reason} is one of {@link TemplateVersionService.Reason}. */
    record VersionRow(int version, Instant changedAt, String changedBy, String reason) {}

    List<VersionRow> versions(UUID id);

    Optional<Template> version(@Param("id") UUID id, @Param("version") int version);

    /** Keeps what a template says now, if that is the version meant and it is not kept already. */
    @Insert(
            """
            insert into template_version
              (template_id, version, name, purpose, about, subject, preview_text, body, mode, design, plain_text,
               house_style_id, header, footer, files, wishes, changed_at, changed_by, reason, kept_at)
            select t.id, t.version, t.name, t.purpose, t.about, t.subject, w.preview_text, w.body, t.mode, w.design,
                   w.plain_text, t.house_style_id, t.header, t.footer, t.files, t.wishes, t.changed_at, t.changed_by, #{reason}, #{at}
            from template t
            join template_words w on w.template_id = t.id
            where t.id = #{id} and t.version = #{version}
              and not exists (select 1 from template_version v where v.template_id = t.id and v.version = t.version)
            """)
    void keepVersion(
            @Param("id") UUID id,
            @Param("version") int version,
            @Param("reason") String reason,
            @Param("at") Instant at);

    @Update("update template_version set reason = #{reason} where template_id = #{id} and version = #{version}")
    void reason(@Param("id") UUID id, @Param("version") int version, @Param("reason") String reason);

    @Select("select count(*) from template where id = #{id} and (changed_by <> #{by} or changed_at < #{since})")
    int otherSitting(@Param("id") UUID id, @Param("by") UUID by, @Param("since") Instant since);

    @Update("update template set ready_version = #{version} where id = #{id}")
    void ready(@Param("id") UUID id, @Param("version") Integer version);

    /** The newest test of a template. */
    record TestRow(int version, Instant at, String by) {}

    Optional<TestRow> lastTest(UUID id);
}
