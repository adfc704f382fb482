package famulus.core.message.body;

import famulus.core.message.body.HouseStyle.FontFamily;
import famulus.core.message.body.HouseStyle.Page;
import famulus.core.message.body.HouseStyle.Type;
import java.util.Optional;

/**
 * What one message chooses for its page instead of its house style.
 *
 * @param width in pixels, 320 to 900; 0 for the style's
 * @param background around the message, {@code #rrggbb}; empty for the style's
 * @param linkColour likewise
 * @param text the letters of running text
 */
public record PageChoice(int width, String background, String linkColour, Optional<FontFamily> text) {
    /** Everything as in the house style. */
    public static final PageChoice NONE = new PageChoice(0, "", "", Optional.empty());

    /** A style as it is for a message with this choice; the same where the style lets its messages choose nothing. */
    public HouseStyle on(HouseStyle style) {
        if (equals(NONE) || !style.page().free()) {
            return style;
        }
        Page page = style.page();
        Type type = style.type();
        return style.with(
                new Page(
                        width == 0 ? page.width() : width,
                        background.isEmpty() ? page.background() : background,
                        page.sheet(),
                        true),
                new Type(
                        text.orElse(type.text()),
                        type.headings(),
                        type.size(),
                        type.colour(),
                        type.headingColour(),
                        linkColour.isEmpty() ? type.linkColour() : linkColour));
    }
}
