package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.server.ServerTest;
import famulus.server.folders.FolderRights;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Lists that are kept, who sees them, what is on them, and a field that is set for many. */
class KeptListTest extends ServerTest {
    private static final String GROWERS = "contact.job_title is \"Grower\"";

    @Autowired
    private CatalogueService catalogue;

    @Autowired
    private FieldChanges changes;

    private UUID ines;
    private UUID tobias;
    private UUID priya;

    @BeforeEach
    void makePeople() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        tobias = contact("Tobias", "Larkin", "tobias@wrenhill.example");
        priya = contact("Priya", "Ivory", "priya@larkfield.example");
        change(ines, "job_title", "Grower");
        change(priya, "job_title", "Grower");
    }

    private static Map<String, Object> typed(String name, String condition, UUID folder) {
        Map<String, Object> typed = new HashMap<>();
        typed.put("name", name);
        typed.put("condition", condition);
        typed.put("folder", folder == null ? null : folder.toString());
        return typed;
    }

    private UUID kept(String name, String condition, UUID folder, Colleague by) throws Exception {
        JsonNode kept = done("POST", "/api/lists/kept/contact", typed(name, condition, folder), by);
        return UUID.fromString(kept.get("id").asString());
    }

    private static Map<String, Object> choice(boolean all, List<UUID> ids, String where, UUID list) {
        Map<String, Object> narrowed = new HashMap<>(Map.of("search", "", "where", where));
        narrowed.put("list", list == null ? null : list.toString());
        return Map.of(
                "kind",
                "contact",
                "all",
                all,
                "ids",
                ids.stream().map(UUID::toString).toList(),
                "narrowed",
                narrowed);
    }

    private static Map<String, Object> chosen(UUID... ids) {
        return choice(false, List.of(ids), "", null);
    }

    private List<String> names(UUID list, Colleague asking) throws Exception {
        List<String> names = new ArrayList<>();
        done("GET", "/api/lists/records/contact?list=" + list, null, asking)
                .at("/window/lines")
                .forEach(line -> names.add(line.at("/cells/0").asString()));
        return names;
    }

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

    private UUID combined(String name, String condition, UUID base, UUID minus, Colleague by) throws Exception {
        Map<String, Object> typed = typed(name, condition, FolderRights.EVERYONE);
        typed.put("base", base == null ? null : base.toString());
        typed.put("minus", minus == null ? null : minus.toString());
        if (by == signe) {
            typed.put("folder", null);
        }
        JsonNode kept = done("POST", "/api/lists/kept/contact", typed, by);
        assertThat(kept.has("id")).as(kept.toString()).isTrue();
        return UUID.fromString(kept.get("id").asString());
    }

    @Test
    void aListHasTheseWithoutThose() throws Exception {
        UUID visit = kept("To visit", null, null, signe);
        done("POST", "/api/lists/" + visit + "/members", Map.of("choice", chosen(ines, tobias)), signe);
        UUID growers = kept("Growers", GROWERS, null, signe);

        String narrowed = "/api/lists/records/contact?where=" + GROWERS;
        assertThat(done("GET", narrowed + "&minus=" + visit, null, signe)
                        .at("/window/lines/0/cells/0")
                        .asString())
                .isEqualTo("Priya Ivory");
        assertThat(names(combined("Growers not to visit", GROWERS, null, visit, signe), signe))
                .containsExactly("Priya Ivory");
        UUID others = combined("To visit, no growers", null, visit, growers, signe);
        assertThat(names(others, signe)).containsExactly("Tobias Larkin");
        JsonNode shown = done("GET", "/api/lists/" + others, null, signe);
        assertThat(shown.get("baseName").asString()).isEqualTo("To visit");
        assertThat(shown.get("minusName").asString()).isEqualTo("Growers");
        change(tobias, "job_title", "Grower");
        assertThat(names(others, signe)).isEmpty();
        change(ines, "job_title", "");
        assertThat(names(others, signe)).containsExactly("Ines Okafor");
        assertThat(done("GET", "/api/lists/records/contact/count?list=" + others, null, signe)
                        .get("number")
                        .asInt())
                .isEqualTo(1);

        Map<String, Object> nested = typed("Within itself", GROWERS, null);
        nested.put("minus", others.toString());
        assertThat(done("POST", "/api/lists/kept/contact", nested, signe)
                        .at("/fields/minus")
                        .asString())
                .isEqualTo("“To visit, no growers” is made of other lists. Choose one that is not.");
        assertThat(done("DELETE", "/api/lists/" + growers, null, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("“To visit, no growers” is made of this list. Delete that first.");
        nested.put("minus", UUID.randomUUID().toString());
        assertThat(done("POST", "/api/lists/kept/contact", nested, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("This list is missing.");
    }

    @Test
    void whatAListLeavesOutIsLeftOutForAllWhoSeeIt() throws Exception {
        UUID secret = kept("Dov’s secret", "contact.first_name is \"Ines\"", null, oriel);
        UUID shared = combined("Growers", GROWERS, null, secret, oriel);
        assertThat(names(shared, signe)).containsExactly("Priya Ivory");
        JsonNode shown = done("GET", "/api/lists/" + shared, null, signe);
        assertThat(shown.get("minusName").asString()).isEmpty();
        assertThat(shown.toString()).doesNotContain("secret");
        assertThat(done("GET", "/api/lists/records/contact?minus=" + secret, null, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("This list is missing.");
    }

    private UUID deal(String name, UUID main, UUID other) throws Exception {
        JsonNode made = done("POST", "/api/records/deal", Map.of("values", Map.of("name", name), "email", ""), signe);
        assertThat(made.has("id")).as(made.toString()).isTrue();
        String path = "/api/records/deal/" + made.get("id").asString() + "/contacts/";
        done("PUT", path + main, Map.of("role", "decides", "main", true), signe);
        done("PUT", path + other, Map.of("role", "advises", "main", false), signe);
        return UUID.fromString(made.get("id").asString());
    }

    @Test
    void aListHasTheContactsOfDealsInARole() throws Exception {
        deal("Autumn", ines, tobias);
        UUID spring = deal("Spring", priya, ines);
        JsonNode open = done("POST", "/api/lists/kept/deal", typed("Autumn", "deal.name is \"Autumn\"", null), signe);
        assertThat(open.has("id")).as(open.toString()).isTrue();
        UUID autumn = UUID.fromString(open.get("id").asString());
        UUID fixed = UUID.fromString(done("POST", "/api/lists/kept/deal", typed("By hand", null, null), signe)
                .get("id")
                .asString());
        Map<String, Object> byHand = new HashMap<>(choice(false, List.of(spring), "", null));
        byHand.put("kind", "deal");
        done("POST", "/api/lists/" + fixed + "/members", Map.of("choice", byHand), signe);

        String of = "/api/lists/records/contact?deals=";
        assertThat(done("GET", of + autumn, null, signe).at("/window/total").asInt())
                .isEqualTo(2);
        assertThat(done("GET", of + autumn + "&role=advises", null, signe).toString())
                .contains("Tobias Larkin")
                .doesNotContain("Ines");
        assertThat(done("GET", of + fixed + "&role=decides", null, signe).toString())
                .contains("Priya Ivory")
                .doesNotContain("Ines");

        Map<String, Object> typed = typed("Deciding", null, null);
        typed.put("deals", autumn.toString());
        typed.put("role", "decides");
        UUID deciding = UUID.fromString(
                done("POST", "/api/lists/kept/contact", typed, signe).get("id").asString());
        assertThat(names(deciding, signe)).containsExactly("Ines Okafor");
        JsonNode shown = done("GET", "/api/lists/" + deciding, null, signe);
        assertThat(List.of(shown.get("dealsName").asString(), shown.get("role").asString()))
                .containsExactly("Autumn", "decides");
        assertThat(shown.get("live").asBoolean()).isTrue();
        deal("Autumn", tobias, priya);
        assertThat(names(deciding, signe)).containsExactly("Tobias Larkin", "Ines Okafor");

        assertThat(done("GET", "/api/lists/records/lead?deals=" + autumn, null, signe)
                        .at("/fields/deals")
                        .asString())
                .isEqualTo("Only contacts are on deals.");
        assertThat(done("GET", of + autumn, null, dov).get("detail").asString()).isEqualTo("This list is missing.");
        assertThat(done("GET", of + deciding, null, signe).at("/fields/deals").asString())
                .isEqualTo("“Deciding” is a list of contacts.");
    }

    @Test
    void aListSaysWhyAndWhatHasChanged() throws Exception {
        UUID visit = kept("To visit", null, null, signe);
        done("POST", "/api/lists/" + visit + "/members", Map.of("choice", chosen(ines, tobias)), signe);
        JsonNode window = done("GET", "/api/lists/records/contact?list=" + visit, null, signe)
                .get("window");
        assertThat(window.get("columns")
                        .get(window.get("columns").size() - 1)
                        .get("label")
                        .asString())
                .isEqualTo("Put on");
        assertThat(window.get("lines").get(0).get("cells").toString()).contains("4 May 2026 by Signe");

        String changes = "/api/lists/" + visit + "/changes";
        assertThat(done("GET", changes, null, signe).get("since").isNull()).isTrue();
        done("POST", "/api/lists/" + visit + "/look", null, signe);
        done("POST", "/api/lists/" + visit + "/members", Map.of("choice", chosen(priya)), signe);
        done("POST", "/api/lists/" + visit + "/members/take-off", Map.of("choice", chosen(ines)), signe);
        JsonNode changed = done("GET", changes, null, signe);
        assertThat(changed.get("came").asInt()).isEqualTo(1);
        assertThat(changed.get("cameNames").toString()).isEqualTo("[\"Priya Ivory\"]");
        assertThat(changed.get("wentNames").toString()).isEqualTo("[\"Ines Okafor\"]");
        done("POST", "/api/lists/" + visit + "/look", null, signe);
        assertThat(done("GET", changes, null, signe).get("came").asInt()).isZero();

        UUID growers = kept("Growers", GROWERS, null, signe);
        done("POST", "/api/lists/" + growers + "/look", null, signe);
        change(tobias, "job_title", "Grower");
        assertThat(done("GET", "/api/lists/" + growers + "/changes", null, signe)
                        .get("cameNames")
                        .toString())
                .isEqualTo("[\"Tobias Larkin\"]");
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

    private JsonNode set(Map<String, Object> choice, String field, String value, Colleague by) throws Exception {
        String lines = mvc.perform(request(
                        "POST", "/api/lists/set-field", Map.of("choice", choice, "field", field, "value", value), by))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String[] all = lines.split("\n");
        return json.readTree(all[all.length - 1]);
    }

    private String value(UUID contact, String field) throws Exception {
        return done("GET", "/api/records/contact/" + contact, null, signe)
                .get("facts")
                .valueStream()
                .filter(fact -> fact.get("name").asString().equals(field))
                .findFirst()
                .orElseThrow()
                .get("stored")
                .asString();
    }

    @Test
    void aFieldIsSetForAllThatAreChosenAndTakenBack() throws Exception {
        change(priya, "owner", dov.id().toString());
        JsonNode line =
                set(choice(true, List.of(), GROWERS, null), "owner", signe.id().toString(), signe);
        assertThat(line.at("/changed/changed").asInt()).isEqualTo(2);
        assertThat(value(ines, "owner")).isEqualTo(signe.id().toString());
        assertThat(value(tobias, "owner")).isEmpty();
        change(ines, "owner", oriel.id().toString());

        String back = "/api/lists/set-field/" + line.at("/changed/id").asString() + "/take-back";
        assertThat(done("POST", back, null, dov).get("detail").asString()).contains("This change");
        assertThat(done("POST", back, null, signe).get("number").asInt()).isEqualTo(1);
        assertThat(value(priya, "owner")).isEqualTo(dov.id().toString());
        assertThat(value(ines, "owner"))
                .as("changed by somebody since")
                .isEqualTo(oriel.id().toString());
    }

    @Test
    void aValueThatCantBeChangesNothing() throws Exception {
        JsonNode refused = set(chosen(ines, tobias), "owner", "nobody", signe);
        assertThat(refused.at("/fields/owner").asString()).isEqualTo("Choose one from the list.");
        refused = set(chosen(ines, tobias), "last_name", "", signe);
        assertThat(refused.at("/fields/last_name").asString()).isNotEmpty();
        assertThat(value(ines, "last_name")).isEqualTo("Okafor");
        assertThat(set(chosen(ines), "no_field", "x", signe)
                        .at("/fields/no_field")
                        .asString())
                .isNotEmpty();
    }

    @Test
    void whoeverStopsItLeavesNothingChanged() throws Exception {
        assertThatThrownBy(
                        () -> changes.set(CrmKind.CONTACT, List.of(ines, tobias), "job_title", "Buyer", signe, done -> {
                            throw new IllegalStateException("gone");
                        }))
                .hasMessage("gone");
        assertThat(value(ines, "job_title")).isEqualTo("Grower");
        assertThat(value(tobias, "job_title")).isEmpty();
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

    @Test
    void whoIsMovedToAnotherOrganisationIsCountedThere() throws Exception {
        JsonNode made = done(
                "POST", "/api/records/organisation", Map.of("values", Map.of("name", "Larkfield"), "email", ""), signe);
        String larkfield = made.get("id").asString();
        set(chosen(ines, priya), "organisation", larkfield, signe);
        assertThat(done("GET", "/api/lists/records/organisation", null, signe)
                        .at("/window/lines/0/cells/2")
                        .asString())
                .isEqualTo("2");
    }
}
