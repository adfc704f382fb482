/**
 * Messages on paper: a letter or designed message, merged for somebody, as a PDF that is read out in order, with its fonts in
 * it. What stands on a sheet is written in the core ({@link famulus.core.message.render.Renderer#onPaper}); here it is given
 * its sender, its pictures and its fonts.
 *
 * <pre>{@code
 * byte[] pdf = papers.pdf(proof, size, false);
 * }</pre>
 *
 * <p>Nothing here says whether a message may leave; whoever attaches one asks for that first.
 */
package famulus.server.paper;
