package famulus.server.records;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What belongs to a deal besides its fields, and how records are related. */
@Mapper
interface DealMapper {
    record LineRow(
            UUID id,
            UUID dealId,
            int position,
            String description,
            BigDecimal quantity,
            String unit,
            BigDecimal price,
            BigDecimal discount,
            BigDecimal tax,
            String note) {}

    /** A document; {@code fileId} is null where it is not kept here. */
    record DocumentRow(UUID id, UUID dealId, String name, String link, UUID fileId, String state, LocalDate stateOn) {}

    /** A related record in a line: what it is called, and what it is to the one looked at. */
    record RelatedRow(String kind, UUID id, String name, String remark) {}

    record MainContact(UUID contactId, String name, String role) {}

    @Select(
            """
            select id, deal_id, position, description, quantity, unit, price, discount, tax, note
            from deal_line where deal_id = #{dealId} order by deal_id, position
            """)
    List<LineRow> lines(UUID dealId);

    @Select("select stage from deal where id = #{dealId}")
    Optional<String> stage(UUID dealId);

    @Select("select amount_currency from deal where id = #{dealId}")
    String currency(UUID dealId);

    @Delete("delete from deal_line where deal_id = #{dealId}")
    void clearLines(UUID dealId);

    @Insert(
            """
            insert into deal_line (id, deal_id, position, description, quantity, unit, price, discount, tax, note)
            values (#{id}, #{dealId}, #{position}, #{description}, #{quantity}, #{unit}, #{price}, #{discount}, #{tax},
                    #{note})
            """)
    void insertLine(LineRow line);

    @Select(
            """
            select d.id, d.deal_id, d.name, coalesce(d.link, '') as link, d.file_id, d.state, d.state_on
            from document d
            where d.deal_id = #{dealId}
            order by d.state_on desc, d.name
            """)
    List<DocumentRow> documents(UUID dealId);

    List<DocumentRow> documentsOf(@Param("kind") String kind, @Param("id") UUID id);

    @Select(
            """
            select id, deal_id, name, coalesce(link, '') as link, file_id, state, state_on from document where id = #{id}
            """)
    Optional<DocumentRow> document(UUID id);

    @Insert(
            """
            insert into document (id, deal_id, name, link, file_id, state, state_on)
            values (#{id}, #{dealId}, #{name}, #{link}, #{fileId}, #{state}, #{stateOn})
            """)
    void insertDocument(DocumentRow document);

    @Update(
            """
            update document
            set name = #{name}, link = #{link}, file_id = #{fileId}, state = #{state}, state_on = #{stateOn}
            where id = #{id}
            """)
    void updateDocument(DocumentRow document);

    @Delete("delete from document where id = #{id}")
    void deleteDocument(UUID id);

    @Insert(
            """
            insert into deal_contact (deal_id, contact_id, role, is_main)
            values (#{dealId}, #{contactId}, #{role}, #{main})
            """)
    void insertContact(
            @Param("dealId") UUID dealId,
            @Param("contactId") UUID contactId,
            @Param("role") String role,
            @Param("main") boolean main);

    @Update("update deal_contact set is_main = false where deal_id = #{dealId}")
    void noMainContact(UUID dealId);

    @Delete("delete from deal_contact where deal_id = #{dealId} and contact_id = #{contactId}")
    int deleteContact(@Param("dealId") UUID dealId, @Param("contactId") UUID contactId);

    List<RelatedRow> related(
            @Param("what") String what, @Param("id") UUID id, @Param("other") UUID other, @Param("most") int most);

    /** How many there are of what {@link #related} gives the first of. */
    int countRelated(@Param("what") String what, @Param("id") UUID id, @Param("other") UUID other);

    @Select(
            """
            select dc.contact_id, trim(concat_ws(' ', p.first_name, p.last_name)) as name, dc.role
            from deal_contact dc join contact p on p.id = dc.contact_id
            where dc.deal_id = #{dealId}
            order by dc.is_main desc, p.last_name, p.id
            """)
    List<MainContact> contactsOf(UUID dealId);
}
