/** Colleagues, their roles, the house, and signing in. */
package famulus.server.team;
