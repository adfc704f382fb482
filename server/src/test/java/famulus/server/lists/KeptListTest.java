package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.server.folders.FolderRights;
import famulus.server.records.CatalogueService;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Lists that are kept, who sees them, and what is on them. */
class KeptListTest extends ListTest {
    @Autowired
    private CatalogueService catalogue;

    private List<String> listed(Colleague asking) throws Exception {
        List<String> names = new ArrayList<>();
        done("GET", "/api/lists/kept/contact", null, asking)
                .forEach(one -> names.add(one.get("name").asString()));
        return names;
    }

    @Test
    void aLiveListHasWhateverItsConditionHoldsFor() throws Exception {
        UUID list = kept("Growers", GROWERS, null, signe);
        assertThat(names(list, signe)).containsExactly("Priya Ivory", "Ines Okafor");

        change(tobias, "job_title", "Grower");
        change(ines, "job_title", "");
        assertThat(names(list, signe)).containsExactly("Priya Ivory", "Tobias Larkin");
        JsonNode shown = done("GET", "/api/lists/" + list, null, signe);
        assertThat(shown.get("sentence").asString()).isEqualTo("Job title is Grower");
        assertThat(shown.get("live").asBoolean()).isTrue();
        assertThat(done("POST", "/api/lists/" + list + "/members", Map.of("choice", chosen(ines)), signe)
                        .get("detail")
                        .asString())
                .isEqualTo("“Growers” is a live list: its condition says what is on it.");
    }

    @Test
    void aFixedListHasWhatWasPutOnIt() throws Exception {
        UUID list = kept("To visit", null, null, signe);
        JsonNode put = done("POST", "/api/lists/" + list + "/members", Map.of("choice", chosen(ines, tobias)), signe);
        assertThat(put.get("number").asInt()).isEqualTo(2);
        put = done("POST", "/api/lists/" + list + "/members", Map.of("choice", chosen(tobias, priya)), signe);
        assertThat(put.get("number").asInt()).as("who is on it already").isEqualTo(1);
        assertThat(put.at("/list/members").asInt()).isEqualTo(3);
        assertThat(names(list, signe)).containsExactly("Priya Ivory", "Tobias Larkin", "Ines Okafor");

        Map<String, Object> growers = choice(true, List.of(priya), GROWERS, list);
        JsonNode taken = done("POST", "/api/lists/" + list + "/members/take-off", Map.of("choice", growers), signe);
        assertThat(taken.get("number").asInt()).isEqualTo(1);
        assertThat(names(list, signe)).containsExactly("Priya Ivory", "Tobias Larkin");
        // Who is on no list at all, or nobody, is not put on one.
        assertThat(done("POST", "/api/lists/" + list + "/members", Map.of("choice", chosen(UUID.randomUUID())), signe)
                        .get("detail")
                        .asString())
                .isEqualTo("Choose a contact first.");
    }

    @Test
    void whatOneMayNotSeeIsNotThere() throws Exception {
        UUID own = kept("Mine alone", GROWERS, null, signe);
        UUID fixed = kept("Mine by hand", null, null, signe);
        assertThat(listed(dov)).isEmpty();
        assertThat(listed(amos)).contains("Mine alone");
        for (UUID list : List.of(own, fixed)) {
            for (String[] one : new String[][] {
                {"GET", ""},
                {"GET", "/changes"},
                {"POST", "/look"},
                {"PUT", ""},
                {"DELETE", ""},
                {"POST", "/bring-back"},
                {"POST", "/members"},
                {"POST", "/members/take-off"},
                {"POST", "/pasted"},
                {"POST", "/pasted/take"}
            }) {
                Object body =
                        switch (one[0] + one[1]) {
                            case "POST/pasted" -> Map.of("text", "ines@larkfield.example");
                            case "POST/pasted/take" -> Map.of("text", "ines@larkfield.example", "leads", true);
                            case "PUT" -> Map.of("version", 1, "list", typed("x", null, null));
                            case "POST/members", "POST/members/take-off" -> Map.of("choice", chosen(ines));
                            default -> null;
                        };
                String there =
                        done(one[0], "/api/lists/" + list + one[1], body, dov).toString();
                UUID nothing = UUID.randomUUID();
                String nowhere = done(one[0], "/api/lists/" + nothing + one[1], body, dov)
                        .toString();
                assertThat(there)
                        .as(one[0] + one[1])
                        .isEqualTo(nowhere.replace(nothing.toString(), list.toString()))
                        .contains("This list");
            }
            assertThat(done("GET", "/api/lists/records/contact?list=" + list, null, dov)
                            .toString())
                    .isEqualTo(done("GET", "/api/lists/records/contact?list=" + UUID.randomUUID(), null, dov)
                            .toString());
        }
        assertThat(listed(signe)).containsExactly("Mine alone", "Mine by hand");
    }

