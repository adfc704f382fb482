/** Addresses and domains that nobody here writes to any more, whatever a message is about. */
package famulus.server.donotemail;
