/** Said where a picture comes as an address alone. */
export const ON_A_WEB_PAGE =
  'This picture is on a web page, and nothing is fetched from there. Save it to a file and drop that, or copy the picture itself and paste it.';

/** What was dropped or pasted, as far as it matters here. */
export interface Brought {
  files: ArrayLike<File>;
  getData: (type: string) => string;
}

/**
 * The picture that was dropped or pasted: a file, or one that a web page has written into itself. A sentence for whoever
 * dropped it when there is only its address; nothing when it is no picture.
 */
export function droppedPicture(brought: Brought): File | string | null {
  if (brought.files.length) return brought.files[0];
  const html = brought.getData('text/html');
  const source = html && new DOMParser().parseFromString(html, 'text/html').querySelector('img')?.src;
  if (source && source.startsWith('data:image/')) return written(source);
  const address =
    source ||
    brought
      .getData('text/uri-list')
      .split('\n')
      .find((line) => !line.startsWith('#'));
  return address && (source || /\.(png|jpe?g|gif|webp|svg)([?#]|$)/i.test(address)) ? ON_A_WEB_PAGE : null;
}

/** A picture that stands in an address itself (RFC 2397); nothing when it can't be read. */
function written(address: string): File | null {
  const parts = /^data:(image\/[a-z0-9.+-]+)(;base64)?,(.*)$/is.exec(address);
  if (!parts) return null;
  const [, type, base64, data] = parts;
  try {
    const text = base64 ? atob(data) : decodeURIComponent(data);
    const bytes = Uint8Array.from(text, (character) => character.charCodeAt(0));
    return new File([bytes], `picture.${type.slice('image/'.length).replace(/\W.*/, '')}`, { type });
  } catch {
    return null;
  }
}
