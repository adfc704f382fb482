/**
 * Contacts, leads, deals and organisations: what the catalogue says they hold, their lists and pages, their
 * history, and the values that templates take from them.
 */
package famulus.server.records;