    @Test
    void inASharedFolderItIsUsedByAllAndChangedByEditors() throws Exception {
        UUID list = kept("Growers", GROWERS, FolderRights.EVERYONE, oriel);
        assertThat(listed(dov)).containsExactly("Growers");
        assertThat(names(list, dov)).hasSize(2);
        Map<String, Object> renamed = Map.of("version", 1, "list", typed("All growers", null, null));

        assertThat(done("PUT", "/api/lists/" + list, renamed, dov).get("detail").asString())
                .startsWith("You may use “Growers”, not change it.");
        assertThat(done("PUT", "/api/lists/" + list, renamed, oriel).get("name").asString())
                .isEqualTo("All growers");
        assertThat(done("PUT", "/api/lists/" + list, renamed, oriel)
                        .get("detail")
                        .asString())
                .isEqualTo("Somebody else has changed this list. Open it again.");
        assertThat(done("POST", "/api/lists/kept/contact", typed("Dov’s", GROWERS, FolderRights.EVERYONE), dov)
                        .get("detail")
                        .asString())
                .contains("You may use what is in “Everyone”");
    }

    @Test
    void aDeletedListCanBeBroughtBack() throws Exception {
        UUID list = kept("Growers", GROWERS, null, signe);
        done("DELETE", "/api/lists/" + list, null, signe);
        assertThat(listed(signe)).isEmpty();
        done("POST", "/api/lists/" + list + "/bring-back", null, signe);
        assertThat(listed(signe)).containsExactly("Growers");
    }

    @Test
    void aListWhoseFieldIsGoneSaysSoAndStays() throws Exception {
        catalogue.add(
                FieldDefinition.plain(RecordKind.CONTACT, "hectares", "Hectares", FieldType.NUMBER),
                "Details",
                50,
                20,
                false,
                false);
        UUID list = kept("Large", "contact.hectares is more than 5", null, signe);
        assertThat(names(list, signe)).isEmpty();
        sql.update("delete from field_definition where name = 'hectares'");
        sql.update("update field_catalogue set revision = revision + 1");

        assertThat(listed(signe)).containsExactly("Large");
        assertThat(done("GET", "/api/lists/records/contact?list=" + list, null, signe)
                        .at("/fields/condition")
                        .asString())
                .isEqualTo("There is no field “contact.hectares”.");
    }

    @Test
    void aNameIsGivenOnceInAFolder() throws Exception {
        kept("Growers", GROWERS, null, signe);
        assertThat(done("POST", "/api/lists/kept/contact", typed("growers", null, null), signe)
                        .at("/fields/name")
                        .asString())
                .isEqualTo("There is a list of this name in the folder already.");
        assertThat(done("POST", "/api/lists/kept/contact", typed(" ", null, null), signe)
                        .at("/fields/name")
                        .asString())
                .isNotEmpty();
    }

