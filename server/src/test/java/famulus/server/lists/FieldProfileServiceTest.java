package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.server.StillClock;
import famulus.server.platform.Revisions;
import famulus.server.records.CatalogueService;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordWalk;
import famulus.server.team.TeamService;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** How many have each field is counted again when a record has changed, or a minute has gone by. */
class FieldProfileServiceTest {
    private static final FieldDefinition TITLE =
            FieldDefinition.plain(RecordKind.CONTACT, "title", "Title", FieldType.TEXT);
    private static final FieldCatalogue CATALOGUE = new FieldCatalogue(List.of(TITLE));

    private final ListMapper mapper = mock(ListMapper.class);
    private final PeopleService people = mock(PeopleService.class);
    private final CatalogueService catalogues = mock(CatalogueService.class);
    private final Revisions revisions = mock(Revisions.class);
    private final StillClock clock = new StillClock();
    private final RecordWalk walk = mock(RecordWalk.class);
    private final FieldProfileService profiles =
            new FieldProfileService(mapper, people, catalogues, mock(TeamService.class), revisions, clock, walk);

    @BeforeEach
    void twoContactsOneWithATitle() {
        List<StoredField> fields =
                List.of(new StoredField(TITLE, Optional.of("title"), "Details", false, false, 40, false, ""));
        when(catalogues.catalogue()).thenReturn(CATALOGUE);
        when(walk.count(any(), anyBoolean())).thenReturn(2);
        when(people.people(any(), any(), any(), any(Portion.class)))
                .thenAnswer(asked -> new AskedRecords(
                        About.CONTACT,
                        CrmKind.CONTACT,
                        CATALOGUE,
                        fields,
                        path -> Optional.empty(),
                        asked.getArgument(3)));
        when(mapper.rows(anyString(), any())).thenReturn(List.of(Map.of("C0", 2L, "C1", 1L)));
    }

    private void ask() {
        FieldProfileService.Filled filled = profiles.filled(About.CONTACT, null);
        assertThat(filled.of()).isEqualTo(2);
        assertThat(filled.byPath()).containsEntry("contact.title", 1);
    }

    /** Of a hundred thousand some stand for all: half of those asked have a title, and so about half of all do. */
    @Test
    void ofVeryManySomeStandForAll() {
        when(walk.count(any(), anyBoolean())).thenReturn(100_000);
        when(mapper.rows(anyString(), any())).thenReturn(List.of(Map.of("C0", 2_000L, "C1", 1_000L)));

        FieldProfileService.Filled filled = profiles.filled(About.CONTACT, null);

        assertThat(filled.of()).isEqualTo(100_000);
        assertThat(filled.sampled()).isEqualTo(2_000);
        assertThat(filled.byPath()).containsEntry("contact.title", 50_000);
    }

    @Test
    void askingTwiceCountsOnce() {
        ask();
        ask();
        verify(mapper, times(1)).rows(anyString(), any());
    }

    @Test
    void aChangedRecordIsCounted() {
        ask();
        when(revisions.now("records")).thenReturn(1);
        ask();
        verify(mapper, times(2)).rows(anyString(), any());
    }

    @Test
    void aMinuteLaterItIsCountedAgain() {
        ask();
        clock.forward(Duration.ofSeconds(61));
        ask();
        verify(mapper, times(2)).rows(anyString(), any());
    }
}
