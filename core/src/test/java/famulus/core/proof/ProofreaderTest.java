package famulus.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.merge.Analyser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProofreaderTest {
    private static final FieldCatalogue CATALOGUE = new FieldCatalogue(List.of(
            FieldDefinition.plain(RecordKind.PERSON, "title", "Title", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.USER, "phone", "Phone", FieldType.PHONE),
            FieldDefinition.plain(RecordKind.OUR_COMPANY, "website", "Website", FieldType.LINK)));

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
                        source,
                        problems,
                        program.merge(merger, path -> Optional.empty()),
                        "Ines",
                        path -> CATALOGUE
                                .resolve(path, About.PERSON)
                                .orElseThrow()
                                .label(),
                        true,
                        Circumstances.on(LocalDate.EPOCH, Locale.UK)));
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

    @ParameterizedTest
    @CsvSource({
        "sender.phone, sender, The sender has no phone",
        "our.website, gap, Our company has no website",
        "owner.phone, gap, The owner has no phone",
    })
    void namesWhoeverLacksTheValue(String path, String code, String title) {
        assertThat(read("Hives", "Call {" + path + "}")).singleElement().satisfies(note -> {
            assertThat(note.title()).isEqualTo(title);
            assertThat(note.code()).isEqualTo(code);
            assertThat(note.stops()).isTrue();
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
    void stopsWhereAMissingValueWasDeletedAndNothingWrittenInItsPlace() {
        List<Note> notes = read("For Ines ,", "Dear ,\nwe come at 5 , as agreed , on Tuesday.");

        assertThat(notes).extracting(Note::code).containsExactly("gap", "gap", "gap");
        assertThat(notes).extracting(Note::title).containsOnly("A word is missing before this comma");
        assertThat(notes.get(1).span()).isEqualTo(new Span(4, 6));
        assertThat(read("For you, Ines", "Dear Ines,\n , as agreed")).isEmpty();
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

    @Test
    void stopsAtAnAskPlaceThatIsNotFilledIn() {
        assertThat(read("Hives", "As we said: {write in \"what we agreed\"}."))
                .singleElement()
                .satisfies(note -> {
                    assertThat(note.code()).isEqualTo("ask-open");
                    assertThat(note.title()).isEqualTo("“what we agreed” is not filled in");
                    assertThat(note.stops()).isTrue();
                });
    }

    @Test
    void asksAboutAConditionThatComesOutTheSameForEverybody() {
        assertThat(read("Hives", "Hello{when person.title is empty and person.title is filled}x{end}"))
                .singleElement()
                .satisfies(note -> {
                    assertThat(note.code()).isEqualTo("foregone");
                    assertThat(note.title()).isEqualTo("This is never true");
                    assertThat(note.stops()).isFalse();
                });
    }
}
