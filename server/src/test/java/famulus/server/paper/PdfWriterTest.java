package famulus.server.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** What a PDF has in it, read back by the library that PDF tools are made with. */
class PdfWriterTest {
    private static final String HEAD = "<html lang='en' dir='ltr'><head><title>A plan</title><style>"
            + "@page { size: A4; margin: 20mm; } body { font-family: Georgia, 'Times New Roman', serif; }"
            + " thead { display: table-header-group; } table { -fs-table-paginate: paginate; }"
            + " tr { page-break-inside: avoid; }</style></head><body>";

    private static PDDocument pdf(String body) throws IOException {
        return Loader.loadPDF(new PdfWriter().write(HEAD + body + "</body></html>"));
    }

    private static String text(PDDocument pdf, int page) throws IOException {
        PDFTextStripper stripper = new PDFTextStripper();
        stripper.setStartPage(page);
        stripper.setEndPage(page);
        return stripper.getText(pdf);
    }

    private static List<PDFont> fonts(PDDocument pdf) throws IOException {
        List<PDFont> fonts = new ArrayList<>();
        for (PDPage page : pdf.getPages()) {
            for (COSName name : page.getResources().getFontNames()) {
                fonts.add(page.getResources().getFont(name));
            }
        }
        return fonts;
    }

    @Test
    void hasItsTextItsTagsItsLanguageAndItsFontsInIt() throws IOException {
        try (PDDocument pdf = pdf("<h1>Für Inés</h1><p>Łódź, Αθήνα, Київ: <b>£2,056.32</b></p>")) {
            assertThat(text(pdf, 1)).contains("Für Inés", "Łódź, Αθήνα, Київ: £2,056.32");
            assertThat(pdf.getDocumentInformation().getTitle()).isEqualTo("A plan");
            assertThat(pdf.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
            assertThat(pdf.getDocumentCatalog().getStructureTreeRoot()).isNotNull();
            assertThat(pdf.getDocumentCatalog().getLanguage()).startsWith("en");
            assertThat(fonts(pdf)).isNotEmpty().allMatch(PDFont::isEmbedded);
        }
    }

    @Test
    void writesWordsThatRunToTheLeftWithJoinedLetters() throws IOException {
        String html =
                HEAD.replace("dir='ltr'", "dir='rtl'").replace("lang='en'", "lang='ar'") + "<p>شكرا لكم</p><p>תודה</p>";
        try (PDDocument pdf = Loader.loadPDF(new PdfWriter().write(html + "</body></html>"))) {
            assertThat(java.text.Normalizer.normalize(text(pdf, 1), java.text.Normalizer.Form.NFKC))
                    .contains("شكرا لكم", "תודה");
        }
    }

    @Test
    void aLongTableGoesOnWithItsHeadingOnTheNextPage() throws IOException {
        String rows = IntStream.range(0, 120)
                .mapToObj(i -> "<tr><td>Line " + i + "</td><td>£" + i + "</td></tr>")
                .collect(Collectors.joining());
        try (PDDocument pdf = pdf("<table><thead><tr><th>Description</th><th>Amount</th></tr></thead><tbody>" + rows
                + "</tbody></table>")) {
            assertThat(pdf.getNumberOfPages()).isGreaterThan(1);
            assertThat(text(pdf, 1)).contains("Description");
            assertThat(text(pdf, 2)).contains("Description", "Amount");
        }
    }

    @Test
    void nothingIsFetchedForIt() throws IOException {
        try (PDDocument pdf = pdf("<p>Before</p><img src='http://localhost:1/a.png' alt='A bee'>"
                + "<img src='file:///etc/hostname' alt=''><p>After</p>")) {
            assertThat(text(pdf, 1)).contains("Before", "After");
            assertThat(pdf.getPage(0).getResources().getXObjectNames()).isEmpty();
        }
    }

    @Test
    void sidesFollowTheDirectionOfWriting() throws IOException {
        try (PDDocument pdf = pdf("<p style='text-align:end'>Right</p>")) {
            PDFTextStripper places = new PDFTextStripper() {
                @Override
                protected void writeString(String text, List<org.apache.pdfbox.text.TextPosition> positions)
                        throws IOException {
                    super.writeString(Math.round(positions.getFirst().getX()) + " ", positions);
                }
            };
            int x = Integer.parseInt(places.getText(pdf).strip());
            assertThat(x).isGreaterThan(400);
        }
    }
}
