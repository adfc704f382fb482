/**
 * The demo's mail server and the inboxes of its made-up recipients. It speaks SMTP on a loopback port, so that what is
 * sent to it goes the same way as real mail.
 */
package famulus.server.demoinboxes;
