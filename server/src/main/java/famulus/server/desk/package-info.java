/**
 * The writing desk: the live proof beside a draft, the fields a writer can put in, the people to prove it with, and what a
 * draft comes to for everybody: what its fields hold, for whom its conditions hold, its hard cases.
 */
package famulus.server.desk;
