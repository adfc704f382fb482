package famulus.server.records;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Lines of the ledgers. {@code order} is one of {@link Ledger}'s, never a request's. */
@Mapper
interface RecordListMapper {
    /** A line as stored; columns that a kind does not have are null. */
    record Line(
            UUID id,
            String name,
            String cellTwo,
            String cellThree,
            String cellFour,
            java.math.BigDecimal amount,
            String currency,
            java.time.LocalDate onDay,
            java.time.Instant lastAt) {}

    List<Line> lines(
            @Param("kind") String kind,
            @Param("words") List<String> words,
            @Param("order") String order,
            @Param("most") int most,
            @Param("from") int from);

    int count(@Param("kind") String kind, @Param("words") List<String> words);
}
