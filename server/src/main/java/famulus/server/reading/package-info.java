/**
 * What readers do with a message once it has arrived: open it, follow its links, read it as a page, want no more mailings
 * or want them again. A reader needs no account: the key in a message's own links opens its pages and nothing else.
 */
package famulus.server.reading;
