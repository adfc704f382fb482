package famulus.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CardsTest {
    private static final String FOLDED =
            """
            BEGIN:VCARD
            VERSION:3.0
            N:Wren;Ines;;Dr;
            FN:Dr Ines Wren
            ORG:Mill Lane
              Works;Office
            TITLE:Head of buying
            EMAIL;TYPE=INTERNET,HOME:ines@home.example
            EMAIL;TYPE=INTERNET,WORK,PREF:ines@lane.example
            TEL;TYPE=FAX:+441632960100
            TEL;TYPE=WORK,VOICE:+44 1632 960187
            TEL;TYPE=CELL:+44 7700 900123
            ADR;TYPE=WORK:;;1 Mill Lane;Ashbourne;;AB1 2CD;United Kingdom
            X-SHOE-SIZE:38
            PHOTO;ENCODING=b;TYPE=PNG:iVBORw0KGgo=
            END:VCARD
            """;

    @Test
    void readsFoldedLinesAndNamesWhatItPassesOver() {
        CardReader reader = new CardReader(new StringReader(FOLDED));
        Map<String, String> read = cells(reader.next());
        assertThat(read)
                .containsEntry("Title", "Dr")
                .containsEntry("First name", "Ines")
                .containsEntry("Surname", "Wren")
                .containsEntry("Organisation", "Mill Lane Works")
                .containsEntry("Job title", "Head of buying")
                .containsEntry("E-mail", "ines@lane.example; ines@home.example")
                .containsEntry("Phone", "+44 1632 960187")
                .containsEntry("Mobile", "+44 7700 900123")
                .containsEntry("Street", "1 Mill Lane")
                .containsEntry("Town", "Ashbourne")
                .containsEntry("Country", "United Kingdom");
        assertThat(reader.leftOut()).containsExactly("PHOTO", "X-SHOE-SIZE");
        assertThat(reader.hasNext()).isFalse();
    }

    @Test
    void readsSeveralCardsAndNamesInOnePiece() {
        String cards =
                """
                BEGIN:VCARD
                VERSION:4.0
                FN:Zoë Kärcher
                TEL;VALUE=uri;TYPE=cell:tel:+49-30-901820
                END:VCARD

                BEGIN:VCARD
                VERSION:4.0
                N:;Bo;;;
                FN:Bo
                END:VCARD
                """;
        List<TableRow> rows = new ArrayList<>();
        new CardReader(new StringReader(cards)).forEachRemaining(rows::add);
        assertThat(rows).extracting(TableRow::line).containsExactly(1L, 2L);
        assertThat(cells(rows.get(0))).containsEntry("First name", "Zoë").containsEntry("Surname", "Kärcher");
        assertThat(cells(rows.get(0)).get("Mobile")).isEqualTo("+49-30-901820");
        assertThat(cells(rows.get(1))).containsEntry("First name", "").containsEntry("Surname", "Bo");
    }

    @Test
    void saysWhichCardIsCutOff() {
        String cut = FOLDED + FOLDED.substring(0, 120);
        assertThatThrownBy(() -> new CardReader(new StringReader(cut)).forEachRemaining(row -> {}))
                .isInstanceOf(UnreadableTable.class)
                .hasMessageStartingWith("Line 17: The card that begins here has no end");
    }

    @Test
    void findsNoCardsInOtherTexts() {
        assertThat(new CardReader(new StringReader("Surname,E-mail\nWren,x\n")).hasNext())
                .isFalse();
        assertThat(CardReader.isCard("\r\nbegin:vcard\r\n")).isTrue();
        assertThat(CardReader.isCard("Surname,E-mail")).isFalse();
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void readsWhatItWrote(boolean newest) throws IOException {
        Card card = new Card(
                "Dr",
                "Zoë; \"Z\"",
                "Kärcher, Ö",
                "Mill; Lane, Works\\",
                "Head",
                List.of("zoe@lane.example", "z@home.example"),
                "+441632960187",
                "+447700900123",
                "https://lane.example",
                "1 Lane",
                "AB1",
                "Town",
                "Germany",
                "de");
        StringWriter written = new StringWriter();
        CardWriter writer = new CardWriter(written, newest);
        writer.write(card);
        writer.write(new Card("", "", "Lone", "", "", List.of(), "", "", "", "", "", "", "", ""));
        assertThat(written.toString()).contains(newest ? "VERSION:4.0" : "VERSION:3.0");
        List<TableRow> rows = new ArrayList<>();
        new CardReader(new StringReader(written.toString())).forEachRemaining(rows::add);
        List<String> cells = new ArrayList<>(card.cells());
        if (!newest) {
            // Version 3 has no place for a language.
            cells.set(Card.HEADINGS.indexOf("Language"), "");
        }
        assertThat(rows.getFirst().cells()).isEqualTo(cells);
        assertThat(cells(rows.get(1))).containsEntry("Surname", "Lone");
    }

    private static Map<String, String> cells(TableRow row) {
        Map<String, String> cells = new HashMap<>();
        for (int i = 0; i < Card.HEADINGS.size(); i++) {
            cells.put(Card.HEADINGS.get(i), row.cell(i));
        }
        return cells;
    }
}
