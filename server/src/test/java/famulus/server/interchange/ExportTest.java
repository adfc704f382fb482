package famulus.server.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class ExportTest extends InterchangeCase {
    private String export(String path) throws Exception {
        return get("GET", "/api/exports/" + path, null).getContentAsString(StandardCharsets.UTF_8);
    }

    /** What was exported and comes back changes nothing. */
    @Test
    void writesWhatCanBeImportedAgain() throws Exception {
        field("Likes", "CHOICES", false, "Tea", "Coffee");
        field("Worth", "MONEY", false);
        field("Paid", "YES_NO", false);
        field("Remark", "LONG_TEXT", false);
        String people =
                """
                Title,First name,Surname,E-mail,Organisation,Phone,Language,Time zone,Owner,Likes,Worth,Paid,Remark
                Dr,Ines,Wren,ines@lane.example; i@home.example,Mill Lane,+441632960187,German,Europe/Berlin,Dov Tester,Tea; Coffee,1250.5,yes,"two
                lines, ""quoted\"""
                ,Bo,Gale,,,,,,,,,,'=1+1
                """;
        run(begin("contact", people), "ADD");

        String exported = export("contact.csv");

        assertThat(exported).startsWith("\ufeffTitle,First name,Surname,Job title,Organisation,Phone");
        assertThat(exported)
                .contains("'=1+1")
                .contains("1250.50 GBP")
                .contains("+441632960187")
                .contains("Tea; Coffee");
        JsonNode again = begin("contact", exported);
        assertThat(targets(again)).doesNotContain("");
        JsonNode result = run(again, "UPDATE");
        assertThat(result.get("faulty").asInt())
                .as(result.get("faults").toString())
                .isZero();
        assertThat(result.get("known").asInt()).isEqualTo(2);
        assertThat(result.get("updated").asInt()).isZero();
        assertThat(export("contact.csv")).isEqualTo(exported);
    }

    @Test
    void writesDealsARowForEachLine() throws Exception {
        run(begin("contact", "Name,E-mail,Organisation\nInes Wren,ines@lane.example,Mill Lane\n"), "ADD");
        run(
                begin(
                        "deal",
                        """
                        Deal,Organisation,Value,Contact,Product,Quantity,Unit,Price,Discount,Tax,Line note
                        Spring,Mill Lane,1200 EUR,ines@lane.example,Placing,2.5,days,400,10,20,early
                        ,,,,Transport,1,,80,0,0,
                        Summer,,,,,,,,,,
                        """),
                "ADD");

        String exported = export("deal.csv");

        assertThat(exported.lines()).hasSize(4);
        assertThat(exported).contains("Placing,2.5,days,400.00,10,20,early");
        JsonNode result = run(begin("deal", exported), "UPDATE");
        assertThat(result.get("known").asInt()).isEqualTo(2);
        assertThat(result.get("faulty").asInt()).isZero();
        assertThat(export("deal.csv")).isEqualTo(exported);
    }

    @Test
    void writesCards() throws Exception {
        run(
                begin(
                        "contact",
                        "Name,E-mail,Organisation,Phone\nInes Wren,ines@lane.example,Mill Lane,+441632960187\nBo Gale,,,\n"),
                "ADD");

        String cards = export("contact.vcf");
        assertThat(cards).contains("VERSION:4.0").contains("FN:Ines Wren").contains("ORG:Mill Lane");
        assertThat(export("contact.vcf?version=3")).contains("VERSION:3.0");
        JsonNode result = run(begin("contact", cards), "UPDATE");
        assertThat(result.get("known").asInt()).isEqualTo(2);
        assertThat(result.get("updated").asInt()).isZero();
        String one = sql.queryForObject("select id from contact where last_name = 'Wren'", String.class);
        assertThat(export("contact/" + one + ".vcf")).containsOnlyOnce("BEGIN:VCARD");
        assertThat(get("GET", "/api/exports/deal.vcf", null).getContentAsString())
                .contains("can’t be a card");
        assertThat(get("GET", "/api/exports/contact.vcf?version=7", null).getStatus())
                .isEqualTo(422);
    }
}
