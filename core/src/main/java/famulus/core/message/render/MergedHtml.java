package famulus.core.message.render;

import famulus.core.merge.Piece;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Pattern;

/**
 * HTML of a writer's own with its values put in as characters: escaped in text and attributes, and within an address as part
 * of one. It still has to be cleaned.
 */
public final class MergedHtml {
    /** An address that has been begun. */
    private static final Pattern WITHIN_ADDRESS =
            Pattern.compile("(?:href|src)\\s*=\\s*[\"']?[^\"'\\s>]+$", Pattern.CASE_INSENSITIVE);

    private MergedHtml() {}

    /** The HTML as it would leave; what is missing prints nothing. */
    public static String of(List<Piece> pieces) {
        return of(pieces, piece -> Html.escaped(piece.text()));
    }

    /**
     * The same, for a proof.
     *
     * @param inText how a value is written where text stands
     */
    static String of(List<Piece> pieces, Function<Piece, String> inText) {
        StringBuilder html = new StringBuilder();
        for (Piece piece : pieces) {
            boolean literal = piece.written().isEmpty();
            boolean inTag = html.lastIndexOf("<") > html.lastIndexOf(">");
            if (literal) {
                html.append(piece.text());
            } else if (inTag) {
                String address = html.substring(html.lastIndexOf("<"));
                boolean within = WITHIN_ADDRESS.matcher(address).find();
                html.append(within ? Address.escaped(piece.text()) : Html.escaped(piece.text()));
            } else {
                html.append(inText.apply(piece));
            }
        }
        return html.toString();
    }
}
