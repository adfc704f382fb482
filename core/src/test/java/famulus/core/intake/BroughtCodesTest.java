package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.intake.BroughtCodes.BroughtCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Codes of other systems in what is brought in, and the fields that are meant by them. */
class BroughtCodesTest {
    private static final FieldCatalogue CATALOGUE = catalogue();

    private static FieldCatalogue catalogue() {
        List<FieldDefinition> fields = new ArrayList<>();
        for (RecordKind kind : List.of(RecordKind.CONTACT, RecordKind.PERSON, RecordKind.LEAD)) {
            for (String name : List.of("first_name", "last_name", "full_name", "email")) {
                fields.add(FieldDefinition.plain(kind, name, name.replace('_', ' '), FieldType.TEXT));
            }
        }
        fields.add(FieldDefinition.plain(RecordKind.CONTACT, "shoe_size", "Size of shoes", FieldType.TEXT));
        fields.add(FieldDefinition.plain(RecordKind.ORGANISATION, "name", "Name", FieldType.TEXT));
        fields.add(FieldDefinition.plain(RecordKind.USER, "full_name", "Full name", FieldType.TEXT));
        fields.add(FieldDefinition.plain(RecordKind.DEAL, "value", "Value", FieldType.MONEY));
        return new FieldCatalogue(fields);
    }

    private static CodeFields fields(About about) {
        return CodeFields.of(CATALOGUE, about, Map.of());
    }

    private static List<BroughtCode> in(String text) {
        return BroughtCodes.in(text, CATALOGUE, fields(About.CONTACT));
    }

    private static List<String> shown(String text) {
        return in(text).stream().map(BroughtCode::shown).toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '!',
            quoteCharacter = '~',
            value = {
                "Dear [[first name]],        ! [[first name]]",
                "Dear [FIRST_NAME],          ! [FIRST_NAME]",
                "Dear {{first_name}},        ! {{first_name}}",
                "Dear {{ lead.FirstName }},  ! {{ lead.FirstName }}",
                "Dear {{{name}}},            ! {{{name}}}",
                "Dear {FIRSTNAME},           ! {FIRSTNAME}",
                "Dear ${firstName},          ! ${firstName}",
                "Dear <<First Name>>,        ! <<First Name>>",
                "Dear &lt;&lt;Name&gt;&gt;,  ! <<Name>>",
                "Dear &lt;%= name %&gt;,     ! <%= name %>",
                "Dear <%= name %>,           ! <%= name %>",
                "Dear %FIRSTNAME%,           ! %FIRSTNAME%",
                "Dear «Vorname»,             ! «Vorname»",
                "Dear *|FNAME|*,             ! *|FNAME|*",
                "Dear @@first.name@@,        ! @@first.name@@",
                "<a href='https://x.example/?e={{email}}'>A</a> ! {{email}}",
            })
    void areFoundByTheirShapeWhateverTheirBrackets(String text, String code) {
        assertThat(shown(text)).containsExactly(code);
    }

    @Test
    void whatTheMergeLanguageKnowsIsNone() {
        assertThat(shown("{contact.first_name} {organisation.name else \"you\"} {when deal.value is known}A{end}"))
                .isEmpty();
        assertThat(shown("{contact.frist_name}")).containsExactly("{contact.frist_name}");
    }

    @Test
    void styleSheetsAndCommentsAreNotLookedThrough() {
        assertThat(shown("<style>p{color:red} %FIRST%</style><!-- {{x}} --><script>${y}</script><p>{{z}}</p>"))
                .containsExactly("{{z}}");
    }

    @Test
    void eachIsCountedOnce() {
        assertThat(in("{{first_name}} and {{first_name}}, {{zodiac}}"))
                .extracting(BroughtCode::shown, BroughtCode::times, one -> one.path()
                        .map(Path::toString))
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("{{first_name}}", 2, Optional.of("contact.first_name")),
                        org.assertj.core.groups.Tuple.tuple("{{zodiac}}", 1, Optional.empty()));
        assertThat(in("{{x}} ".repeat(2_000))).hasSize(1);
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 500; i++) {
            many.append("{{code").append(i).append("}} ");
        }
        assertThat(in(many.toString())).hasSize(200);
    }

    /** A text of nothing but codes takes no longer than it should. */
    @Test
    void manyCodesAreFoundInTime() {
        String text = "{{a}} *|B|* {%c%} ".repeat(50_000);
        org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(
                java.time.Duration.ofSeconds(20), () -> assertThat(in(text)).hasSize(3));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '!',
            value = {
                "*|FNAME|*                       ! contact.first_name",
                "{{ subscriber.first_name }}     ! contact.first_name",
                "{{contact.firstname | default}} ! contact.first_name",
                "[VORNAME]                       ! contact.first_name",
                "«Prénom»                        ! contact.first_name",
                "%SHOE_SIZE%                     ! contact.shoe_size",
                "[[Size of shoes]]               ! contact.shoe_size",
                "{NAME}                          ! contact.full_name",
                "<<Company>>                     ! organisation.name",
                "{{Firma}}                       ! organisation.name",
                "{{deal.value}}                  ! deal.value",
                "{{sender_name}}                 ! sender.full_name",
                "{{Absender}}                    ! sender.full_name",
                "{{zodiac}}                      ! ",
                "{{#if vip}}                     ! ",
            })
    void aFieldIsMeantByItsName(String code, String path) {
        assertThat(fields(About.DEAL).meantBy(code).map(Path::toString).orElse(null))
                .isEqualTo(path);
    }

    @Test
    void aLeadIsNoContact() {
        assertThat(fields(About.LEAD).meantBy("*|FNAME|*")).contains(Path.of("person.first_name"));
    }

    @Test
    void whatWasSaidBeforeCountsMost() {
        CodeFields fields = CodeFields.of(
                CATALOGUE, About.CONTACT, Map.of(CodeFields.key("*|FNAME|*"), Path.of("contact.full_name")));
        assertThat(fields.meantBy("{{fname}}")).contains(Path.of("contact.full_name"));
    }

    @Test
    void fieldsTakeTheirPlaces() {
        assertThat(BroughtCodes.with(
                        "<a href=\"x?{{name}}\">{{name}} {{name2}} &lt;&lt;Firm&gt;&gt;</a>",
                        Map.of(
                                "{{name}}", Path.of("contact.full_name"),
                                "&lt;&lt;Firm&gt;&gt;", Path.of("organisation.name"))))
                .isEqualTo("<a href=\"x?{contact.full_name}\">{contact.full_name} {{name2}} {organisation.name}</a>");
    }
}
