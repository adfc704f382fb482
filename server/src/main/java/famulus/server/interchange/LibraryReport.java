package famulus.server.interchange;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;

/**
 * What an import of templates would do, or has done.
 *
 * @param company whose templates these were
 * @param things what is in the file, those that want an answer first
 * @param shared the folders of the file that were shared with others there, by name
 * @param strangers teams, by name, and colleagues, by address, with whom they were shared and who aren’t here
 * @param missing fields that templates ask for and that are not here, with how many ask for each
 */
record LibraryReport(
        String company, List<Thing> things, List<String> shared, List<String> strangers, List<MissingField> missing) {
    /** What something in a file is. */
    enum What {
        TEMPLATE,
        PASSAGE,
        SIGNATURE,
        STYLE,
        PICTURE,
        FILE,
        FEED
    }

    /** How something in a file stands to what is here. */
    enum State {
        /** It is not here yet. */
        NEW,
        /** It is here, and says the same. */
        SAME,
        /** It is here, and says something else. */
        OTHER,
        /** It can't be taken. */
        LEFT
    }

    /**
     * Something in a file.
     *
     * @param path the folders of the file it lies in, from the outside in
     * @param remark why it can't be taken, or what takes its place; empty for nothing to say
     * @param replaceable whether ours may be replaced by it
     */
    record Thing(UUID id, What what, String name, List<String> path, State state, String remark, boolean replaceable) {}

    /** A field that is not here. */
    record MissingField(String path, int templates) {}

    /** What to do with something that is here and says something else. */
    enum Answer {
        KEEP_BOTH,
        REPLACE,
        SKIP
    }

    /** An answer for one thing. */
    record Answered(UUID id, Answer answer) {}

    /**
     * How to import.
     *
     * @param folder where the templates go, and the folders of the file with them
     * @param sharing whether folders that are made here are shared as they were there; null for not
     * @param others what to do with all that say something else
     * @param single what to do with some of them
     */
    record Wanted(
            @Schema(nullable = true) UUID folder,
            @Schema(nullable = true) Boolean sharing,
            Answer others,
            List<Answered> single) {}

    /** What an import came to. */
    record LibraryDone(int added, int replaced, int skipped, int left) {}
}
