/** What is kept for use in many templates: house styles and pictures. */
package famulus.server.cupboard;
