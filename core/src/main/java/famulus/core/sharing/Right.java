package famulus.core.sharing;

/** What somebody may do in a folder; each includes those before it. */
public enum Right {
    /** Read what is ready in it, and write from it. */
    USE,
    /** Change what is in it, ready or not, and add to it. */
    CHANGE,
    /** Share, rename, move and remove the folder itself. */
    MANAGE
}
