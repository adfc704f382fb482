package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import famulus.server.platform.Ids;
import famulus.server.platform.PublicAddress;
import famulus.server.platform.PublicAddress.Pages;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordService;
import famulus.server.team.TeamService;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A message that was begun while our public address was another one, or while there was one. */
class ReaderLinksTest {
    private static final UUID SOMEBODY = new UUID(1, 1);
    private static final UUID SECRET = new UUID(2, 2);
    private static final String BEGUN =
            "Read it here: https://old.example/m/proof. To unsubscribe: http://old.example:8080/m/proof/unsubscribe";

    private final PublicAddress address = mock();
    private final ReaderLinks links =
            new ReaderLinks(address, mock(Ids.class), mock(RecordService.class), mock(TeamService.class));

    private LinkedContent put(String text) {
        return links.put(MessageContent.plain(text), CrmKind.CONTACT, SOMEBODY, SECRET);
    }

    @Test
    void linksToWhereReadersReachUsNow() {
        when(address.pages()).thenReturn(Optional.of(new Pages("https://new.example/m/")));
        LinkedContent put = put(BEGUN);
        assertThat(put.content().text())
                .isEqualTo("Read it here: https://new.example/m/" + put.key()
                        + ". To unsubscribe: https://new.example/m/" + put.key() + "/unsubscribe");
        assertThat(put.unsubscribe()).contains("https://new.example/m/" + put.key() + "/unsubscribe");
        assertThat(links.own("https://old.example/m/proof", put)).isEqualTo("https://new.example/m/" + put.key());
    }

    @Test
    void leavesOtherLinksAlone() {
        when(address.pages()).thenReturn(Optional.of(new Pages("https://new.example/m/")));
        String text = "https://else.example/m/proofs https://else.example/m/proof-read (https://else.example/)";
        assertThat(put(text).content().text()).isEqualTo(text);
        assertThat(put(text).unsubscribe()).isEmpty();
    }

    @Test
    void doesNotLetALinkLeaveThatLeadsNowhere() {
        when(address.pages()).thenReturn(Optional.empty());
        assertThatThrownBy(() -> put(BEGUN)).isInstanceOf(Refusal.class).hasMessageContaining("no public address now");
        assertThat(put("Without one").unsubscribe()).isEmpty();
    }
}
