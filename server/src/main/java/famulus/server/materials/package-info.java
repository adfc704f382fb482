/** What templates share: house styles, pictures, files and feeds. */
package famulus.server.materials;
