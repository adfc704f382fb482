/**
 * The writing desk: the live proof beside a draft, the fields a writer can put in, the people to prove it with, and a
 * message merged for one person, ready to be changed and sent.
 */
package famulus.server.desk;
