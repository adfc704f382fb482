package famulus.core.message.render;

import famulus.core.message.body.Align;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.ListCount;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.render.MergedBody.TextParagraph;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;

/** Writes formatted text as HTML with its styles inline. */
final class HtmlText {
    private final Html html;
    private final HouseStyle style;
    private final boolean proof;

    HtmlText(Html html, HouseStyle style, boolean proof) {
        this.html = html;
        this.style = style;
        this.proof = proof;
    }

    /** Paragraphs; items of a list that follow one another make one list, those further in a list within the item above. */
    void paragraphs(List<TextParagraph> all, String more) {
        ListCount count = new ListCount();
        Deque<Kind> lists = new ArrayDeque<>();
        for (int i = 0; i < all.size(); i++) {
            TextParagraph words = all.get(i);
            Kind kind = words.paragraph().kind();
            int depth = count.next(words.paragraph());
            boolean last = i == all.size() - 1;
            while (lists.size() > depth + 1) {
                closeList(lists.pop());
            }
            if (depth >= 0 && lists.size() == depth + 1 && lists.peek() != kind) {
                closeList(lists.pop());
            }
            if (kind.isItem() && lists.size() == depth + 1) {
                html.close("li").endLine();
            } else if (kind.isItem()) {
                openList(kind, lists.isEmpty() ? "0 0 " + gap(last) : style.space() / 4 + "px 0 0", more);
                lists.push(kind);
            }
            String element = element(kind);
            html.open(element, "style", css(words, kind.isItem(), last) + (kind.isItem() ? "" : more));
            if (words.inlines().isEmpty()) {
                html.raw("&nbsp;");
            }
            words.inlines().forEach(this::inline);
            if (!kind.isItem()) {
                html.close(element).endLine();
            }
        }
        while (!lists.isEmpty()) {
            closeList(lists.pop());
        }
    }

    private void openList(Kind kind, String margin, String more) {
        html.open(list(kind), "style", "margin:" + margin + ";padding:0 0 0 24px;" + more);
    }

    /** Ends a list with its last item. */
    private void closeList(Kind kind) {
        html.close("li").endLine().close(list(kind)).endLine();
    }

    /** One stretch of words. */
    void inline(Inline inline) {
        Marks marks = inline.marks();
        String css = (marks.bold() ? "font-weight:bold;" : "")
                + (marks.italic() ? "font-style:italic;" : "")
                + decoration(marks)
                + (marks.colour().isEmpty() ? "" : "color:" + marks.colour() + ";")
                + (marks.size() == 0 ? "" : "font-size:" + marks.size() + "px;");
        boolean link = !inline.address().isEmpty();
        if (link) {
            html.open(
                    "a",
                    "href",
                    inline.address(),
                    "style",
                    (marks.colour().isEmpty() ? "color:" + style.type().linkColour() + ";" : "") + css);
        } else if (!css.isEmpty()) {
            html.open("span", "style", css);
        }
        marked(inline);
        if (link) {
            html.close("a");
        } else if (!css.isEmpty()) {
            html.close("span");
        }
    }

    /** In a proof, words that came from somewhere say so. */
    private void marked(Inline inline) {
        boolean shows = proof && inline.from() != Inline.From.WRITTEN;
        if (shows) {
            html.open("span", "class", "from-" + inline.from().name().toLowerCase(java.util.Locale.ROOT));
        }
        html.text(inline.text());
        if (shows) {
            html.close("span");
        }
    }

    private static String decoration(Marks marks) {
        if (!marks.underline() && !marks.strike()) {
            return "";
        }
        return "text-decoration:" + (marks.underline() ? "underline" : "")
                + (marks.underline() && marks.strike() ? " " : "") + (marks.strike() ? "line-through" : "") + ";";
    }

    private static String list(Kind kind) {
        return kind == Kind.BULLET ? "ul" : "ol";
    }

    private static String element(Kind kind) {
        return switch (kind) {
            case HEADING_1 -> "h1";
            case HEADING_2 -> "h2";
            case HEADING_3 -> "h3";
            case BULLET, NUMBERED -> "li";
            case QUOTE -> "blockquote";
            case PARAGRAPH -> "p";
        };
    }

    private String css(TextParagraph words, boolean item, boolean last) {
        String align =
                switch (words.paragraph().align()) {
                    case START -> "";
                    case CENTRE -> "text-align:center;";
                    case END -> "text-align:end;";
                };
        if (item) {
            return "margin:0 0 " + style.space() / 4 + "px;" + align;
        }
        return switch (words.paragraph().kind()) {
            case HEADING_1 -> heading(1.75, last) + align;
            case HEADING_2 -> heading(1.375, last) + align;
            case HEADING_3 -> heading(1.125, last) + align;
            case QUOTE ->
                "margin:0 0 " + gap(last) + ";padding:0 0 0 12px;border-left:3px solid "
                        + style.type().linkColour() + ";" + align;
            default -> "margin:0 0 " + gap(last) + ";" + align;
        };
    }

    private String heading(double factor, boolean last) {
        HouseStyle.Type type = style.type();
        return "margin:0 0 " + (last ? "0" : style.space() / 2 + "px") + ";font-family:"
                + type.headings().css() + ";font-size:" + Math.round(type.size() * factor)
                + "px;line-height:1.25;font-weight:bold;color:" + type.headingColour() + ";";
    }

    /** The last paragraph needs no room below; its block has some. */
    private String gap(boolean last) {
        return last ? "0" : style.space() * 3 / 4 + "px";
    }

    /** How a block is aligned, as CSS. */
    static String css(Align align) {
        return switch (align) {
            case START -> "";
            case CENTRE -> "text-align:center;";
            case END -> "text-align:end;";
        };
    }
}
