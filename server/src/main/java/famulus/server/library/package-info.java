/** Templates: kept, found, changed, put aside and brought back. */
package famulus.server.library;
