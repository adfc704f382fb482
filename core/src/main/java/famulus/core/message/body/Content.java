package famulus.core.message.body;

import java.time.LocalTime;
import java.util.List;

/** What a block holds. Texts, addresses and descriptions are in the merge language. */
public sealed interface Content {

    /** The word for it, in JSON and in what is said about it. */
    default String kind() {
        return switch (this) {
            case Text text -> "text";
            case Picture picture -> "picture";
            case Button button -> "button";
            case Pairing pairing -> "pairing";
            case Divider divider -> "divider";
            case Spacer spacer -> "spacer";
            case Items items -> "item table";
            case Event event -> "event";
            case Card card -> "record card";
            case VideoStill still -> "video still";
            case SocialLinks links -> "social links";
            case Signature signature -> "signature";
            case Passage passage -> "passage";
            case Feed feed -> "feed";
            case OwnHtml html -> "own HTML";
            case Unknown unknown -> unknown.name();
        };
    }

    /** Formatted text. */
    record Text(RichText text) implements Content {}

    /**
     * A picture of the library.
     *
     * @param picture its identifier
     * @param width shown width in pixels, 8 to 900; a narrower column narrows it
     * @param description read out, and shown where pictures are blocked
     * @param link where it leads; empty for nowhere
     * @param retouching what is cut off, and how its colours are changed
     */
    record Picture(String picture, int width, Align align, String description, String link, Retouching retouching)
            implements Content {
        /** A picture as it was brought in. */
        public Picture(String picture, int width, Align align, String description, String link) {
            this(picture, width, align, description, link, Retouching.NONE);
        }
    }

    /**
     * A link that looks like a button.
     *
     * @param background {@code #rrggbb}; empty for the house style's
     * @param colour of its words; empty for the house style's
     */
    record Button(String label, String link, Align align, String background, String colour) implements Content {}

    /**
     * A picture beside a text.
     *
     * @param pictureRight whether the picture stands right of it
     * @param share the picture's part of the width in per cent, 10 to 90
     */
    record Pairing(Picture picture, RichText text, boolean pictureRight, int share) implements Content {}

    /**
     * A rule across.
     *
     * @param thickness in pixels, 1 to 12
     * @param colour {@code #rrggbb}; empty for the colour of the text
     */
    record Divider(int thickness, String colour) implements Content {}

    /**
     * Nothing, of some height.
     *
     * @param height in pixels, 1 to 200
     */
    record Spacer(int height) implements Content {}

    /**
     * The lines of the deal.
     *
     * @param columns which, in order; at least one
     * @param totals whether sums stand below
     * @param empty what to say when the deal has no lines
     */
    record Items(List<ItemColumn> columns, boolean totals, String empty) implements Content {
        public Items {
            columns = List.copyOf(columns);
        }
    }

    /** A column of the item table. */
    enum ItemColumn {
        DESCRIPTION,
        QUANTITY,
        UNIT,
        PRICE,
        DISCOUNT,
        TAX,
        NOTE,
        TOTAL
    }

    /**
     * Something that happens at a place and time; goes along as a calendar file.
     *
     * @param day one field that gives a day or a moment, such as {@code {deal.placement_date}}
     * @param time when it begins; null for the moment's own time, or for the whole day
     * @param minutes how long it takes, 1 to 10,080
     * @param zone of the place, an IANA name; empty for where the person is
     */
    record Event(String title, String day, LocalTime time, int minutes, String zone, String place) implements Content {}

    /**
     * Facts of a record or a colleague.
     *
     * @param picture a portrait or logo of the library, or the key of a {@link RecordPortrait}; empty for none
     * @param title its heading
     * @param facts one line each, such as {@code Phone: {sender.phone}}; a line whose field is missing is left out
     */
    record Card(String picture, String title, List<String> facts) implements Content {
        public Card {
            facts = List.copyOf(facts);
        }
    }

    /**
     * A picture that leads to a video's page.
     *
     * @param picture its still, of the library; empty for a drawn one
     * @param address of the page
     */
    record VideoStill(String picture, String address, String description, int width) implements Content {}

    /** Links to profiles, or to share something. */
    record SocialLinks(List<SocialLink> links, Align align) implements Content {
        public SocialLinks {
            links = List.copyOf(links);
        }
    }

    /**
     * One of them.
     *
     * @param label what it is called
     * @param icon what is drawn before it
     */
    record SocialLink(String label, String address, SocialIcon icon) {}

    /** What is drawn before a social link, by what it leads to. Ours, and of no service. */
    enum SocialIcon {
        NONE,
        PERSON,
        PEOPLE,
        PICTURE,
        FILM,
        PAGE,
        SHARE
    }

    /** The bands it stands for; none for what is written in the block itself. */
    default List<Band> inside() {
        return switch (this) {
            case Passage passage -> passage.bands();
            case Signature signature -> signature.bands();
            case Text other -> List.of();
            case Picture other -> List.of();
            case Button other -> List.of();
            case Pairing other -> List.of();
            case Divider other -> List.of();
            case Spacer other -> List.of();
            case Items other -> List.of();
            case Event other -> List.of();
            case Card other -> List.of();
            case VideoStill other -> List.of();
            case SocialLinks other -> List.of();
            case Feed other -> List.of();
            case OwnHtml other -> List.of();
            case Unknown other -> List.of();
        };
    }

    /**
     * The newest entries of a feed.
     *
     * @param feed its identifier
     * @param most how many entries, 1 to 10
     * @param summaries whether what an entry is about stands below its title
     * @param name what the feed is called; empty while it has not been looked up, and where it is not there
     * @param entries those it has now, the newest first
     */
    record Feed(String feed, int most, boolean summaries, String name, List<Entry> entries) implements Content {
        public Feed {
            entries = List.copyOf(entries);
        }

        /** The entries that are shown. */
        public List<Entry> shown() {
            return entries.subList(0, Math.min(most, entries.size()));
        }
    }

    /**
     * An entry of a feed; characters, never read as the merge language.
     *
     * @param summary may be empty
     * @param link where all of it is; may be empty
     */
    record Entry(String title, String summary, String link) {}

    /**
     * HTML as a writer gave it.
     *
     * @param source not clean yet: it is cleaned whenever it is shown or sent
     */
    record OwnHtml(String source) implements Content {}

    /**
     * The sender's closing lines.
     *
     * @param bands what they are made of; none where the sender has a plain one, or is not known yet
     */
    record Signature(List<Band> bands) implements Content {
        public Signature {
            bands = List.copyOf(bands);
        }

        /** The plain one. */
        public Signature() {
            this(List.of());
        }
    }

    /**
     * A text that is kept once and used in many templates.
     *
     * @param passage its identifier
     * @param name what it is called; empty while it has not been looked up, and where it is not there
     * @param bands what it says now
     */
    record Passage(String passage, String name, List<Band> bands) implements Content {
        public Passage {
            bands = List.copyOf(bands);
        }
    }

    /**
     * Something a newer Famulus made. Kept as it is.
     *
     * @param name its kind there
     * @param json all of the block
     */
    record Unknown(String name, String json) implements Content {}
}
