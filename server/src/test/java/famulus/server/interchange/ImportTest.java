package famulus.server.interchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.server.records.RecordService;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class ImportTest extends InterchangeCase {
    @Autowired
    private ImportService imports;

    @Autowired
    private ImportRuns runs;

    @Autowired
    private RecordService records;

    private static final String PEOPLE =
            """
            First name,Surname,E-mail,Organisation,Phone
            Ines,Wren,ines@lane.example,Mill Lane,01632 960187
            Bo,Gale,bo@lane.example; bo@home.example,mill lane,
            Zoë,Kärcher,,,
            """;

    private JsonNode page(String kind, String where) throws Exception {
        UUID id = sql.queryForObject("select id from " + kind + " where " + where, UUID.class);
        return done("GET", "/api/records/" + kind + "/" + id, null, signe);
    }

    private static String fact(JsonNode page, String name) {
        return page.get("facts").values().stream()
                .filter(fact -> fact.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .get("stored")
                .asString();
    }

    private List<String> found(String kind, String search) throws Exception {
        return done("GET", "/api/records/" + kind + "?search=" + search, null, signe).get("lines").values().stream()
                .map(line -> line.get("cells").get(0).asString())
                .toList();
    }

    @Test
    void bringsContactsInWithTheirOrganisations() throws Exception {
        JsonNode file = begin("contact", PEOPLE);

        assertThat(targets(file)).containsExactly("first_name", "last_name", "email", "organisation", "phone");
        assertThat(file.get("rows").asInt()).isEqualTo(3);
        JsonNode checked = check(file);
        assertThat(checked.get("fresh").asInt()).isEqualTo(3);
        assertThat(checked.get("organisations").asInt()).isEqualTo(1);
        assertThat(count("contact")).isZero();

        JsonNode result = run(file, "SKIP");

        assertThat(result.get("added").asInt()).isEqualTo(3);
        JsonNode ines = page("contact", "last_name = 'Wren'");
        assertThat(fact(ines, "phone")).isEqualTo("+441632960187");
        assertThat(fact(ines, "owner")).isEqualTo(signe.id().toString());
        assertThat(found("contact", "mill")).containsExactlyInAnyOrder("Ines Wren", "Bo Gale");
        assertThat(found("contact", "karch")).containsExactly("Zoë Kärcher");
        assertThat(sql.queryForObject("select people from organisation where name = 'Mill Lane'", Integer.class))
                .isEqualTo(2);
        assertThat(count("email_address")).isEqualTo(3);
        assertThat(done("GET", "/api/imports/" + id(file), null, signe)
                        .get("done")
                        .get("added")
                        .asInt())
                .isEqualTo(3);
        assertThat(run(file, "ADD").get("detail").asString()).isEqualTo("This file is imported already.");
    }

    /** What is kept of imported records for lists and searches is what would be kept of them one by one. */
    @Test
    void keepsPlacesAndWordsAsForOneRecord() throws Exception {
        field("Customer since", "DATE", true);
        run(begin("contact", PEOPLE.replace("Phone", "Customer since").replace("01632 960187", "21/05/2020")), "ADD");
        run(begin("lead", "Name,Company,Came from\nAda Lorne,Ash & Co,Event\n"), "ADD");
        run(begin("deal", "Deal,Organisation,Value,Decision by\nA first one,Mill Lane,£1200,21/05/2026\n"), "ADD");
        List<String> kept = List.of(
                "select kind, sorted_by, place from record_place order by 1, 2, 3",
                "select record_id, places from record_standing order by 1",
                "select scope, word, id from search_word order by 1, 2, 3",
                "select id, words from search_entry order by 1");
        List<List<Map<String, Object>>> before =
                kept.stream().map(sql::queryForList).toList();
        assertThat(before.getFirst()).hasSizeGreaterThan(30);

        for (String table : List.of("record_place", "record_standing", "search_word", "search_entry")) {
            sql.update("delete from " + table);
        }
        records.listAll();

        assertThat(kept.stream().map(sql::queryForList).toList()).isEqualTo(before);
        assertThat(count("person_summary")).isEqualTo(4);
    }

    @Test
    void understandsAFileOfAGermanOffice() throws Exception {
        String text = "Vorname;Nachname;E-Mail;Firma;Kunde seit\nJörg;Größe;joerg@werk.example;Werk;03.04.2020\n";
        JsonNode file = begin("contact", "kunden.csv", text.getBytes(Charset.forName("windows-1252")), signe);

        JsonNode settings = file.get("settings");
        assertThat(settings.get("encoding").asString()).isEqualTo("windows-1252");
        assertThat(settings.get("delimiter").asString()).isEqualTo(";");
        assertThat(settings.get("decimal").asString()).isEqualTo(",");
        assertThat(file.get("columns").get(4).get("type").asString()).isEqualTo("DATE");
        assertThat(targets(file)).containsExactly("first_name", "last_name", "email", "organisation", "");

        field("Kunde seit", "DATE", false);
        run(match(file, "first_name", "last_name", "email", "organisation", "kunde_seit"), "ADD");

        assertThat(fact(page("contact", "last_name = 'Größe'"), "kunde_seit")).isEqualTo("2020-04-03");
        // The next file with these headings goes where this one went.
        assertThat(targets(begin("contact", "Kunde seit,Nachname\n1.1.2021,Neu\n")))
                .containsExactly("kunde_seit", "last_name");
    }

    @Test
    void findsRecordsThatAreHereAlready() throws Exception {
        run(begin("contact", PEOPLE), "ADD");
        String again =
                """
                First name,Surname,E-mail,Organisation,Job title
                Inés,Wrén,INES@lane.example,Elsewhere,Buyer
                bo,gale,other@lane.example,Mill Lane,Baker
                Zoe,Karcher,zoe@new.example,,Owner
                Zoe,Karcher,,Far Away,Other
                Al,New,al@new.example,,First
                Al,New,al@new.example,,Second
                """;
        JsonNode file = begin("contact", again);

        JsonNode checked = check(file);

        assertThat(checked.get("fresh").asInt()).isEqualTo(2);
        assertThat(checked.get("known").asInt()).isEqualTo(4);
        assertThat(checked.get("duplicates").values().stream()
                        .map(one -> one.get("line").asInt() + " "
                                + one.get("sameness").asString()))
                .containsExactly("2 ADDRESS", "3 NAME", "4 NAME", "7 ADDRESS");
        assertThat(checked.get("duplicates").get(3).get("earlier").asInt()).isEqualTo(6);

        JsonNode result = work(file, "run", Map.of("all", "UPDATE", "some", Map.of("3", "SKIP", "4", "ADD")));

        assertThat(result.get("added").asInt()).isEqualTo(3);
        assertThat(result.get("updated").asInt()).isEqualTo(2);
        assertThat(result.get("skipped").asInt()).isEqualTo(1);
        JsonNode ines = page("contact", "last_name = 'Wrén'");
        assertThat(fact(ines, "job_title")).isEqualTo("Buyer");
        assertThat(fact(ines, "phone")).as("blank cells change nothing").isEqualTo("+441632960187");
        assertThat(fact(page("contact", "last_name = 'New'"), "job_title")).isEqualTo("Second");
        assertThat(sql.queryForObject("select people from organisation where name = 'Elsewhere'", Integer.class))
                .isEqualTo(1);
        assertThat(sql.queryForObject("select people from organisation where name = 'Mill Lane'", Integer.class))
                .isEqualTo(1);
        assertThat(found("contact", "elsewhere")).containsExactly("Inés Wrén");
    }

    @Test
    void addsAnAddressToOneWhoIsHere() throws Exception {
        run(begin("contact", PEOPLE), "ADD");

        JsonNode result =
                run(begin("contact", "Name,E-mail,Organisation\nBo Gale,third@lane.example,Mill Lane\n"), "UPDATE");

        assertThat(result.get("updated").asInt()).isEqualTo(1);
        assertThat(sql.queryForList(
                        "select address from email_address a join contact c on c.id = a.person_id"
                                + " where c.last_name = 'Gale' order by a.position",
                        String.class))
                .containsExactly("bo@lane.example", "bo@home.example", "third@lane.example");
        assertThat(found("contact", "third@lane.example")).containsExactly("Bo Gale");
    }

    @Test
    void givesBackRowsThatCannotBeTaken() throws Exception {
        String text =
                """
                Surname,E-mail,Phone,Owner
                Wren,ines@lane.example,01632 960187,
                ,nobody,,
                Gale,bo@lane.example,12,Dov
                Kite,,,Nobody At All
                "=1+1",,,
                """;
        JsonNode file = begin("contact", text);

        JsonNode result = run(file, "SKIP");

        assertThat(result.get("added").asInt()).isEqualTo(1);
        assertThat(result.get("faulty").asInt()).isEqualTo(4);
        JsonNode first = result.get("faults").get(0);
        assertThat(first.get("line").asInt()).isEqualTo(3);
        String back =
                get("GET", "/api/imports/" + id(file) + "/faults.csv", null).getContentAsString(StandardCharsets.UTF_8);
        assertThat(back.lines())
                .hasSize(5)
                .first()
                .asString()
                .isEqualTo("\ufeffSurname,E-mail,Phone,Owner,Why it was not imported");
        assertThat(back)
                .contains("Surname: Surname is missing.")
                .contains("Phone: “12” is not a telephone number")
                .contains("Nobody in the team is called “Nobody At All”")
                .contains("'=1+1,,,,Surname: There is a formula");
        // Mended, it comes in; the added column is left out by itself.
        JsonNode mended = begin(
                "contact", back.replace(",12,", ",01632 960112,").replace("Nobody At All", "dov@brindlewing.example"));
        assertThat(targets(mended)).containsExactly("last_name", "email", "phone", "owner", "");
        // With its apostrophe the formula is a text.
        assertThat(run(mended, "SKIP").get("added").asInt()).isEqualTo(3);
        assertThat(fact(page("contact", "last_name = 'Kite'"), "owner"))
                .isEqualTo(dov.id().toString());
    }

    @Test
    void importsAllOrNothing() throws Exception {
        StringBuilder text = new StringBuilder("Surname,E-mail,Organisation\n");
        for (int i = 0; i < 1_200; i++) {
            text.append("Wren ")
                    .append(i)
                    .append(",w")
                    .append(i)
                    .append("@lane.example,Lane ")
                    .append(i % 7)
                    .append('\n');
        }
        JsonNode file = begin("contact", text.toString());
        UUID id = UUID.fromString(id(file));

        assertThatThrownBy(() -> runs.run(id, new ImportChoices(null, null), signe, read -> {
                    if (read > 900) {
                        throw new UncheckedIOException(new IOException("gone"));
                    }
                }))
                .hasMessageContaining("gone");

        for (String table : List.of(
                "contact",
                "organisation",
                "email_address",
                "person_summary",
                "record_place",
                "record_standing",
                "search_word",
                "search_entry",
                "import_match")) {
            assertThat(count(table)).as(table).isZero();
        }
        assertThat(done("GET", "/api/imports/" + id + "/ended", null, signe)
                        .get("done")
                        .isNull())
                .isTrue();
        assertThat(run(file, "SKIP").get("added").asInt()).isEqualTo(1_200);
        assertThat(done("GET", "/api/imports/" + id + "/ended", null, signe)
                        .at("/done/added")
                        .asInt())
                .isEqualTo(1_200);
        assertThat(count("organisation")).isEqualTo(7);
    }

    @Test
    void makesOrganisationsOnlyForThoseWhoComeIn() throws Exception {
        run(begin("contact", PEOPLE), "ADD");
        String again = "Surname,E-mail,Organisation\nWren,ines@lane.example,Elsewhere\n";
        JsonNode file = begin("contact", again);
        assertThat(check(file).get("organisations").asInt()).isZero();
        assertThat(run(file, "SKIP").get("skipped").asInt()).isEqualTo(1);
        assertThat(count("organisation")).isEqualTo(1);
        run(begin("contact", again), "UPDATE");
        assertThat(count("organisation")).isEqualTo(2);
    }

    /** A retired choice comes to no record that does not have it, by a file as little as by hand. */
    @Test
    void bringsNoRetiredChoiceToOthers() throws Exception {
        run(begin("lead", "Surname,E-mail,State\nLorne,ada@ash.example,dropped\n"), "ADD");
        JsonNode before = done("GET", "/api/company/pipeline", null, amos);
        ObjectNode after = before.deepCopy().asObject();
        after.withArray("leadStates").forEach(state -> ((ObjectNode) state)
                .put("retired", state.get("code").asString().equals("dropped")));
        done("PUT", "/api/company/pipeline", Map.of("before", before, "after", after), amos);

        JsonNode result = run(
                begin(
                        "lead",
                        "Surname,E-mail,State,Job title\nLorne,ada@ash.example,dropped,Owner\nGale,bo@ash.example,dropped,\n"),
                "UPDATE");

        assertThat(result.get("updated").asInt()).isEqualTo(1);
        assertThat(result.get("faulty").asInt()).isEqualTo(1);
        assertThat(result.get("faults").get(0).get("sentence").asString())
                .isEqualTo("State: “dropped” is retired. Choose another one.");
        assertThat(fact(page("lead", "last_name = 'Lorne'"), "state")).isEqualTo("dropped");
        sql.execute("update field_choice set retired = false");
        sql.execute("update field_catalogue set revision = revision + 1");
    }

    /** Whoever has hung up is noticed while records are written, after the last row was read. */
    @Test
    void isStoppedAfterItsLastRowToo() throws Exception {
        JsonNode file = begin("contact", PEOPLE);
        int[] told = {0};
        assertThatThrownBy(() -> runs.run(UUID.fromString(id(file)), new ImportChoices(null, null), signe, read -> {
                    if (++told[0] == 3) {
                        throw new UncheckedIOException(new IOException("gone"));
                    }
                }))
                .hasMessageContaining("gone");
        assertThat(count("contact")).isZero();
    }

    /** While an import goes on, whoever asks how it ended waits for its end. */
    @Test
    void saysHowItEndedOnceItHas() throws Exception {
        JsonNode file = begin("contact", PEOPLE);
        UUID id = UUID.fromString(id(file));
        CompletableFuture<ImportShown> asked = new CompletableFuture<>();
        runs.run(id, new ImportChoices(null, null), signe, read -> {
            assertThat(asked).as("it goes on").isNotDone();
            Thread.ofVirtual().start(() -> {
                try {
                    asked.complete(imports.ended(id, signe));
                } catch (IOException failed) {
                    asked.completeExceptionally(failed);
                }
            });
        });
        assertThat(asked.get().done().added()).isEqualTo(3);
    }

    @Test
    void aDealsContactIsFoundByNameWithinItsOrganisation() throws Exception {
        run(
                begin(
                        "contact",
                        """
                        First name,Surname,E-mail,Organisation
                        Ana,de la Cruz,ana@lane.example,Mill Lane
                        Bo,Gale,bo@lane.example,Mill Lane
                        Bo,Gale,other@lane.example,Hill Farm
                        """),
                "ADD");
        JsonNode result = run(
                begin(
                        "deal",
                        """
                        Deal,Organisation,Contact
                        Spring,Mill Lane,Ana de la Cruz
                        Summer,Hill Farm,"GALE, Bo"
                        Autumn,Mill Lane,Nobody Atall
                        Winter,,Bo Gale
                        """),
                "ADD");

        assertThat(result.get("added").asInt()).isEqualTo(2);
        assertThat(result.get("faults").toString())
                .contains(
                        "No contact of Mill Lane is called “Nobody Atall”",
                        "Say which organisation “Bo Gale” belongs to");
        assertThat(sql.queryForList(
                        "select d.name || ' ' || a.address from deal d join deal_contact c on c.deal_id = d.id"
                                + " join email_address a on a.person_id = c.contact_id order by d.name",
                        String.class))
                .containsExactly("Spring ana@lane.example", "Summer other@lane.example");
    }

    @Test
    void bringsDealsInWithTheirLines() throws Exception {
        run(begin("contact", PEOPLE), "ADD");
        String text =
                """
                Deal,Organisation,Stage,Value,Decision by,Contact,Product,Quantity,Price,Discount,Tax
                Spring,Mill Lane,Quoted,"£1,200.50",21/05/2026,INES@lane.example,Placing,2.5,400,10,20
                ,,,,,,Transport,,80,,
                Summer,New Place,,,,,,,,,
                Autumn,,,,,nobody@lane.example,,,,,
                Winter,,,,,,Bad line,-2,7,,
                ,,,,,,Good line,1,5,,
                """;
        JsonNode file = begin("deal", text);

        JsonNode result = run(file, "UPDATE");

        assertThat(result.get("added").asInt()).isEqualTo(2);
        assertThat(result.get("faulty").asInt()).isEqualTo(3);
        assertThat(result.get("faults").toString()).contains("Line: quantity: A quantity is a number such as 3");
        JsonNode spring = page("deal", "name = 'Spring'");
        assertThat(fact(spring, "stage")).isEqualTo("quoted");
        assertThat(fact(spring, "value")).isEqualTo("1200.50 GBP");
        assertThat(fact(page("deal", "name = 'Summer'"), "stage")).isEqualTo("new");
        assertThat(sql.queryForList("select description from deal_line order by position", String.class))
                .containsExactly("Placing", "Transport");
        assertThat(count("deal_contact where is_main")).isEqualTo(1);
        assertThat(sql.queryForObject(
                        "select count(*) from person_summary where open_deal_id is not null", Integer.class))
                .isEqualTo(1);

        run(begin("deal", "Deal,Organisation,Product,Price\nspring,MILL LANE,Placing again,90\n"), "UPDATE");

        assertThat(sql.queryForList("select description from deal_line", String.class))
                .containsExactly("Placing again");
    }

    @Test
    void bringsOrganisationsAndLeadsIn() throws Exception {
        run(
                begin("organisation", "Firma;PLZ;Ort;Land;Web\nMühle AG;10115;Berlin;Deutschland;www.muehle.example\n"),
                "ADD");
        JsonNode mill = page("organisation", "name = 'Mühle AG'");
        assertThat(fact(mill, "country")).isEqualTo("DE");
        assertThat(fact(mill, "website")).isEqualTo("https://www.muehle.example");
        JsonNode again = check(begin("organisation", "Name\nMUHLE AG\nOther\n"));
        assertThat(again.get("known").asInt()).isEqualTo(1);

        run(begin("lead", "Name,Company,Status,Language\n\"Lorne, Ada\",Ash & Co,Promising,German\n"), "ADD");
        JsonNode ada = page("lead", "last_name = 'Lorne'");
        assertThat(fact(ada, "first_name")).isEqualTo("Ada");
        assertThat(fact(ada, "state")).isEqualTo("promising");
        assertThat(fact(ada, "language")).isEqualTo("de");
    }

    @Test
    void bringsCardsIn() throws Exception {
        String card =
                """
                BEGIN:VCARD
                VERSION:4.0
                N:Wren;Ines;;Dr;
                FN:Ines Wren
                ORG:Mill Lane
                EMAIL;PREF=1:ines@lane.example
                TEL;TYPE=cell:+447700900123
                X-SHOE-SIZE:38
                PHOTO:data:image/png;base64,iVBORw0KGgo=
                END:VCARD
                """;
        JsonNode file = begin("contact", "cards.vcf", card.getBytes(StandardCharsets.UTF_8), signe);
        assertThat(file.get("cards").asBoolean()).isTrue();
        assertThat(file.get("leftOut").values().stream().map(JsonNode::asString))
                .containsExactly("PHOTO", "X-SHOE-SIZE");

        run(file, "ADD");

        JsonNode ines = page("contact", "last_name = 'Wren'");
        assertThat(fact(ines, "title")).isEqualTo("Dr");
        assertThat(fact(ines, "mobile")).isEqualTo("+447700900123");
        assertThat(found("contact", "mill")).containsExactly("Ines Wren");
        assertThat(begin("deal", card).get("detail").asString()).contains("no deals");
        assertThat(begin("contact", card + card.substring(0, 60)).get("detail").asString())
                .startsWith("Line 11: The card that begins here has no end");
    }
}
