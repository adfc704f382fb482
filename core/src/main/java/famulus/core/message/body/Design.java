package famulus.core.message.body;

import java.util.List;

/**
 * All that surrounds the words of a message: its body, its house style, and what it takes of that.
 *
 * @param header which header of the style; empty for its first one
 * @param footer likewise
 */
public record Design(Mode mode, Body body, HouseStyle style, String header, String footer) {
    /** The name that asks for no header or footer at all. */
    public static final String NONE = "none";

    public Design {
        style = body.page().on(style);
    }

    /** The same in another house style. */
    public Design in(HouseStyle other) {
        return new Design(mode, body, other, header, footer);
    }

    /** The same around another body. */
    public Design of(Body other) {
        return new Design(mode, other, style, header, footer);
    }

    private boolean wrapped() {
        return mode == Mode.DESIGNED || mode == Mode.SOURCE;
    }

    /** The bands above the body; a letter has none. */
    public List<Band> above() {
        return wrapped() ? style.header(header).map(HouseStyle.Wrapping::bands).orElse(List.of()) : List.of();
    }

    /** The bands between the body and the small print; a letter has none. */
    public List<Band> below() {
        return wrapped() ? style.footer(footer).map(HouseStyle.Wrapping::bands).orElse(List.of()) : List.of();
    }
}
