import { describe, expect, it } from 'vitest';
import { droppedPicture, ON_A_WEB_PAGE, type Brought } from './droppedPicture';

function brought(data: Record<string, string>, files: File[] = []): Brought {
  return { files, getData: (type) => data[type] ?? '' };
}

describe('a picture that is dropped', () => {
  it('is the file, whatever comes with it', () => {
    const file = new File(['x'], 'hives.png', { type: 'image/png' });
    expect(droppedPicture(brought({ 'text/html': '<img src="https://a.example/x.png">' }, [file]))).toBe(
      file,
    );
  });

  it('is read where a page has written it into itself', async () => {
    const file = droppedPicture(
      brought({ 'text/html': '<p><img src="data:image/gif;base64,R0lGODk="></p>' }),
    );
    expect(file).toBeInstanceOf(File);
    expect((file as File).name).toBe('picture.gif');
    expect(new TextDecoder().decode(await (file as File).arrayBuffer())).toBe('GIF89');
    expect(droppedPicture(brought({ 'text/html': '<img src="data:image/png;base64,%%%">' }))).toBeNull();
  });

  it('is told to be elsewhere when there is only its address', () => {
    expect(droppedPicture(brought({ 'text/html': '<img src="https://a.example/x">' }))).toBe(ON_A_WEB_PAGE);
    expect(droppedPicture(brought({ 'text/uri-list': '# one\nhttps://a.example/x.JPG?1' }))).toBe(
      ON_A_WEB_PAGE,
    );
  });

  it('is none where words or links are dropped', () => {
    expect(droppedPicture(brought({ 'text/plain': 'hello' }))).toBeNull();
    expect(droppedPicture(brought({ 'text/uri-list': 'https://a.example/page' }))).toBeNull();
  });
});
