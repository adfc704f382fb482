/** What a text tells those around it when rows and columns are pasted into it. */
const EVENT = 'famulus:rows';

/** Whether HTML is laid out in columns: a table with several cells in a row. */
export function hasColumns(html: string): boolean {
  if (!/<t[dh]\b/i.test(html)) return false;
  const page = new DOMParser().parseFromString(html, 'text/html');
  return [...page.querySelectorAll('tr')].some(
    (row) =>
      [...row.children].filter((cell) => cell.textContent?.trim() || cell.querySelector('img')).length > 1,
  );
}

/** Offers pasted HTML to whatever rows can stand in; says whether it was taken. */
export const offerRows = (from: HTMLElement, html: string): boolean =>
  hasColumns(html) &&
  !from.dispatchEvent(new CustomEvent(EVENT, { bubbles: true, cancelable: true, detail: html }));

/** Takes rows that are pasted into any text within an element. */
export const takesRows = (take: (html: string) => boolean) => (within: HTMLElement) => {
  const listen = (event: Event) => {
    if (take((event as CustomEvent<string>).detail)) event.preventDefault();
  };
  within.addEventListener(EVENT, listen);
  return () => within.removeEventListener(EVENT, listen);
};
