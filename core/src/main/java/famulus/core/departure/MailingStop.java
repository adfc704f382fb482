package famulus.core.departure;

/** What keeps a whole mailing from leaving, whoever gets it. */
public enum MailingStop {
    NO_TEMPLATE("no-template", "No template yet", "Choose what it says."),
    NOT_READY(
            "not-ready",
            "The template is not marked ready",
            "Mark it ready on the desk, or ask whoever is changing it to."),
    NOBODY("nobody", "Nobody gets it yet", "Choose a list or some people."),
    TOO_MANY("too-many", "More people than a mailing goes to", "Narrow it down, or make two mailings of it."),
    NO_ADDRESS(
            "no-address",
            "Our company has no postal address",
            "Mailings have to say who they come from: add street and town under Company."),
    NO_UNSUBSCRIBE(
            "no-unsubscribe",
            "Nobody could unsubscribe",
            "Our company has no public address at which the page for it could be reached. An administrator sets it."),
    SENDER("sender", "It can’t go out in this name", "Choose another sender."),
    HOUR("hour", "It can’t leave at this hour", "Choose another hour."),
    UNTESTED("untested", "Not tested as it is now", "Send a test, look at it, then send."),
    UNSEEN("unseen", "No colleague has approved it as it is now", "Ask one to look at it.");

    private final String code;
    private final String title;
    private final String remedy;

    MailingStop(String code, String title, String remedy) {
        this.code = code;
        this.title = title;
        this.remedy = remedy;
    }

    /** As it is named in the API. */
    public String code() {
        return code;
    }

    /** What is wrong, without a stop. */
    public String title() {
        return title;
    }

    /** What to do about it, in a sentence. */
    public String remedy() {
        return remedy;
    }
}
