/** What readers have chosen to get of messages that go to several people at once: topics, how often, nothing at all. */
package famulus.server.choices;
