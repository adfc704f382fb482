package famulus.core.table;

/**
 * A name in one piece, parted: the last word is the surname, or what stands before a comma.
 *
 * <p>E.g.: {@code Zoë Kärcher} and {@code Kärcher, Zoë} are the same.
 *
 * @param first may be empty
 * @param last empty for an empty name alone
 */
record PersonName(String first, String last) {
    static PersonName of(String whole) {
        String words = whole.strip().replaceAll("\\s+", " ");
        int comma = words.indexOf(',');
        if (comma > 0) {
            return new PersonName(
                    words.substring(comma + 1).strip(),
                    words.substring(0, comma).strip());
        }
        int space = words.lastIndexOf(' ');
        return new PersonName(words.substring(0, Math.max(space, 0)), words.substring(space + 1));
    }
}
