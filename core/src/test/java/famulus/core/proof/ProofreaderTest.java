package famulus.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.merge.About;
import famulus.core.merge.Analyser;
import famulus.core.merge.FieldCatalogue;
import famulus.core.merge.FieldDefinition;
import famulus.core.merge.FieldType;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.merge.Problem;
import famulus.core.merge.RecordKind;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ProofreaderTest {
    private static final FieldCatalogue CATALOGUE =
            new FieldCatalogue(List.of(FieldDefinition.plain(RecordKind.PERSON, "title", "Title", FieldType.TEXT)));

    private static List<Note> read(String subject, String body) {
        MessageSource source = new MessageSource(subject, "", body);
        MessageProgram program = source.parse();
        Analyser analyser = new Analyser(CATALOGUE, About.PERSON);
        Map<MessagePart, List<Problem>> problems = new EnumMap<>(MessagePart.class);
        for (MessagePart part : MessagePart.values()) {
            problems.put(part, analyser.analyse(program.program(part)));
        }
        Merger merger = new Merger(new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.EPOCH));
        return Proofreader.standard()
                .read(new ProofSubject(
                        source, problems, program.merge(merger, path -> Optional.empty()), "Ines", path -> CATALOGUE
                                .resolve(path, About.PERSON)
                                .orElseThrow()
                                .label()));
    }

    @Test
    void hasNothingToSayAboutAGoodMessage() {
        assertThat(read("Hives in May", "Dear {person.title else \"neighbour\"}"))
                .isEmpty();
    }

    @Test
    void stopsAtAGapAndNamesThePerson() {
        assertThat(read("Hives", "Dear {person.title}")).singleElement().satisfies(note -> {
            assertThat(note.code()).isEqualTo("gap");
            assertThat(note.title()).isEqualTo("Ines has no title");
            assertThat(note.stops()).isTrue();
            assertThat(note.part()).isEqualTo(MessagePart.BODY);
        });
    }

    @Test
    void speaksOnceOfAFieldThatIsUnknown() {
        assertThat(read("Hives for {person.titel}", "Text")).singleElement().satisfies(note -> {
            assertThat(note.code()).isEqualTo("field-unknown");
            assertThat(note.nearest()).containsExactly("person.title");
        });
    }

    @Test
    void keepsTheOrderOfTheMessage() {
        assertThat(read("", "{person.title} {x {person.title}"))
                .extracting(Note::code)
                .containsExactly("no-subject", "gap", "field-broken", "gap");
    }

    @Test
    void wantsWords() {
        assertThat(read("Hives", "  \n{nothing}")).extracting(Note::code).containsExactly("no-body");
    }
}
