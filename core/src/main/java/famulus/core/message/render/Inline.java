package famulus.core.message.render;

import famulus.core.message.body.RichText.Marks;

/**
 * Merged words that look alike and come from one place.
 *
 * @param text may have line breaks
 * @param address where they lead; empty for nowhere
 * @param from how they got there
 */
record Inline(String text, Marks marks, String address, From from) {
    /** Where words came from, as far as a proof shows it. */
    enum From {
        WRITTEN,
        RECORD,
        FALLBACK,
        GAP
    }
}
