package famulus.core.departure;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.field.Value;
import famulus.core.merge.Analyser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.proof.Note;
import famulus.core.proof.ProofSubject;
import famulus.core.proof.Proofreader;
import famulus.core.syntax.Problem;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is typed is read as it will leave, and what is said of it is not believed. */
class TypedWordsTest {
    private static final FieldCatalogue CATALOGUE = new FieldCatalogue(List.of(
            FieldDefinition.plain(RecordKind.PERSON, "title", "Title", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.PERSON, "last_name", "Last name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.PERSON, "first_name", "First name", FieldType.TEXT)));
    private static final Map<Path, Value> INES = Map.of(
            Path.of("person.first_name"), new Value.Text("Ines"),
            Path.of("person.last_name"), new Value.Text("{Wren}"));

    private static Stretch words(String text) {
        return new Stretch(text, "", false);
    }

    private static Stretch field(String text, String written) {
        return new Stretch(text, written, false);
    }

    /** What stops the body of a message. */
    private static List<Note> stops(String template, Stretch... typed) {
        MessageSource source = new MessageSource("Hives", "", template);
        MessageProgram program = source.parse();
        Map<MessagePart, List<Problem>> problems = new EnumMap<>(MessagePart.class);
        for (MessagePart part : MessagePart.values()) {
            problems.put(part, new Analyser(CATALOGUE, About.PERSON).analyse(program.program(part)));
        }
        Merger merger = new Merger(new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.EPOCH));
        ProofSubject subject = new ProofSubject(
                source,
                problems,
                program.merge(merger, path -> Optional.ofNullable(INES.get(path))),
                "Ines",
                path -> CATALOGUE
                        .resolve(path, About.PERSON)
                        .map(FieldDefinition::label)
                        .orElse(""),
                true);
        List<Note> notes = Proofreader.standard().read(subject);
        return Departure.stops(
                Leaving.SEND,
                TypedWords.notes(subject, notes, List.of(new TypedWords(MessagePart.BODY, List.of(typed)))));
    }

    private static List<String> codes(String template, Stretch... typed) {
        return stops(template, typed).stream().map(Note::code).toList();
    }

    @Test
    void whatIsFilledLeaves() {
        assertThat(stops("Dear {person.first_name},", words("Dear "), field("Ines", "{person.first_name}"), words(",")))
                .isEmpty();
    }

    @Test
    void aGapIsOneWhateverIsSaidOfIt() {
        assertThat(stops("Dear {person.title} Wren", words("Dear "), field("", "{person.title}"), words(" Wren")))
                .singleElement()
                .satisfies(note -> {
                    assertThat(note.title()).isEqualTo("Ines has no title");
                    assertThat(note.span().start()).isEqualTo(5);
                });
        assertThat(codes("Dear {person.title} Wren", words("Dear "), new Stretch(" ", "{person.title}", true)))
                .containsExactly("gap");
    }

    @Test
    void whoeverSaysThatSomethingIsMissingIsBelieved() {
        assertThat(codes("Dear Ines", words("Dear "), new Stretch("", "{person.title}", true)))
                .containsExactly("gap");
    }

    @Test
    void aGapThatIsNotSpokenOfLeavesItsHole() {
        assertThat(codes("Dear {person.title},\nHello", words("Dear ,\nHello"))).containsExactly("gap");
        assertThat(codes("Call: {person.title}\nHello", words("Call: \nHello"))).containsExactly("gap");
        assertThat(codes("As agreed: {write in \"what\"}.", words("As agreed: .")))
                .containsExactly("ask-open");
        assertThat(codes("It is {person.titel}.", words("It is ."))).containsExactly("field-unknown");
    }

    @Test
    void aGapThatIsWrittenOverOrTakenOutIsNone() {
        assertThat(codes("Dear {person.title},\nHello", words("Dear Ines,\nHello")))
                .isEmpty();
        assertThat(codes("Dear {person.title} Wren,", words("Dear Wren,"))).isEmpty();
        assertThat(codes("Dear {person.title},\nHello", words("Hello"))).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "The price is TBC",
                "lorem ipsum dolor",
                "Hello [insert name]",
                "Hello {person.first_name}",
                "Hello {{ first_name }}",
                "Hello %FIRST_NAME%",
                "XX hives"
            })
    void fillerStopsHoweverItWasTyped(String typed) {
        assertThat(codes("", words(typed))).containsExactly("filler");
        assertThat(codes("Hello", words(typed.substring(0, 5)), words(typed.substring(5))))
                .containsExactly("filler");
    }

    @ParameterizedTest
    @CsvSource({
        "see https://example.com/plan, https://example.com/plan",
        "see https:// for more, https://",
        "write to me@yourdomain.com, me@yourdomain.com",
        "www.example.org has it, www.example.org",
    })
    void anAddressThatLeadsNowhereStops(String typed, String address) {
        assertThat(stops("", words(typed))).singleElement().satisfies(note -> {
            assertThat(note.code()).isEqualTo("link-nowhere");
            assertThat(typed.substring(note.span().start(), note.span().end())).isEqualTo(address);
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "see https://brindlewing.example/plan?for=Ines%20May.",
                "Write to signe@brindlewing.example, or call.",
                "The sample.com of things; 3:1 (a/b)",
                "Hello {Wren}",
            })
    void whatIsAllRightLeaves(String typed) {
        assertThat(codes("Hello {person.last_name}", words(typed))).isEmpty();
    }

    @Test
    void nothingAtAllStops() {
        assertThat(codes("Dear Ines", words("  \n"))).containsExactly("no-body");
    }

    @Test
    void whatWasBrokenAndStillStandsStops() {
        assertThat(codes("Hello {person.title as}", words("Hello {person.title as}")))
                .containsExactly("field-broken");
    }

    @Test
    void onePlaceHasOneNote() {
        assertThat(codes("", words("https://example.com/TBC"))).hasSize(1);
    }
}
