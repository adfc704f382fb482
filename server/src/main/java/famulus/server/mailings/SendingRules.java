package famulus.server.mailings;

/**
 * What the company wants of all mailings.
 *
 * @param most to so many people a mailing goes at most
 * @param perHour so many messages of mailings leave within an hour at most
 * @param perDay within twenty-four hours
 * @param look whether a colleague has to approve each before it goes
 */
record SendingRules(int most, int perHour, int perDay, boolean look) {}
