/**
 * What a letter or a designed message is made of: a body of bands, a band of columns, a column of blocks, each with an
 * identifier that survives every edit. All of it is values; an edit makes a new body.
 *
 * <pre>{@code
 * Body body = BodyJson.read(stored);            // versioned JSON, docs/body.schema.json
 * Edit edit = new Edit.Move("b7", new Edit.Place("b2", 0, 1));   // invertible, for undo and for merging two people's work
 * Body moved = edit.on(body).orElseThrow();
 * BodyText text = BodyText.of(new Design(Mode.DESIGNED, moved, style, "", ""));    // one text in the merge language, and where each part of it stands
 * }</pre>
 */
package famulus.core.message.body;
