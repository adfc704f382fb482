package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.library.TemplateShelf.Shelved;
import famulus.server.library.WantedLines.Narrowed;
import famulus.server.platform.Revisions;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** What stands on the shelf is kept until a template changes, by whatever statement; and is never older than that. */
class TemplateShelfTest extends ServerTest {
    @Autowired
    private TemplateShelf shelf;

    @Autowired
    private TemplateMapper mapper;

    @Autowired
    private Revisions revisions;

    @Autowired
    private TransactionTemplate transaction;

    private UUID one;
    private UUID other;

    @BeforeEach
    void templates() throws Exception {
        one = ownTemplate("One", "");
        other = ownTemplate("Other", "");
    }

    private List<UUID> standing() {
        return shelf.inOrder(WantedLines.of(TemplateKind.TEMPLATE, null, Narrowed.NOT), signe).stream()
                .map(Shelved::id)
                .toList();
    }

    private int count() {
        return revisions.now(ShelfChanges.REVISION);
    }

    @Test
    void aTransactionIsCountedOnceHoweverManyItChanges() throws Exception {
        int before = count();
        done("POST", "/api/templates/archive", Map.of("templates", List.of(one, other), "archived", true), signe);
        assertThat(count()).isEqualTo(before + 1);
        assertThat(standing()).isEmpty();
    }

    @Test
    void whatDecidesOnNobodysSeeingItIsNotCounted() throws Exception {
        int before = count();
        done("PUT", "/api/templates/" + one + "/favourite", Map.of("favourite", true), signe);
        done(
                "POST",
                "/api/templates/tags",
                Map.of("templates", List.of(one), "add", List.of("north"), "remove", List.of()),
                signe);
        assertThat(count()).isEqualTo(before);
    }

    @Test
    void whatIsChangedIsSeenWithinItsTransactionAndByNobodyElseBefore() {
        int before = count();
        transaction.executeWithoutResult(status -> {
            assertThat(standing()).containsExactly(one, other);
            mapper.archive(one, clock.instant());
            assertThat(standing()).containsExactly(other);
            assertThat(count()).isEqualTo(before);
            status.setRollbackOnly();
        });
        assertThat(standing()).containsExactly(one, other);
        assertThat(count()).isEqualTo(before);
    }

    @Test
    void aChangeOutsideOfATransactionCountsAtOnce() {
        assertThat(standing()).containsExactly(one, other);
        mapper.archive(other, clock.instant());
        assertThat(standing()).containsExactly(one);
    }
}
