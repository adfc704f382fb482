/** So long is waited where nothing is drawn at all, as on a page that nobody looks at; in milliseconds. */
const UNSEEN = 100;

/** Once what is on the page now has been drawn: in the second frame from now. What can wait lets it be seen first. */
export function drawn(): Promise<void> {
  return new Promise((done) => {
    const unseen = setTimeout(done, UNSEEN);
    requestAnimationFrame(() =>
      requestAnimationFrame(() => {
        clearTimeout(unseen);
        done();
      }),
    );
  });
}
