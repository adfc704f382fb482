/**
 * Contacts, leads, deals and organisations: what the catalogue says they hold, their lists and pages, what was said to
 * them, and the values that templates take from them.
 */
package famulus.server.records;
