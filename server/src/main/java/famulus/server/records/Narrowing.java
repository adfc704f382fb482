package famulus.server.records;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * Which records of a list are shown, besides those that have the words somebody looks for. Whoever narrows a list can say it
 * in SQL of each record, and gather the records where they are few.
 */
public interface Narrowing {
    /** Where the statement of a list has the identifier of the record that stands at a place. */
    String RECORD = "cast(right(rp.place, 36) as uuid)";

    /**
     * So many are gathered and put in order, for which all records have to be asked; of more the first ones are met sooner by
     * whoever reads the list.
     */
    int FEW = 4_000;

    /**
     * A statement, for MyBatis.
     *
     * @param sql its values are the elements of {@code narrowing.values}, in order
     */
    record Statement(String sql, List<Object> values) {}

    /** What is true for the records {@link #RECORD} that are shown. */
    Statement statement();

    /** All records that are shown, where they are no more than {@code most}. */
    Optional<Set<UUID>> gathered(int most);

    /** Those of some records that are shown. */
    Set<UUID> among(Collection<UUID> records);

    /** How many are shown; an estimate where they are very many. */
    int number();
}
