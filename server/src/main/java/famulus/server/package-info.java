/**
 * HTTP, storage, mail and sign-in around the core, one package a feature. A controller takes and gives what crosses
 * the wire, a service does one thing in one transaction, a mapper holds SQL. A feature calls another's service, never
 * its mapper.
 */
package famulus.server;
