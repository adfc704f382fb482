/**
 * The first screen: what makes an empty company work, as long as it is not done, and the messages that wait for somebody.
 *
 * <p>A step is done by what is there, wherever it was made: a first contact counts, typed here or anywhere else.
 */
package famulus.server.today;
