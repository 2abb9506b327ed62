// @vitest-environment jsdom
import '../../test/dom.ts';
import { chained, sha256Hex, type BookEntry, type BookFile, type Entry } from '@fonte/core/book';
import { pictureTaken } from '@fonte/core/pictures';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Script } from '../../../core/test/script.ts';
import { VerifyPage } from './VerifyPage.tsx';

const picture = 'what a camera saw';
const sha256 = sha256Hex(picture);

/** A book of a plan and a picture, as it is handed out. */
function handedOut(files: BookFile['files']): BookFile {
  const script = new Script().plan();
  script.atTap(pictureTaken, { sha256, type: 'image/jpeg', size: picture.length, shows: 'the outlet' });
  const entries: BookEntry[] = [];
  for (const { salt: _, ...entry } of script.entries as (Entry & { salt?: string })[]) {
    const last = entries.at(-1);
    entries.push(
      chained(entry, last ? { count: last.seq, hash: last.hash } : null, {
        sentAt: entry.at.utc,
        receivedAt: entry.at.utc,
        doubt: undefined,
      }),
    );
  }
  const { seq: count, hash } = entries.at(-1)!;
  return {
    format: 'fonte-book',
    version: 3,
    book: script.book,
    type: 'round',
    head: { count, hash },
    devices: [],
    people: [],
    files,
    entries,
  };
}

async function choose(book: object, says: string): Promise<string> {
  const { container } = render(<VerifyPage />);
  const input = container.querySelector('input[type=file]')!;
  const file = new File([JSON.stringify(book)], 'round.book.json', { type: 'application/json' });
  fireEvent.change(input, { target: { files: [file] } });
  await waitFor(() => expect(container.textContent).toContain(says));
  return container.textContent;
}

describe('the page that verifies a book', () => {
  it('says that it is whole, and that its picture came with it', async () => {
    const says = await choose(handedOut({ [sha256]: btoa(picture) }), 'round.book.json is whole');
    expect(says).toContain('The one file that an entry names came with it.');
    expect(screen.getByRole('status').className).toContain('good');
  });

  it('says that nothing came with it where it was handed out without', async () => {
    expect(await choose(handedOut(null), 'round.book.json is whole')).toContain('Its pictures and files were not handed out with it.');
  });

  it.each([
    ['another', { [sha256]: btoa('something else') }, 'Entry 2, picture taken: its file is not the one it names.'],
    ['none', {}, 'Entry 2, picture taken: its file is not with the book.'],
  ])('names the entry whose file is %s', async (_, files, says) => {
    expect(await choose(handedOut(files), 'is not what was written')).toContain(says);
  });

  it('finds an entry that was changed since, and a book of which a paper tells otherwise', async () => {
    const book = handedOut(null);
    const altered = book.entries.map((entry) =>
      entry.seq === 2 ? { ...entry, payload: { ...(entry.payload as object), shows: 'a cat' } } : entry,
    );
    expect(await choose({ ...book, entries: altered }, 'is not what was written')).toContain('Entry 2, picture taken');
  });

  it('compares it with the count and hash of a paper', async () => {
    const book = handedOut(null);
    await choose(book, 'is whole');
    const field = screen.getByLabelText('Count and hash, where a paper says them');
    fireEvent.change(field, { target: { value: '2:abc' } });
    expect(screen.getByText('A number, a colon and 64 signs from 0 to 9 and a to f.')).toBeTruthy();
    fireEvent.change(field, { target: { value: `2:${'0'.repeat(64)}` } });
    expect(await screen.findByText('It is not the book of which the paper tells.')).toBeTruthy();
    fireEvent.change(field, { target: { value: `2:${book.head!.hash}` } });
    expect(await screen.findByText('It holds what the paper tells of it.')).toBeTruthy();
  });

  it('refuses what is no book', async () => {
    await choose({ format: 'something' }, 'This is no book that Fonte handed out.');
  });
});
