/**
 * Brings records in from files, and takes them out into files.
 *
 * <p>A file is kept in parts ({@link famulus.server.interchange.ImportFiles}), so that of a large one little is held; how it is
 * read and where its columns go stands beside it ({@link famulus.server.interchange.ImportService}). Checking and importing
 * ({@link famulus.server.interchange.ImportRuns}) are the same pass over its rows
 * ({@link famulus.server.interchange.ImportPass}): the one writes nothing, the other writes all that is sound in one transaction. What a cell means is the core's to say ({@link famulus.core.table}).
 */
package famulus.server.interchange;
