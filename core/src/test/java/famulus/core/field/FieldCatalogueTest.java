package famulus.core.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.core.syntax.Problem;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where paths lead, and which are offered. */
class FieldCatalogueTest {
    private static final FieldCatalogue CATALOGUE = new FieldCatalogue(List.of(
            FieldDefinition.plain(RecordKind.PERSON, "first_name", "First name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.CONTACT, "first_name", "First name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.CONTACT, "phone", "Phone", FieldType.TEXT),
            FieldDefinition.relation(RecordKind.CONTACT, "organisation", "Organisation", RecordKind.ORGANISATION),
            FieldDefinition.plain(RecordKind.LEAD, "company", "Company", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.ORGANISATION, "name", "Organisation name", FieldType.TEXT),
            FieldDefinition.relation(RecordKind.ORGANISATION, "owner", "Owner", RecordKind.USER),
            FieldDefinition.plain(RecordKind.USER, "full_name", "Full name", FieldType.TEXT)));

    private static Optional<String> label(String path, About about) {
        return CATALOGUE.resolve(Path.of(path), about).map(FieldDefinition::label);
    }

    @ParameterizedTest
    @CsvSource({
        "contact.phone, Phone",
        "contact.organisation, Organisation",
        "contact.organisation.name, Organisation name",
        "organisation.name, Organisation name",
        "CONTACT.Organisation.OWNER.full_name, Full name",
        "sender.full_name, Full name",
        "today, Today",
        "now, Now",
    })
    void aPathIsFollowedOverRelationsHoweverItIsSpelled(String path, String expected) {
        assertThat(label(path, About.CONTACT)).contains(expected);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "contact",
                "contact.no_such_field",
                "contact.phone.name",
                "contact.organisation.phone",
                "lead.company",
                "tomorrow",
                "nobody.first_name",
                "today.first_name"
            })
    void aPathThatLeadsNowhereFindsNothing(String path) {
        assertThat(label(path, About.CONTACT)).isEmpty();
    }

    @Test
    void whatATemplateIsAboutSettlesWhereItsFieldsComeFrom() {
        assertThat(label("lead.company", About.LEAD)).contains("Company");
        assertThat(label("contact.phone", About.LEAD)).isEmpty();
        assertThat(label("contact.phone", About.PERSON)).isEmpty();
        assertThat(label("person.first_name", About.PERSON)).contains("First name");
    }

    @ParameterizedTest
    @EnumSource(About.class)
    void everyPathThatIsOfferedLeadsToItsField(About about) {
        CATALOGUE.reachable(about).forEach((path, field) -> assertThat(CATALOGUE.resolve(path, about))
                .as(path.toString())
                .contains(field));
    }

    @Test
    void relationsAreOfferedByWhatStandsBehindThemOneStepFar() {
        assertThat(CATALOGUE.reachable(About.CONTACT).keySet())
                .extracting(Path::toString)
                .contains("contact.organisation.name", "contact.phone", "today", "now")
                .doesNotContain("contact.organisation", "contact.organisation.owner.full_name");
        assertThat(CATALOGUE.reachable(About.PERSON).keySet())
                .extracting(Path::toString)
                .noneMatch(path -> path.startsWith("contact."));
    }

    @Test
    void aLaterFieldOfTheSameNameTakesThePlaceOfAnEarlierOne() {
        FieldDefinition phone = FieldDefinition.plain(RecordKind.CONTACT, "phone", "Phone", FieldType.TEXT);
        FieldDefinition mobile = FieldDefinition.plain(RecordKind.CONTACT, "phone", "Mobile", FieldType.TEXT);
        assertThat(new FieldCatalogue(List.of(phone, mobile)).of(RecordKind.CONTACT))
                .containsExactly(mobile);
    }

    @Test
    void aPathThatLeadsNowhereIsExplained() {
        PathReading reading = new PathReading(CATALOGUE, About.CONTACT);
        Problem misspelt = reading.unknown(Path.of("contact.fist_name"), 3);
        assertThat(misspelt.sentence()).isEqualTo("There is no field “contact.fist_name”.");
        assertThat(misspelt.nearest().getFirst()).isEqualTo("contact.first_name");
        assertThat(misspelt.span().start()).isEqualTo(3);
        assertThat(misspelt.span().end()).isEqualTo(3 + "contact.fist_name".length());

        Problem elsewhere = reading.unknown(Path.of("lead.company"), 0);
        assertThat(elsewhere.sentence())
                .startsWith("A template about a contact has no lead to take “lead.company” from.")
                .contains("contact, organisation, deal");
    }

    @ParameterizedTest
    @ValueSource(strings = {"contact.first_name", "CONTACT.First_Name", "  contact.first_name "})
    void pathsOfTheSameWordsAreEqual(String written) {
        Path path = Path.of(written);
        assertThat(path).isEqualTo(Path.of("contact.first_name")).hasSameHashCodeAs(Path.of("contact.first_name"));
        assertThat(path).hasToString("contact.first_name").isNotEqualTo(Path.of("contact.last_name"));
        assertThat(path.words()).containsExactly("contact", "first_name");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "contact..first_name", ".name"})
    void aPathHasNoEmptyWords(String written) {
        assertThatThrownBy(() -> Path.of(written)).isInstanceOf(IllegalArgumentException.class);
        assertThat(Path.read(written)).isEmpty();
        assertThat(CATALOGUE.resolve(written, About.CONTACT)).isEmpty();
    }

    @Test
    void whatSomebodyWroteIsReadAsAPathWhereItIsOne() {
        assertThat(Path.read(" Contact.First_Name ")).contains(Path.of("contact.first_name"));
        assertThat(Path.read("contact.first_name.")).as("a point too many").isEmpty();
        assertThat(CATALOGUE.resolve("contact.first_name", About.CONTACT)).isPresent();
    }
}
