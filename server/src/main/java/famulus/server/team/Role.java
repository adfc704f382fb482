package famulus.server.team;

/** What a colleague may do. */
public enum Role {
    /** Writes. */
    AGENT,
    /** Prepares for others, who appear as the sender. */
    ASSISTANT,
    /** Keeps shared templates and house style. */
    KEEPER,
    /** Keeps people, fields, accounts. */
    ADMINISTRATOR
}
