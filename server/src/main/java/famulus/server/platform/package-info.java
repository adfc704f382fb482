/** What every feature stands on: configuration, launching, time, identifiers, errors, events to the browser. */
package famulus.server.platform;
