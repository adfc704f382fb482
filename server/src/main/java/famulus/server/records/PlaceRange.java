package famulus.server.records;

/**
 * A part of a list and the way it is read.
 *
 * @param from the first place of it, itself included; all places are later than an empty one
 * @param to the end of it, itself left out
 * @param backwards whether it is read from its end
 */
record PlaceRange(String from, String to, boolean backwards) {
    /** Later than every place whose column holds something, and the first of those whose column holds nothing. */
    private static final String BETWEEN = ListPlace.NOTHING;
    /** Later than every place. */
    private static final String END = "2";

    /** Those whose column holds something. */
    static PlaceRange something(boolean backwards) {
        return new PlaceRange("", BETWEEN, backwards);
    }

    /** Those whose column holds nothing, always read forwards. */
    static PlaceRange nothing() {
        return new PlaceRange(BETWEEN, END, false);
    }

    /** All places. */
    static PlaceRange all(boolean backwards) {
        return new PlaceRange("", END, backwards);
    }

    /** The same from a place on. */
    PlaceRange from(String place) {
        return new PlaceRange(place, to, backwards);
    }

    /** What is left of it behind a place, the way it is read. */
    PlaceRange after(String place) {
        // No place lies between one and the same with the smallest sign after it.
        return backwards ? upTo(place) : from(place + ListPlace.SMALLEST);
    }

    /** The same up to a place, which is left out. */
    PlaceRange upTo(String place) {
        return new PlaceRange(from, place, backwards);
    }
}
