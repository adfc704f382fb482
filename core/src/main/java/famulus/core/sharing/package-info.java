/**
 * Shared folders: who may use, change and manage what lies in them. {@link famulus.core.sharing.FolderTree} knows how folders lie
 * in one another and what a colleague may do in each; {@link famulus.core.sharing.SharingSentence} says it.
 *
 * <pre>{@code
 * FolderTree tree = new FolderTree(List.of(folder));
 * Optional<Right> right = tree.right(folder, member);
 * boolean mayChange = right.filter(one -> one.compareTo(Right.CHANGE) >= 0).isPresent();
 * }</pre>
 */
package famulus.core.sharing;
