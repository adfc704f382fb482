package famulus.core.intake;

import famulus.core.html.HtmlCleaner;
import famulus.core.intake.HtmlToBlocks.Rebuilt;
import famulus.core.message.body.Body;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Heading;
import org.commonmark.node.HtmlBlock;
import org.commonmark.node.HtmlInline;
import org.commonmark.node.Node;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;
import org.commonmark.renderer.text.TextContentRenderer;

/** Makes a letter of Markdown, as CommonMark describes it. Fields in braces are fields. */
public final class MarkdownReader {
    /** Quotations within each other beyond this are one. */
    private static final Pattern DEEP = Pattern.compile("^([ \\t>]{24})[ \\t>]*>", Pattern.MULTILINE);
    /** So far a list item may be indented: deeper ones are as deep. */
    private static final Pattern INDENTED = Pattern.compile("^ {40,}", Pattern.MULTILINE);

    private MarkdownReader() {}

    /**
     * What came of a text.
     *
     * @param title its first heading; empty for none
     * @param lost what could not be taken over, a sentence each
     */
    public record Read(String title, Body body, List<String> lost) {}

    /** Reads a text. HTML within it stays as words. */
    public static Read read(String markdown) {
        String flat = INDENTED.matcher(DEEP.matcher(markdown).replaceAll("$1")).replaceAll(" ".repeat(40));
        Node document = Parser.builder().build().parse(flat);
        String html = HtmlRenderer.builder()
                .escapeHtml(true)
                .sanitizeUrls(true)
                .build()
                .render(document);
        Rebuilt rebuilt = HtmlToBlocks.rebuild(HtmlCleaner.cleanSource(html).html());
        Finder found = new Finder();
        document.accept(found);
        List<String> lost = new ArrayList<>(rebuilt.lost());
        if (found.html) {
            lost.add("HTML within the text: it stays as words.");
        }
        return new Read(found.title, rebuilt.body(), lost);
    }

    private static final class Finder extends AbstractVisitor {
        private String title = "";
        private boolean html;

        @Override
        public void visit(Heading heading) {
            if (title.isEmpty()) {
                title = TextContentRenderer.builder().build().render(heading).strip();
            }
        }

        @Override
        public void visit(HtmlBlock block) {
            html = true;
        }

        @Override
        public void visit(HtmlInline inline) {
            html = true;
        }
    }
}
