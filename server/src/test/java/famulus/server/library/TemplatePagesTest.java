package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.server.ServerTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** The library with more templates than a page shows. */
class TemplatePagesTest extends ServerTest {
    @Autowired
    private TemplateService templates;

    @Autowired
    private TemplateUseService uses;

    private final List<UUID> made = new ArrayList<>();

    @BeforeEach
    void makeMany() {
        made.clear();
        for (int i = 0; i < 230; i++) {
            Draft draft = new Draft(
                    "Call " + (i % 7 == 0 ? "same" : "%03d".formatted(i)),
                    "",
                    About.CONTACT,
                    "Hello {contact.first_name else \"you\"}",
                    "",
                    "Nummer " + i + (i % 10 == 0 ? " über Äpfel" : ""));
            made.add(templates.add(draft, signe).id());
        }
    }

    private List<String> pages(String search) throws Exception {
        List<String> ids = new ArrayList<>();
        String after = "";
        JsonNode page;
        do {
            page = done("GET", "/api/templates?search=" + search + after, null, signe);
            page.get("lines").forEach(line -> ids.add(line.get("id").asString()));
            after = ids.isEmpty() ? "" : "&after=" + ids.getLast();
        } while (page.get("more").asBoolean());
        return ids;
    }

    @Test
    void pageAfterPageEachTemplateIsThereOnce() throws Exception {
        JsonNode first = done("GET", "/api/templates", null, signe);

        assertThat(first.get("lines")).hasSize(50);
        assertThat(first.get("total").asInt()).isEqualTo(230);
        assertThat(pages("")).hasSize(230).doesNotHaveDuplicates();
    }

    /** The last line of a page may be deleted, or renamed, before the next one is asked for. */
    @Test
    void aPageFollowsOnALineThatHasGone() throws Exception {
        List<String> all = pages("");
        UUID last = UUID.fromString(all.get(49));
        done("DELETE", "/api/templates/" + last, Map.of(), signe);

        JsonNode next = done("GET", "/api/templates?after=" + last, null, signe);

        assertThat(next.get("lines")
                        .valueStream()
                        .map(line -> line.get("id").asString())
                        .toList())
                .isEqualTo(all.subList(50, 100));
        JsonNode nowhere = done("GET", "/api/templates?after=" + new UUID(0, 7), null, signe);
        assertThat(nowhere.get("lines")).isEmpty();
        UUID unseen = templates
                .add(new Draft("Call 1", "", About.CONTACT, "Hello", "", "Mine"), dov)
                .id();
        assertThat(done("GET", "/api/templates?after=" + unseen, null, signe))
                .as("another’s own template is as good as none")
                .isEqualTo(nowhere);
    }

    @Test
    void wordsAreFoundInNamesAndTexts() throws Exception {
        assertThat(pages("aepf")).isEmpty();
        assertThat(pages("apf uber")).hasSize(23).doesNotHaveDuplicates();
        assertThat(pages("call")).hasSize(230);
        assertThat(pages("nummer 17")).hasSize(11);
    }

    @Test
    void aChangedTextIsFoundByItsNewWordsAlone() throws Exception {
        UUID id = made.get(10);
        JsonNode template = done("GET", "/api/templates/" + id, null, signe).get("template");
        Draft draft = Draft.of(templates.any(id));
        templates.change(
                id,
                template.get("version").asInt(),
                new Draft(draft.name(), "", draft.about(), draft.subject(), "", "Birnen"),
                signe);

        assertThat(pages("birn")).containsExactly(id.toString());
        assertThat(pages("apfel")).hasSize(22);
    }

    /** Those that somebody used last come first, whatever they are called. */
    @Test
    void theChooserBeginsWithWhatWasUsedLast() throws Exception {
        uses.used(made.get(201), signe.id(), clock.instant());
        uses.used(made.get(202), signe.id(), clock.instant().plusSeconds(5));
        uses.used(made.get(203), dov.id(), clock.instant().plusSeconds(9));

        JsonNode fitting = done("GET", "/api/templates/fitting?about=CONTACT", null, signe);

        assertThat(fitting).hasSize(60);
        assertThat(fitting.get(0).get("id").asString()).isEqualTo(made.get(202).toString());
        assertThat(fitting.get(1).get("id").asString()).isEqualTo(made.get(201).toString());
        assertThat(fitting.get(0).get("used").asInt()).isEqualTo(1);
    }

    /** More than five hundred have the word in their text, and the named one still comes first. */
    @Test
    void ofVeryManyFoundTheBestFitComesFirst() throws Exception {
        for (int i = 230; i < 505; i++) {
            templates.add(new Draft("Call " + i, "", About.CONTACT, "Hello", "", "Nummer " + i), signe);
        }
        UUID named = templates
                .add(new Draft("Zuletzt: Nummer eins", "", About.CONTACT, "Hello", "", "Rufnummer"), signe)
                .id();

        JsonNode found = done("GET", "/api/templates?search=nummer", null, signe);

        assertThat(found.get("total").asInt()).isEqualTo(506);
        assertThat(found.get("uncounted").asBoolean()).isFalse();
        assertThat(found.at("/lines/0/id").asString()).isEqualTo(named.toString());
        assertThat(pages("nummer")).hasSize(506).doesNotHaveDuplicates();
        JsonNode fitting = done("GET", "/api/templates/fitting?about=CONTACT&search=nummer", null, signe);
        assertThat(fitting).hasSize(60);
        assertThat(fitting.get(0).get("id").asString()).isEqualTo(named.toString());
        JsonNode few = done("GET", "/api/templates?search=apf", null, signe);
        assertThat(few.get("total").asInt()).isEqualTo(23);
        assertThat(few.get("uncounted").asBoolean()).isFalse();
    }

    @Test
    void whatUsesAFieldIsKeptWithTheTemplate() throws Exception {
        assertThat(done("GET", "/api/templates/using?kind=contact&field=first_name", null, signe)
                        .get("seen"))
                .hasSize(230);
        assertThat(done("GET", "/api/templates/using?kind=contact&field=last_name", null, signe)
                        .get("seen"))
                .isEmpty();
        done("DELETE", "/api/templates/" + made.getFirst(), Map.of(), signe);
        assertThat(done("GET", "/api/templates/using?kind=contact&field=first_name", null, signe)
                        .get("seen"))
                .hasSize(229);
    }
}
