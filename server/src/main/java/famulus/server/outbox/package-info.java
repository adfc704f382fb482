/**
 * Messages on their way. A message is kept whole, bytes and all, in the transaction that writes it; a worker then hands
 * exactly these bytes to the mail server. This is the only feature that sends mail.
 */
package famulus.server.outbox;
