/** What becomes of a message after it has left: how it is found out, and what of that is to be believed. */
package famulus.core.delivery;
