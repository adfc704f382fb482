package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.Chosen;
import famulus.server.outbox.FakeMailServer.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What stands on the page of a mailing, who gets it, and what keeps it from leaving. */
class MailingPlanTest extends MailingTest {
    private static List<String> names(JsonNode people) {
        List<String> names = new ArrayList<>();
        people.forEach(one -> names.add((one.has("who") ? one.at("/who/name") : one.get("name")).asString()));
        return names;
    }

    private UUID list(String name, String condition) throws Exception {
        Map<String, Object> typed = new HashMap<>(Map.of("name", name));
        typed.put("condition", condition);
        return UUID.fromString(
                done("POST", "/api/lists/kept/contact", typed, signe).get("id").asString());
    }

    @Test
    void whatKeepsItIsSaidInTheOrderInWhichItIsDealtWith() throws Exception {
        UUID id = UUID.fromString(done("POST", "/api/mailings", Map.of("name", "Nothing yet"), signe)
                .get("id")
                .asString());
        sql.update("update house set street = ''");
        assertThat(stops(id)).containsExactly("nobody", "no-template", "no-address");
        change(id, plan -> plan.withObject("who").putPOJO("people", List.of(ines)));
        sql.update("update house set street = 'Lower Mill'");
        assertThat(stops(id)).containsExactly("no-template");
        change(id, plan -> plan.withObject("what").put("template", template.toString()));
        assertThat(stops(id)).containsExactly("untested");
        assertThat(start(id, 1).get("code").asString()).isEqualTo("untested");
        test(id);
        assertThat(stops(id)).isEmpty();
    }

    @Test
    void aTestCoversWordsSenderAndWhatIsAttached() throws Exception {
        UUID id = mailing(ines);
        test(id);
        assertThat(stops(id)).isEmpty();
        change(id, plan -> plan.withObject("when").put("overMinutes", 30));
        change(id, plan -> plan.withObject("who").putPOJO("people", List.of(ines, priya)));
        assertThat(stops(id))
                .as("who gets it, and when, is not what a test shows")
                .isEmpty();
        change(id, plan -> plan.withObject("what").put("replyTo", "answers@brindlewing.example"));
        assertThat(stops(id)).containsExactly("untested");
        test(id);
        JsonNode read = done("GET", "/api/templates/" + template, null, signe);
        var draft = (tools.jackson.databind.node.ObjectNode) read.get("template");
        Map<String, Object> changed = Map.of(
                "name",
                "A template",
                "purpose",
                "",
                "about",
                "CONTACT",
                "subject",
                "Blossom",
                "previewText",
                "",
                "body",
                "Dear {person.first_name}, is it early this year?");
        done(
                "PUT",
                "/api/templates/" + template,
                Map.of("version", draft.get("version").asInt(), "draft", changed),
                signe);
        assertThat(stops(id)).containsExactly("untested");
    }

    @Test
    void listsAndNamesAreTakenTogetherWithoutOthers() throws Exception {
        UUID all = list("All with an i", "person.last_name contains \"i\"");
        UUID priyas = list("Priyas", "person.first_name is \"Priya\"");
        UUID id = mailing(ines);
        change(id, plan -> plan.withObject("who")
                .putPOJO("lists", List.of(all))
                .putPOJO("minus", List.of(priyas))
                .put("minusWhere", "person.first_name is \"Tobias\""));
        JsonNode ready = ready(id);
        assertThat(names(ready.get("in"))).containsExactly("Ines Okafor");
        assertThat(names(ready.get("out"))).containsExactly("Priya Ivory", "Tobias Larkin");
        assertThat(ready.at("/out/0/reasons/0").asString()).isEqualTo("On the list “Priyas”.");
        assertThat(ready.at("/out/1/reasons/0").asString()).isEqualTo("Left out by a condition of this mailing.");

        change(id, plan -> plan.withObject("who")
                .putPOJO("putBack", List.of(Map.of("key", priya.toString(), "reason", "She asked for it"))));
        assertThat(names(ready(id).get("in"))).containsExactly("Ines Okafor", "Priya Ivory");
        // A list that became empty, or that is not there any more, is said and keeps the page whole.
        done("DELETE", "/api/lists/" + all, null, signe);
        assertThat(ready(id).at("/wrong/who").asString()).isEqualTo("This list is missing.");
        assertThat(stops(id)).startsWith("nobody");
    }

