package famulus.server.team;

/** What others may read of colleagues in SQL that they put together: the same as the fragment {@code colleague}. */
public final class ColleagueTable {
    /** The table's name; its columns id, first_name, last_name, job_title, email, phone and signature may be read. */
    public static final String NAME = "colleague";

    private ColleagueTable() {}
}
