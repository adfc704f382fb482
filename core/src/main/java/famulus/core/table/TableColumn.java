package famulus.core.table;

import java.util.List;
import java.util.Optional;

/**
 * A column of a table.
 *
 * @param heading what stands over it; empty for nothing
 * @param samples some of its cells, without blank ones
 * @param target where it goes; empty when it is left out
 */
public record TableColumn(String heading, List<String> samples, Optional<Target> target) {
    public TableColumn {
        samples = List.copyOf(samples);
    }
}
