package famulus.server.lists;

import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.CrmRecord;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntConsumer;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sets a field for many records in one go, all of them or none, and takes it back where nobody has changed it since. */
@Service
public class FieldChanges {
    /** So many records are changed at once at most. */
    public static final int MOST = 5_000;

    private static final Duration KEPT = Duration.ofDays(1);

    private final FieldChangeMapper mapper;
    private final RecordService records;
    private final Ids ids;
    private final Clock clock;

    FieldChanges(FieldChangeMapper mapper, RecordService records, Ids ids, Clock clock) {
        this.mapper = mapper;
        this.records = records;
        this.ids = ids;
        this.clock = clock;
    }

    /** What was set, and what was there before. */
    @Mapper
    interface FieldChangeMapper {
        record ChangeRow(UUID id, String kind, String fieldName, UUID byId, Instant at) {}

        record BeforeRow(UUID recordId, String before, String after) {}

        @Insert(
                """
                insert into field_change (id, kind, field_name, by_id, at)
                values (#{id}, #{kind}, #{fieldName}, #{byId}, #{at})
                """)
        void insert(ChangeRow change);

        void insertBefore(
                @Param("change") UUID change,
                @Param("ids") List<UUID> ids,
                @Param("before") List<String> before,
                @Param("after") List<String> after);

        @Select("select id, kind, field_name, by_id, at from field_change where id = #{id}")
        Optional<ChangeRow> byId(UUID id);

        @Select("select record_id, before, after from field_change_before where change_id = #{change}")
        List<BeforeRow> before(UUID change);

        @Delete("delete from field_change where id = #{id}")
        void delete(UUID id);

        /** Leans on field_change_at. */
        @Delete("delete from field_change where at < #{before}")
        void erase(Instant before);
    }

    /**
     * What has been done.
     *
     * @param id by which it can be taken back
     * @param changed how many records hold something else now
     */
    public record Changed(UUID id, int changed) {}

    /**
     * Sets a field.
     *
     * @param typed as it is typed on a record's page; empty to clear it
     * @param done told how many records have been changed, now and then
     */
    @Transactional
    public Changed set(CrmKind kind, List<UUID> chosen, String field, String typed, Colleague by, IntConsumer done) {
        Map<UUID, String> before = new LinkedHashMap<>();
        records.all(kind, chosen).forEach((id, record) -> before.put(id, record.text(field)));
        Map<UUID, String> wanted = new LinkedHashMap<>();
        before.keySet().forEach(id -> wanted.put(id, typed));
        Map<UUID, String> after = records.changeEach(kind, field, wanted, done);
        mapper.erase(clock.instant().minus(KEPT));
        UUID id = ids.next();
        mapper.insert(new FieldChangeMapper.ChangeRow(id, kind.word(), field, by.id(), clock.instant()));
        List<UUID> changed = new ArrayList<>(after.keySet().stream()
                .filter(one -> !before.get(one).equals(after.get(one)))
                .toList());
        if (!changed.isEmpty()) {
            mapper.insertBefore(
                    id,
                    changed,
                    changed.stream().map(before::get).toList(),
                    changed.stream().map(after::get).toList());
        }
        return new Changed(id, changed.size());
    }

    /** Puts back what was there before, where the field still holds what was set; returns how many records these are. */
    @Transactional
    public int takeBack(UUID id, Colleague by) {
        FieldChangeMapper.ChangeRow change = mapper.byId(id)
                .filter(one -> one.byId().equals(by.id()))
                .orElseThrow(() -> Refusal.missing("This change"));
        CrmKind kind = CrmKind.of(change.kind());
        List<FieldChangeMapper.BeforeRow> rows = mapper.before(id);
        Map<UUID, CrmRecord> now = records.all(
                kind, rows.stream().map(FieldChangeMapper.BeforeRow::recordId).toList());
        Map<UUID, String> back = new LinkedHashMap<>();
        rows.stream()
                .filter(row -> now.containsKey(row.recordId())
                        && now.get(row.recordId()).text(change.fieldName()).equals(row.after()))
                .forEach(row -> back.put(row.recordId(), row.before()));
        records.changeEach(kind, change.fieldName(), back, any -> {});
        mapper.delete(id);
        return back.size();
    }
}
