/**
 * Reads records out of files of others, CSV and vCard, and writes them into such files.
 *
 * <p>Nothing is asked that can be seen in the file: how its bytes are text ({@link famulus.core.table.TextEncoding}), what its
 * cells are parted by ({@link famulus.core.table.Delimiter}), how it writes dates and numbers
 * ({@link famulus.core.table.TableStyle}), which of its columns is which field ({@link famulus.core.table.ColumnMatch}). Each row
 * is then read into the stored forms of fields, or it says which cell can't be ({@link famulus.core.table.RowReader}).
 *
 * <pre>{@code
 * CsvTable table = new CsvTable(new java.io.StringReader("Surname;Since\nWren;21.05.2026\n"), ';');
 * table.next().cells();  // Surname, Since
 * TableStyle.of(List.of("21.05.2026"), ';', "GB").dates();  // DAY_FIRST
 * }</pre>
 */
package famulus.core.table;