    @Test
    void aFolderWithListsInItStays() throws Exception {
        Map<String, Object> folder = new HashMap<>(Map.of("name", "North"));
        folder.put("parent", null);
        UUID north = UUID.fromString(
                done("POST", "/api/folders", folder, signe).get("id").asString());
        UUID list = kept("Growers", GROWERS, north, signe);
        assertThat(done("DELETE", "/api/folders/" + north, null, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("There are lists in this folder. Move or delete them first.");
        done("DELETE", "/api/lists/" + list, null, signe);
        assertThat(done("DELETE", "/api/folders/" + north, null, signe).isArray())
                .isTrue();
    }

    private JsonNode pasted(UUID list, String way, Object body, Colleague by) throws Exception {
        return done("POST", "/api/lists/" + list + "/pasted" + way, body, by);
    }

    @Test
    void whoseAddressesArePastedIsPutOnAList() throws Exception {
        UUID list = kept("To visit", null, null, signe);
        done("POST", "/api/lists/" + list + "/members", Map.of("choice", chosen(ines)), signe);
        String text = "Ines <INES@larkfield.example>; tobias@wrenhill.example\nnew@wrenhill.example\nno address";

        JsonNode found = pasted(list, "", Map.of("text", text), signe);
        assertThat(found.get("here").asInt()).isEqualTo(2);
        assertThat(found.get("already").asInt()).isEqualTo(1);
        assertThat(found.at("/fresh/0/address").asString()).isEqualTo("new@wrenhill.example");
        assertThat(found.get("mayAdd").asBoolean()).isFalse();
        assertThat(found.at("/wrong/0/line").asInt()).isEqualTo(3);
        assertThat(names(list, signe)).hasSize(1);

        pasted(list, "/take", Map.of("text", text, "leads", true), signe);
        assertThat(names(list, signe)).containsExactly("Tobias Larkin", "Ines Okafor");
        assertThat(done("GET", "/api/records/lead", null, signe).get("total").asInt())
                .isZero();
        assertThat(pasted(list, "/take", Map.of("text", "new@wrenhill.example", "leads", false), signe)
                        .at("/fields/text")
                        .asString())
                .isEqualTo("There is nobody in it who can be put on this list.");
        assertThat(pasted(list, "", Map.of("text", text), dov).get("detail").asString())
                .isEqualTo("This list is missing.");
        UUID live = kept("Growers", GROWERS, null, signe);
        assertThat(pasted(live, "", Map.of("text", text), signe).get("detail").asString())
                .isEqualTo("Addresses can be pasted onto fixed lists of contacts and leads.");
    }

    @Test
    void addressesThatNobodyHasBecomeLeadsOnlyOnYes() throws Exception {
        UUID list = UUID.fromString(done("POST", "/api/lists/kept/lead", typed("Fair", null, null), signe)
                .get("id")
                .asString());
        String text = "\"Gosling, Leopold\" <leo@wrenhill.example>\noffice@larkfield.example\nines@larkfield.example";
        JsonNode found = pasted(list, "", Map.of("text", text), signe);
        assertThat(found.get("freshNumber").asInt()).isEqualTo(2);
        assertThat(found.get("others").asInt()).isEqualTo(1);

        pasted(list, "/take", Map.of("text", text, "leads", true), signe);
        JsonNode leads = done("GET", "/api/lists/records/lead?list=" + list, null, signe);
        assertThat(leads.at("/window/lines").valueStream().map(one -> one.at("/cells/0")
                        .asString()))
                .containsExactly("Leopold Gosling", "office");
        assertThat(pasted(list, "", Map.of("text", text), signe).get("already").asInt())
                .isEqualTo(2);
    }

    @Test
    void whatIsMissingInARequestIsRefusedInWords() throws Exception {
        UUID list = kept("To visit", null, null, signe);
        for (String path : List.of(
                "/api/lists/" + list + "/members",
                "/api/lists/" + list + "/members/take-off",
                "/api/lists/" + list + "/pasted",
                "/api/lists/set-field",
                "/api/lists/condition",
                "/api/exports/chosen",
                "/api/exports/papers",
                "/api/messages/many/audience",
                "/api/messages/many/drafts")) {
            assertThat(done("POST", path, Map.of(), signe).get("detail").asString())
                    .as(path)
                    .isIn("This is missing.", "This request can't be read.");
        }
        assertThat(done("PUT", "/api/lists/" + list, Map.of("version", 1), signe)
                        .get("detail")
                        .asString())
                .isEqualTo("This is missing.");
        Map<String, Object> sorted = typed("Sorted", GROWERS, null);
        sorted.put("sort", "x".repeat(200));
        assertThat(done("POST", "/api/lists/kept/contact", sorted, signe)
                        .get("sort")
                        .asString())
                .isEmpty();
    }
}
