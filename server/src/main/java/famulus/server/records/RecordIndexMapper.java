package famulus.server.records;

import famulus.server.records.RecordWalk.MainContact;
import famulus.server.search.SearchWord;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Where records stand in their lists. Names of tables come from {@link CrmKind}, never from a request. */
@Mapper
interface RecordIndexMapper {
    /** Where a record stands in the list of one column. */
    record PlaceRow(String sortedBy, String place) {}

    /** All places of a record; see {@link Standing}. */
    record StandingRow(UUID recordId, String places) {}

    /** The places of some records, in no order. */
    List<StandingRow> standings(@Param("ids") Collection<UUID> ids);

    /** The places of some records in the list of one column, in no order. */
    default List<String> placesOf(String column, Collection<UUID> ids) {
        return standings(ids).stream()
                .flatMap(one -> Standing.place(one.places(), column).stream())
                .toList();
    }

    /** As {@link #standings}, locked until the transaction ends. */
    List<StandingRow> hold(@Param("ids") Collection<UUID> ids);

    /** Keeps the places of records that have none yet. */
    void insertStandings(@Param("ids") Collection<UUID> ids, @Param("places") Collection<String> places);

    /** Keeps the places of records in place of those they may have had. */
    void putStandings(@Param("ids") Collection<UUID> ids, @Param("places") Collection<String> places);

    void insert(
            @Param("kind") String kind,
            @Param("columns") Collection<String> columns,
            @Param("places") Collection<String> places);

    @Delete("delete from record_place where kind = #{kind} and sorted_by = #{row.sortedBy} and place = #{row.place}")
    void delete(@Param("kind") String kind, @Param("row") PlaceRow row);

    /**
     * The places of a part of a list, in its order.
     *
     * @param words of records that have all of these, where there are some
     * @param narrowing what is true of the records that are shown; null for all
     */
    List<String> walk(
            @Param("kind") String kind,
            @Param("column") String column,
            @Param("range") PlaceRange range,
            @Param("words") List<SearchWord> words,
            @Param("narrowing") Narrowing.Statement narrowing,
            @Param("from") int from,
            @Param("most") int most);

    /**
     * The first places of a part of a list, of records that have all of the words.
     *
     * @param withMain whether they are to be deals with a main contact
     */
    List<String> walkTo(
            @Param("kind") String kind,
            @Param("column") String column,
            @Param("range") PlaceRange range,
            @Param("words") List<SearchWord> words,
            @Param("most") int most,
            @Param("withMain") boolean withMain);

    /** Those of some deals that have a main contact. */
    Set<UUID> withMain(@Param("ids") Collection<UUID> deals);

    List<MainContact> mainContacts(@Param("ids") Collection<UUID> deals);

    @Select("select count(*) from deal_contact where is_main")
    int countWithMain();

    /** Where a record of a name that was looked for stands in the list of names. */
    record NamedRow(String name, String place) {}

    /**
     * The records of some names.
     *
     * @param places with what the places of each name begin, in the same order
     */
    List<NamedRow> named(
            @Param("kind") String kind,
            @Param("names") Collection<String> names,
            @Param("places") Collection<String> places);

    /** How many places a part of a list has. */
    int countPlaces(@Param("kind") String kind, @Param("column") String column, @Param("range") PlaceRange range);

    @Select("select count(*) from ${table}")
    int count(@Param("table") String table);

    /** When somebody was written to. */
    record WrittenRow(UUID personId, Instant lastWritten) {}

    List<WrittenRow> written(@Param("people") Collection<UUID> people);

    /** How many contacts an organisation has. */
    record PeopleRow(UUID id, int people) {}

    List<PeopleRow> people(@Param("ids") Collection<UUID> ids);

    @Update("update organisation set people = people + #{by} where id = #{id}")
    void peopleBy(@Param("id") UUID id, @Param("by") int by);

    @Update(
            """
            update organisation o set people = (select count(*) from contact c where c.organisation_id = o.id)
            """)
    void countPeople();

    /** The records of a kind after one, by identifier: all, those of an organisation, or those somebody looks after. */
    List<UUID> after(
            @Param("table") String table,
            @Param("cause") String cause,
            @Param("causeId") UUID causeId,
            @Param("after") UUID after,
            @Param("most") int most);

    /** Records to be made anew; {@code done} is null when none is. */
    record RenewalRow(UUID id, String kind, String cause, UUID causeId, UUID done) {}

    @Insert("insert into record_renewal (id, kind, cause, cause_id) values (#{id}, #{kind}, #{cause}, #{causeId})")
    void renew(RenewalRow row);

    @Select("select id, kind, cause, cause_id, done from record_renewal order by id limit 1")
    Optional<RenewalRow> renewal();

    @Update("update record_renewal set done = #{done} where id = #{id}")
    void renewed(@Param("id") UUID id, @Param("done") UUID done);

    @Delete("delete from record_renewal where id = #{id}")
    void renewedAll(UUID id);
}
