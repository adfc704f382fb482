package famulus.core.message.render;

/** Writes HTML: whatever is given as text or as the value of an attribute is escaped. */
final class Html {
    private final StringBuilder html = new StringBuilder(8192);

    /** Characters that are HTML already. */
    Html raw(String markup) {
        html.append(markup);
        return this;
    }

    /** A line of markup of its own. */
    Html line(String markup) {
        html.append(markup).append('\n');
        return this;
    }

    /** Opens an element; {@code attributes} are names and values by turns, an empty value leaves its name out. */
    Html open(String name, String... attributes) {
        html.append('<').append(name);
        for (int i = 0; i < attributes.length; i += 2) {
            if (!attributes[i + 1].isEmpty()) {
                html.append(' ').append(attributes[i]).append("=\"");
                escape(attributes[i + 1]);
                html.append('"');
            }
        }
        html.append('>');
        return this;
    }

    Html close(String name) {
        html.append("</").append(name).append('>');
        return this;
    }

    Html endLine() {
        html.append('\n');
        return this;
    }

    /** Text as it may stand in HTML, in an attribute too. */
    static String escaped(String text) {
        return new Html().text(text).toString().replace("'", "&#39;");
    }

    /** Text; a line break in it becomes one. */
    Html text(String text) {
        int from = 0;
        for (int at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', from)) {
            escape(text.substring(from, at));
            html.append("<br>");
            from = at + 1;
        }
        escape(text.substring(from));
        return this;
    }

    private void escape(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            switch (c) {
                case '&' -> html.append("&amp;");
                case '<' -> html.append("&lt;");
                case '>' -> html.append("&gt;");
                case '"' -> html.append("&quot;");
                case '\u00A0' -> html.append("&nbsp;");
                default -> html.append(c);
            }
        }
    }

    @Override
    public String toString() {
        return html.toString();
    }
}
