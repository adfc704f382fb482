package famulus.server.messages;

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

/** Messages that are being written. */
@Mapper
interface KeptDraftMapper {
    /**
     * A kept draft; {@code message} and {@code texts} are JSON.
     *
     * @param subject as it is read in lists, as {@code firstWords}
     */
    record DraftRow(
            UUID id,
            UUID writtenBy,
            UUID senderId,
            String personKind,
            UUID personId,
            UUID dealId,
            UUID templateId,
            Integer templateVersion,
            String personName,
            String subject,
            String firstWords,
            int version,
            UUID sentAs,
            Instant createdAt,
            Instant changedAt,
            String message,
            String texts) {

        /**
         * The same one step on.
         *
         * @param as as whom it goes out
         * @param said what it says, as JSON
         */
        DraftRow saying(UUID as, String line, String words, String said, Instant at) {
            return new DraftRow(
                    id,
                    writtenBy,
                    as,
                    personKind,
                    personId,
                    dealId,
                    templateId,
                    templateVersion,
                    personName,
                    line,
                    words,
                    version + 1,
                    null,
                    createdAt,
                    at,
                    said,
                    texts);
        }
    }

    /** A line of a list of drafts. */
    record DraftLineRow(
            UUID id,
            String personKind,
            UUID personId,
            UUID dealId,
            String personName,
            String subject,
            String firstWords,
            Instant changedAt) {}

    @Insert(
            """
            insert into message_draft
              (id, written_by, sender_id, person_kind, person_id, deal_id, template_id, template_version, person_name,
               subject, first_words, version, sent_as, created_at, changed_at, message, texts)
            values
              (#{id}, #{writtenBy}, #{senderId}, #{personKind}, #{personId}, #{dealId}, #{templateId},
               #{templateVersion}, #{personName}, #{subject}, #{firstWords}, #{version}, #{sentAs}, #{createdAt}, #{changedAt},
               #{message}, #{texts})
            """)
    void insert(DraftRow draft);

    @Select("select * from message_draft where id = #{id}")
    Optional<DraftRow> byId(UUID id);

    @Select("select * from message_draft where id = #{id} for update")
    Optional<DraftRow> hold(UUID id);

    /** Whether a draft of somebody's was begun from a template. */
    @Select(
            """
            select count(*) > 0 from message_draft
            where id = #{id} and template_id = #{template} and written_by = #{by}
            """)
    boolean begunFrom(@Param("id") UUID id, @Param("template") UUID template, @Param("by") UUID by);

    /** The drafts somebody has begun from a template, the newest first. Leans on message_draft_template. */
    @Select(
            """
            select * from message_draft
            where template_id = #{template} and written_by = #{by} and sent_as is null
            order by changed_at desc, id
            limit #{most}
            """)
    List<DraftRow> begun(@Param("template") UUID template, @Param("by") UUID by, @Param("most") int most);

    /** How many drafts all others have begun from a template. Leans on message_draft_template. */
    @Select(
            """
            select count(*) from message_draft
            where template_id = #{template} and written_by <> #{by} and sent_as is null
            """)
    int begunByOthers(@Param("template") UUID template, @Param("by") UUID by);

    @Update(
            """
            update message_draft
            set sender_id = #{senderId}, person_kind = #{personKind}, person_id = #{personId}, deal_id = #{dealId},
                template_id = #{templateId}, template_version = #{templateVersion}, person_name = #{personName}, subject = #{subject},
                first_words = #{firstWords}, version = #{version}, sent_as = #{sentAs}, changed_at = #{changedAt},
                message = #{message}, texts = #{texts}
            where id = #{id}
            """)
    void update(DraftRow draft);

    @Delete("delete from message_draft where id = #{id}")
    void delete(UUID id);

    /**
     * The drafts that one has, the newest first.
     *
     * @param person only those to this person; null for all
     * @param deal only those about this deal; null for all
     */
    List<DraftLineRow> lines(
            @Param("by") UUID by, @Param("person") UUID person, @Param("deal") UUID deal, @Param("most") int most);

    @Select("select count(*) from message_draft where written_by = #{by} and sent_as is null")
    int count(UUID by);

    /** The draft that became a message. Leans on message_draft_sent. */
    @Select("select id from message_draft where sent_as = #{message}")
    Optional<UUID> sentAs(UUID message);

    @Update("update message_draft set sent_as = #{message} where id = #{id}")
    void send(@Param("id") UUID id, @Param("message") UUID message);

    @Delete("delete from message_draft where sent_as = #{message}")
    void gone(UUID message);
}
