package famulus.core.message.body;

/** What the strings of a block are called. */
public final class Keys {
    /** Stands for a block where the small print is meant. */
    public static final String SMALL_PRINT = "small-print";

    private Keys() {}

    /** The condition of a band or block. */
    public static String when(String id) {
        return id + "/when";
    }

    static String end(String id) {
        return id + "/end";
    }

    /** Its title, label, or what it says when it is empty. */
    public static String label(String id) {
        return id + "/label";
    }

    /** Its HTML. */
    public static String source(String id) {
        return id + "/source";
    }

    /** Where it leads. */
    public static String link(String id) {
        return id + "/link";
    }

    /** What is read out in the place of a picture. */
    public static String description(String id) {
        return id + "/description";
    }

    /** The field that gives an event's day. */
    public static String day(String id) {
        return id + "/day";
    }

    /** Where an event is. */
    public static String place(String id) {
        return id + "/place";
    }

    /** One of its lines. */
    public static String fact(String id, int index) {
        return id + "/fact" + index;
    }

    /** Where one of its lines leads. */
    public static String factLink(String id, int index) {
        return id + "/fact" + index + "/link";
    }

    /** One run of its formatted text. */
    public static String run(String id, int paragraph, int run) {
        return id + "/" + paragraph + "." + run;
    }

    /** Where one run leads. */
    public static String runLink(String id, int paragraph, int run) {
        return id + "/" + paragraph + "." + run + "/link";
    }
}
