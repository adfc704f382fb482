package famulus.server.today;

/** What makes an empty company work, in order. */
enum FirstHourStep {
    /** Our company has a phone number, website or address that messages can name. */
    COMPANY,
    /** There is somebody to write to. */
    PEOPLE,
    /** There is a template. */
    TEMPLATE,
    /** Somebody has been written to. */
    MESSAGE
}
