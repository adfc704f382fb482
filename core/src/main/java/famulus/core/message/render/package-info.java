/**
 * Turns a merged message into what leaves: HTML that mail programs read, plain text, the pictures that go along and
 * calendar files. Pure and deterministic: the same input gives the same characters.
 *
 * <pre>{@code
 * BodyText text = BodyText.of(design);
 * Merged merged = merger.merge(text.program(), context, Place.BODY);
 * Rendering rendering = Renderer.render(
 *         new ToRender(design, text, merged, settings, subject, previewText, deal, pictures, null));
 * rendering.html();   // a whole document
 * rendering.text();   // its plain twin, not yet wrapped
 * }</pre>
 */
package famulus.core.message.render;
