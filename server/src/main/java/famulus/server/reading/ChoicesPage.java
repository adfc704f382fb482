package famulus.server.reading;

import famulus.core.audience.ReaderChoice;
import famulus.core.audience.ReaderChoice.Pace;
import famulus.server.choices.Topics.Topic;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.util.HtmlUtils;

/** The page on which a reader chooses what they get; it works without any script. */
final class ChoicesPage {
    /**
     * What is known when it is shown.
     *
     * @param about the topic of the message whose link was followed
     * @param sharing how many people get e-mails at the address it went to
     * @param settled what has just happened
     */
    record Shown(
            String language,
            String company,
            ReaderChoice choice,
            List<Topic> topics,
            Optional<Topic> about,
            int sharing,
            Settled settled) {}

    /**
     * What has just happened.
     *
     * @param change by which it can be undone; null where it can't
     */
    record Settled(boolean changed, boolean undone, UUID change) {
        static final Settled NOTHING = new Settled(false, false, null);
    }

    private final ReaderWords words;
    private final Shown shown;
    private final StringBuilder body = new StringBuilder();

    private ChoicesPage(Shown shown) {
        this.words = ReaderWords.in(shown.language());
        this.shown = shown;
    }

    /** The page as HTML. */
    static String of(Shown shown) {
        return new ChoicesPage(shown).page();
    }

    /** For somebody of whom nothing is known any more. */
    static String gone(String language, String company) {
        ReaderWords words = ReaderWords.in(language);
        return ReaderPage.page(
                words.language(),
                words.title().formatted(escaped(company)),
                "<p>" + words.gone().formatted(escaped(company)) + "</p>");
    }

    private String page() {
        settled();
        paragraph((shown.choice().nothing() ? words.none() : words.intro()).formatted(escaped(shown.company())));
        if (shown.choice().nothing()) {
            form("again", "", button(words.again(), true));
        } else {
            shown.about()
                    .filter(topic -> !shown.choice().refused().contains(topic.id()))
                    .ifPresent(topic -> form(
                            "topic",
                            "",
                            button(words.stopTopic().formatted(escaped(topic.in(words.language()))), false)));
            form("choices", choices(), button(words.save(), true));
            form("nothing", "", button(words.stopAll(), false));
        }
        return ReaderPage.page(words.language(), words.title().formatted(escaped(shown.company())), body.toString());
    }

    private void settled() {
        Settled settled = shown.settled();
        if (settled.undone()) {
            body.append("<p class=\"said\" role=\"status\">")
                    .append(words.undone())
                    .append("</p>");
        } else if (settled.changed()) {
            body.append("<div class=\"said\"><span role=\"status\">")
                    .append(words.saved())
                    .append("</span>");
            if (settled.change() != null) {
                body.append(" <form method=\"post\"><input type=\"hidden\" name=\"change\" value=\"")
                        .append(settled.change())
                        .append("\"><button class=\"soft\" name=\"what\" value=\"undo\">")
                        .append(words.undo())
                        .append("</button></form>");
            }
            body.append("</div>");
        }
    }

    private void paragraph(String text) {
        body.append("<p>").append(text).append("</p>");
    }

    private static String button(String text, boolean soft) {
        return (soft ? "<button class=\"soft\"" : "<button") + " name=\"what\" value=\"%s\">" + text + "</button>";
    }

    /** A form of one button; of an address that several read at it asks for whom. */
    private void form(String what, String inside, String button) {
        body.append("<form method=\"post\">").append(inside);
        if (shown.sharing() > 1) {
            body.append("<fieldset><legend>")
                    .append(words.only().formatted(shown.sharing()))
                    .append("</legend>")
                    .append(radio("all", words.everyone(), true))
                    .append(radio("one", words.justOne(), false))
                    .append("</fieldset>");
        }
        body.append(button.replace("%s", what)).append("</form>");
    }

    private static String radio(String value, String label, boolean chosen) {
        return "<label><input type=\"radio\" name=\"who\" value=\"" + value + "\"" + (chosen ? " checked" : "") + "> "
                + label + "</label>";
    }

    private String choices() {
        StringBuilder choices = new StringBuilder();
        if (!shown.topics().isEmpty()) {
            choices.append("<fieldset><legend>").append(words.topics()).append("</legend>");
            for (Topic topic : shown.topics()) {
                choices.append("<label><input type=\"checkbox\" name=\"topic\" value=\"")
                        .append(topic.id())
                        .append('"')
                        .append(shown.choice().refused().contains(topic.id()) ? "" : " checked")
                        .append("> ")
                        .append(escaped(topic.in(words.language())))
                        .append("</label>");
            }
            choices.append("</fieldset>");
        }
        choices.append("<label>").append(words.pace()).append(" <select name=\"pace\">");
        for (Pace pace : Pace.values()) {
            choices.append("<option value=\"")
                    .append(pace)
                    .append('"')
                    .append(pace == shown.choice().pace() ? " selected" : "")
                    .append('>')
                    .append(said(pace))
                    .append("</option>");
        }
        return choices.append("</select></label>").toString();
    }

    private String said(Pace pace) {
        return switch (pace) {
            case ANY -> words.any();
            case WEEKLY -> words.weekly();
            case MONTHLY -> words.monthly();
            case QUARTERLY -> words.quarterly();
        };
    }

    private static String escaped(String text) {
        return HtmlUtils.htmlEscape(text, "UTF-8");
    }
}
