/**
 * Choosing people by what is true of them: paths and conditions of the merge language as SQL over the stored records,
 * and what a field really holds for all the people a template could go to.
 */
package famulus.server.lists;
