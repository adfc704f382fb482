package famulus.core.message.body;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How the messages of the house look, whatever they are written in.
 *
 * @param name for colleagues
 * @param page its width and backgrounds
 * @param type fonts, sizes and colours
 * @param space the distance that all others are made from, in pixels, 4 to 40
 * @param button how buttons look
 * @param headers bands above a message, of which a template chooses one or none
 * @param footers bands below a message, likewise
 * @param smallPrint what stands at the foot of every message; only editors change it
 */
public record HouseStyle(
        String name,
        Page page,
        Type type,
        int space,
        ButtonLook button,
        List<Wrapping> headers,
        List<Wrapping> footers,
        RichText smallPrint) {
    public HouseStyle {
        headers = List.copyOf(headers);
        footers = List.copyOf(footers);
    }

    /** The same without small print, for what is to stand in a message that has some. */
    public HouseStyle withoutSmallPrint() {
        return withSmallPrint(new RichText(List.of()));
    }

    /** The same with other small print. */
    public HouseStyle withSmallPrint(RichText other) {
        return new HouseStyle(name, page, type, space, button, headers, footers, other);
    }

    /** The same with another page and other letters. */
    HouseStyle with(Page other, Type letters) {
        return new HouseStyle(name, other, letters, space, button, headers, footers, smallPrint);
    }

    /** The same with other headers. */
    public HouseStyle withHeaders(List<Wrapping> others) {
        return new HouseStyle(name, page, type, space, button, others, footers, smallPrint);
    }

    /** The same with other footers. */
    public HouseStyle withFooters(List<Wrapping> others) {
        return new HouseStyle(name, page, type, space, button, headers, others, smallPrint);
    }

    /**
     * The same with bands around messages, in the place of those of the same name, else after the others.
     *
     * @param above as a header; else as a footer
     */
    public HouseStyle wearing(boolean above, Wrapping wrapping) {
        List<Wrapping> all = new ArrayList<>(above ? headers : footers);
        int at = all.stream().map(Wrapping::name).toList().indexOf(wrapping.name());
        if (at < 0) {
            all.add(wrapping);
        } else {
            all.set(at, wrapping);
        }
        return above ? withHeaders(all) : withFooters(all);
    }

    /** The same without the bands of a name. */
    public HouseStyle without(boolean above, String unwanted) {
        List<Wrapping> left = (above ? headers : footers)
                .stream().filter(one -> !one.name().equals(unwanted)).toList();
        return above ? withHeaders(left) : withFooters(left);
    }

    /** A style without header, footer or small print. */
    public static final HouseStyle BARE = new HouseStyle(
            "Bare",
            new Page(600, "#ffffff", "#ffffff", true),
            new Type(FontFamily.SANS, FontFamily.SANS, 16, "#1d2530", "#1d2530", "#1c6b60"),
            16,
            new ButtonLook("#1c6b60", "#ffffff", 3),
            List.of(),
            List.of(),
            new RichText(List.of()));

    /**
     * The page.
     *
     * @param width in pixels, 320 to 900
     * @param background around the message, {@code #rrggbb}
     * @param sheet behind the message, {@code #rrggbb}
     * @param free whether a message may choose another width, background, link colour and letters
     */
    public record Page(int width, String background, String sheet, boolean free) {}

    /**
     * Letters.
     *
     * @param size of running text in pixels, 12 to 24
     * @param colour of running text, {@code #rrggbb} as the others
     */
    public record Type(
            FontFamily text, FontFamily headings, int size, String colour, String headingColour, String linkColour) {}

    /**
     * A button.
     *
     * @param corner radius in pixels, 0 to 40
     */
    public record ButtonLook(String background, String colour, int corner) {}

    /** Bands that a template may choose by name. */
    public record Wrapping(String name, List<Band> bands) {
        public Wrapping {
            bands = List.copyOf(bands);
        }
    }

    /** Fonts that every mail program has, or has something like. */
    public enum FontFamily {
        SANS("Arial, Helvetica, sans-serif"),
        HUMANIST("Verdana, Geneva, sans-serif"),
        SERIF("Georgia, 'Times New Roman', serif"),
        TYPEWRITER("'Courier New', Courier, monospace");

        private final String css;

        FontFamily(String css) {
            this.css = css;
        }

        /** The families in the order they are tried, as CSS. */
        public String css() {
            return css;
        }
    }

    /** The header of a name; the first one for a name that is empty. */
    public Optional<Wrapping> header(String wanted) {
        return find(headers, wanted);
    }

    /** The footer of a name; the first one for a name that is empty. */
    public Optional<Wrapping> footer(String wanted) {
        return find(footers, wanted);
    }

    private static Optional<Wrapping> find(List<Wrapping> wrappings, String wanted) {
        return wrappings.stream()
                .filter(one -> wanted.isEmpty() || one.name().equals(wanted))
                .findFirst();
    }
}