    @Test
    void itBeginsWithThoseWhoWereChosenInAList() throws Exception {
        UUID all = list("All", "person.last_name is not \"Nobody\"");
        Map<String, Object> begun = new HashMap<>(Map.of("name", "From a list"));
        begun.put("choice", Chosen.choice("contact", true, List.of(), "", all));
        UUID whole = UUID.fromString(
                done("POST", "/api/mailings", begun, signe).get("id").asString());
        assertThat(page(whole).at("/plan/who/lists/0").asString()).isEqualTo(all.toString());
        begun.put("choice", Chosen.choice("contact", true, List.of(priya), "", all));
        UUID some = UUID.fromString(
                done("POST", "/api/mailings", begun, signe).get("id").asString());
        assertThat(page(some).at("/plan/who/lists")).isEmpty();
        assertThat(names(ready(some).get("in"))).containsExactly("Ines Okafor", "Tobias Larkin");
        begun.put("choice", Chosen.byHand("organisation", ines));
        assertThat(done("POST", "/api/mailings", begun, signe).get("code").asString())
                .isEqualTo("no-people");
    }

    @Test
    void tooManyAreSaidWithWhatToDo() throws Exception {
        done("PUT", "/api/mailings/rules", Map.of("most", 2, "perHour", 100, "perDay", 100, "look", false), amos);
        UUID id = mailing(ines, tobias, priya);
        assertThat(stops(id)).startsWith("too-many");
        assertThat(done("PUT", "/api/mailings/rules", Map.of("most", 0, "perHour", 0, "perDay", 1, "look", false), amos)
                        .get("fields")
                        .propertyNames())
                .containsExactlyInAnyOrder("most", "perHour");
        assertThat(done(
                                "PUT",
                                "/api/mailings/rules",
                                Map.of("most", 2, "perHour", 1, "perDay", 1, "look", false),
                                signe)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
    }

    /** They are read together, and each is told of names as if theirs were the only message. */
    @Test
    void namesInAMessageAreTheReadersOwnOrSomebodyElses() throws Exception {
        template = template(
                "CONTACT",
                "Blossom, {person.first_name}",
                "Dear {person.first_name},\n\nTobias Larkin asked me to call. Will your blossom be early?");
        List<JsonNode> rows = previews(mailing(ines, tobias, priya));
        assertThat(rows.stream().limit(3).map(MailingPlanTest::strangers))
                .containsExactly(
                        List.of("“Tobias Larkin” is a contact"), List.of("“Tobias Larkin” is a contact"), List.of());
        assertThat(rows.get(2).at("/row/subject").asString()).isEqualTo("Blossom, Tobias");
    }

    private static List<String> strangers(JsonNode row) {
        return row.at("/row/notes")
                .valueStream()
                .filter(note -> note.get("code").asString().equals("left-over-name"))
                .map(note -> note.get("title").asString())
                .toList();
    }

    @Test
    void whatEachWouldGetIsReadBeforeItLeaves() throws Exception {
        template = template(
                "CONTACT",
                "Blossom, {person.first_name}",
                "Dear {person.first_name}, how are the {contact.job_title else \"trees\"} of yours?");
        change(ines, "job_title", "Grower");
        UUID id = mailing(ines, tobias, priya);
        forOne("PUT", id, priya, "/held", Map.of("held", true, "why", "on holiday"));
        List<JsonNode> rows = previews(id);
        assertThat(rows.stream().limit(3).map(row -> row.at("/row/subject").asString()))
                .containsExactly("Blossom, Ines", "Blossom, Priya", "Blossom, Tobias");
        assertThat(rows.get(0).at("/row/opening").asString()).isEqualTo("Dear Ines, how are the Grower of yours?");
        assertThat(rows.get(0).at("/row/fallbacks")).isEmpty();
        assertThat(rows.get(1).at("/row/fallbacks/0").asString()).isEqualTo("Job title");
        assertThat(rows.get(1).at("/row/held").asString()).isEqualTo("Signe");
        assertThat(rows.get(1).at("/row/heldWhy").asString()).isEqualTo("on holiday");
        assertThat(rows.get(2).at("/row/at").asString())
                .isEqualTo(clock.instant().toString());
        assertThat(rows.get(3).at("/whole/0").asString())
                .isEqualTo("“Job title” is missing for 2 of 3. They read its fallback.");
        change(tobias, "first_name", "TOBIAS");
        assertThat(previews(id).get(3).at("/whole/1").asString()).isEqualTo("Values that look odd: 1 of 3.");
        JsonNode whole = forOne("GET", id, tobias, "", null);
        assertThat(whole.at("/person/name").asString()).isEqualTo("TOBIAS Larkin");
        forOne("PUT", id, priya, "/held", Map.of("held", false, "why", ""));
        assertThat(previews(id).get(1).at("/row/held").asString()).isEmpty();
    }

    @Test
    void onlyWhoseItIsAndEditorsChangeIt() throws Exception {
        UUID id = mailing(ines);
        assertThat(change(id, plan -> plan.withObject("when").put("overMinutes", 5), dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
        assertThat(start(id, 1, dov).get("code").asString()).isEqualTo("forbidden");
        assertThat(change(id, plan -> plan.withObject("when").put("overMinutes", 5), oriel)
                        .get("version")
                        .asInt())
                .isEqualTo(3);
        JsonNode seen = done("GET", "/api/mailings/" + id, null, dov);
        assertThat(seen.get("mayChange").asBoolean()).isFalse();
        UUID copy = UUID.fromString(done("POST", "/api/mailings/" + id + "/copy", null, dov)
                .get("id")
                .asString());
        assertThat(done("GET", "/api/mailings/" + copy, null, dov)
                        .get("mayChange")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void twoWhoWriteOnItAtOnceLoseNothing() throws Exception {
        UUID id = mailing(ines);
        JsonNode before = page(id);
        change(id, plan -> plan.withObject("when").put("overMinutes", 5));
        JsonNode refused = done(
                "PUT",
                "/api/mailings/" + id,
                Map.of("version", before.get("version").asInt(), "name", "Other", "plan", before.get("plan")),
                signe);
        assertThat(refused.get("code").asString()).isEqualTo("changed-meanwhile");
        assertThat(page(id).get("name").asString()).isEqualTo("Before blossom");
    }

    @ParameterizedTest
    @CsvSource({
        "2026-05-03, 08:00, Europe/London, This hour has passed. Choose a later one.",
        "2027-03-28, 01:30, Europe/London, There is no 01:30 on Sunday 28 March in London: the clocks go forward to 02:00. Choose another hour.",
        "2028-05-04, 08:00, Europe/London, This is more than a year ahead. Choose an earlier day."
    })
    void anHourAtWhichNothingCanLeaveStopsIt(String date, String time, String zone, String said) throws Exception {
        UUID id = mailing(ines);
        change(id, plan -> plan.withObject("when").putPOJO("hour", Map.of("date", date, "time", time, "zone", zone)));
        assertThat(ready(id).at("/wrong/hour").asString()).isEqualTo(said);
        assertThat(stops(id)).contains("hour");
    }

    @Test
    void whatCannotBeKeptIsSaidAtItsPlace() throws Exception {
        UUID id = mailing(ines);
        JsonNode refused = change(id, plan -> {
            plan.withObject("what")
                    .put("replyTo", "nobody")
                    .put("purpose", "x".repeat(81))
                    .putPOJO("tags", List.of("x".repeat(41)));
            plan.withObject("when").put("overMinutes", -1);
            plan.withObject("goal").put("replies", -1);
        });
        assertThat(refused.get("fields").propertyNames())
                .containsExactlyInAnyOrder("replyTo", "purpose", "tags", "over", "goal");
        assertThat(page(id).get("version").asInt()).isEqualTo(2);
        assertThat(done("POST", "/api/mailings", Map.of("name", " "), signe)
                        .at("/fields/name")
                        .asString())
                .isNotEmpty();
    }

    @Test
    void inTheNameOfEachOwnerWhoLetsIt() throws Exception {
        String path = "/api/records/contact/" + tobias;
        int version = done("GET", path, null, dov).get("version").asInt();
        done(
                "PATCH",
                path,
                Map.of("version", version, "values", Map.of("owner", dov.id().toString())),
                signe);
        UUID id = mailing(ines, tobias);
        change(id, plan -> plan.withObject("what").put("from", "OWNER"));
        JsonNode row = previews(id).get(1).get("row");
        assertThat(row.get("sender").asString()).isEqualTo("Dov");
        assertThat(row.at("/notes/0/title").asString())
                .isEqualTo("Dov Tester does not let colleagues write in their name");
        team.writtenForByColleagues(dov.id(), true);
        assertThat(previews(id).get(1).at("/row/notes").valueStream().anyMatch(note -> note.get("stops")
                        .asBoolean()))
                .isFalse();
        send(id, 2);
        reaches(id, "DONE");
        assertThat(post.taken())
                .anyMatch(wire -> wire.contains("From: Dov Tester") && wire.contains("To: Tobias Larkin"));
        assertThat(post.taken())
                .anyMatch(wire -> wire.contains("From: Signe Tester") && wire.contains("To: Ines Okafor"));
    }

    @Test
    void inTheNameOfAColleagueForAsLongAsTheyLetMailingsGoOutInIt() throws Exception {
        UUID id = mailing(ines, tobias);
        change(id, plan -> {
            plan.withObject("what").put("sender", dov.id().toString());
            plan.withObject("when").put("overMinutes", 60);
        });
        assertThat(ready(id).at("/wrong/sender").asString())
                .isEqualTo("Dov Tester does not let colleagues send mailings in their name.");
        assertThat(done("GET", "/api/mailings/senders", null, signe)).isEmpty();

        done("PUT", "/api/profile/in-my-name", Map.of("allowed", false, "mailings", true), dov);
        assertThat(done("GET", "/api/mailings/senders", null, signe).findValuesAsString("firstName"))
                .containsExactly("Dov");
        send(id, 2);
        arrive(1);
        assertThat(wires().getFirst()).contains("From: Dov Tester");

        done("PUT", "/api/profile/in-my-name", Map.of("allowed", false, "mailings", false), dov);
        clock.forward(java.time.Duration.ofHours(1));
        sender.look();
        reaches(id, "DONE");
        assertThat(people(id))
                .contains("Tobias Larkin: HELD, Dov Tester does not let colleagues send mailings in their name.");
    }

    @Test
    void theListIsNarrowedByWhatMailingsAre() throws Exception {
        UUID first = mailing(ines);
        clock.forward(java.time.Duration.ofMinutes(1));
        UUID second = mailing(tobias);
        change(second, plan -> plan.withObject("what").putPOJO("tags", List.of("Éarly birds")));
        assertThat(done("GET", "/api/mailings?tag=early birds", null, dov).get("lines"))
                .hasSize(1);
        assertThat(done("GET", "/api/mailings?search=BLOSSOM", null, dov).get("lines"))
                .hasSize(2);
        assertThat(done("GET", "/api/mailings?search=%25", null, dov).get("lines"))
                .isEmpty();
        assertThat(done("GET", "/api/mailings?state=DONE", null, dov).get("lines"))
                .isEmpty();
        assertThat(done("GET", "/api/mailings?figure=version", null, dov)
                        .get("code")
                        .asString())
                .isEqualTo("fields");
        JsonNode rest = done("GET", "/api/mailings?after=" + second, null, dov);
        assertThat(rest.at("/lines/0/id").asString()).isEqualTo(first.toString());
        done("DELETE", "/api/mailings/" + first, null, signe);
        assertThat(done("GET", "/api/mailings", null, dov).get("lines")).hasSize(1);
        assertThat(done("GET", "/api/mailings/" + first, null, dov).get("code").asString())
                .isEqualTo("missing");
    }

    @Test
    void whatReadersDidIsCounted() throws Exception {
        UUID id = mailing(ines);
        send(id, 1);
        reaches(id, "DONE");
        String key = sql.queryForObject("select reader_key from message_page", String.class);
        mvc.perform(
                org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post("/m/" + key + "/unsubscribe")
                        .param("List-Unsubscribe", "One-Click"));
        assertThat(page(id).at("/counts/unsubscribed").asInt()).isEqualTo(1);
        clock.forward(java.time.Duration.ofMinutes(5));
        JsonNode entry = done(
                "POST",
                "/api/records/contact/" + ines + "/history",
                Map.of("kind", "ANSWERED_ELSEWHERE", "minutes", 0, "words", "Yes"),
                signe);
        assertThat(page(id).at("/counts/replied").asInt()).isEqualTo(1);
        done("DELETE", "/api/records/history/" + entry.get("id").asString(), null, signe);
        assertThat(page(id).at("/counts/replied").asInt()).isZero();
        assertThat(done("GET", "/api/mailings?figure=unsubscribed&least=50", null, dov)
                        .get("lines"))
                .hasSize(1);
    }

    @Test
    void theMailServerIsAskedForNothingWhileItIsWritten() throws Exception {
        post.answer(Step.MAIL, "550 never");
        UUID id = mailing(ines);
        previews(id);
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
        assertThat(post.taken()).isEmpty();
    }

    private static Map<String, Object> remark(UUID key, String quote, String words) {
        Map<String, Object> remark = new HashMap<>(Map.of("part", "Previews", "words", words, "quote", quote));
        remark.put("key", key);
        // What a browser says of a name is of no matter.
        remark.put("name", "Somebody else");
        return remark;
    }

    @Test
    void whoeverLooksSaysSomethingOfTheWordsThatSomebodyGets() throws Exception {
        UUID id = mailing(ines, tobias);
        String path = "/api/mailings/" + id + "/look";
        done("POST", path, Map.of("colleague", dov.id().toString()), signe);
        Map<String, Object> back = Map.of(
                "approved",
                false,
                "comments",
                List.of(
                        remark(tobias, "will your blossom be early?", "He told us last week."),
                        remark(null, "", "So few?")));
        assertThat(done("POST", path + "/answer", back, dov).has("code")).isFalse();
        JsonNode said = done("GET", path, null, signe).get("comments");
        assertThat(said.at("/0/name").asString()).isEqualTo("Tobias Larkin");
        assertThat(said.at("/0/quote").asString()).isEqualTo("will your blossom be early?");
        assertThat(said.at("/1/name").asString()).isEmpty();

        assertThat(List.of(
                        remark(priya, "", "She is not among them."),
                        remark(ines, "x".repeat(201), "Too much."),
                        remark(ines, "two\nlines", "No line.")))
                .allSatisfy(one -> assertThat(
                                done("POST", path + "/answer", Map.of("approved", false, "comments", List.of(one)), dov)
                                        .at("/fields/comments")
                                        .asString())
                        .isNotEmpty());
    }

    @Test
    void whereTheCompanyWantsItAColleagueApprovesExactlyThis() throws Exception {
        done("PUT", "/api/mailings/rules", Map.of("most", 500, "perHour", 100, "perDay", 100, "look", true), amos);
        done("POST", "/api/templates/" + template + "/ready", Map.of("version", 1), signe);
        UUID id = mailing(ines);
        test(id);
        assertThat(stops(id)).containsExactly("unseen");
        String path = "/api/mailings/" + id + "/look";
        assertThat(done("POST", path, Map.of("colleague", signe.id().toString()), signe)
                        .at("/fields/colleague")
                        .asString())
                .isNotEmpty();
        done("POST", path, Map.of("colleague", dov.id().toString()), signe);
        assertThat(done("GET", "/api/mailings/to-look-at", null, dov)
                        .at("/0/name")
                        .asString())
                .isEqualTo("Before blossom");
        Map<String, Object> approval = Map.of("approved", true, "comments", List.of());
        assertThat(done("POST", path + "/answer", approval, oriel).get("code").asString())
                .isEqualTo("forbidden");
        Map<String, Object> back =
                Map.of("approved", false, "comments", List.of(Map.of("part", "What", "words", "Too early for this.")));
        assertThat(done("POST", path + "/answer", Map.of("approved", false, "comments", List.of()), dov)
                        .at("/fields/comments")
                        .asString())
                .isNotEmpty();
        done("POST", path + "/answer", back, dov);
        assertThat(done("GET", path, null, signe).at("/comments/0/words").asString())
                .isEqualTo("Too early for this.");
        assertThat(stops(id)).containsExactly("unseen");

        done("POST", path, Map.of("colleague", dov.id().toString()), signe);
        done("POST", path + "/answer", approval, dov);
        assertThat(stops(id)).isEmpty();
        assertThat(done("GET", path, null, signe).get("approved").asBoolean()).isTrue();
        change(id, plan -> plan.withObject("what").put("replyTo", "answers@brindlewing.example"));
        assertThat(stops(id)).containsExactly("untested", "unseen");
        assertThat(done("GET", "/api/mailings/to-look-at", null, dov)).isEmpty();
    }
}
