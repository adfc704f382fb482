/**
 * Folders that templates lie in, and who may use, change and manage what is in them. The rules are those of
 * {@code famulus.core.sharing}; what each colleague may do in each folder is kept beside the folders, so that lists only look it up.
 */
package famulus.server.folders;
