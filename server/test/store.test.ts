import { execFileSync, spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { copyFileSync, existsSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { chained, type BookEntry, type Entry } from '@fonte/core/book';
import { levelRead } from '@fonte/core/level';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { signed } from '../../core/test/keys.ts';
import { Script, wellPoint } from '../../core/test/script.ts';
import { derivation } from '../src/app/rooms.ts';
import { Books } from '../src/book/books.ts';
import { entryColumns, entryValues, sha256 } from '../src/book/codec.ts';
import { insertMany } from '../src/book/rows.ts';
import { verifyBooks, verifyStore } from '../src/book/verify.ts';
import { makerOf, Store } from '../src/store/index.ts';
import { bench, freshFile, registrations, type Bench } from './bench-server.ts';
import { command, here, program } from './commands.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const level = (text = '7.40') => at.script.atWell(levelRead, { measuringPoint: 'North rim', depth: { text, unit: 'm' }, water: 'static' });
const write = async (entry: Entry = level()) => (await at.post(entry)).status;
const health = async () => {
  const answer = await at.api.get('/api/health');
  return [answer.status, (answer.body as { status: string; code?: string }).code ?? 'ok'];
};
/** What a process that opens the file from nothing finds in the round's book. */
async function onDisk(file = at.file): Promise<string[]> {
  const copy = freshFile();
  for (const suffix of ['', '-wal']) if (existsSync(file + suffix)) copyFileSync(file + suffix, copy + suffix);
  const store = await Store.open(copy);
  const ids = (await store.read<{ id: string }[]>('SELECT id FROM entries WHERE book = ? ORDER BY seq', [at.script.book])).map(
    ({ id }) => id,
  );
  await store.close();
  return ids;
}
describe('a store that cannot write', () => {
  it('acknowledges nothing that is not there, says so, and goes on by itself once it can', async () => {
    await write();
    const [{ page_count: pages }] = (await at.store.read<{ page_count: number }[]>('SELECT * FROM pragma_page_count')) as [
      { page_count: number },
    ];
    const limit = (most: number) => at.store.write((query) => query(`PRAGMA max_page_count = ${most}`));
    const answers: [Entry, number][] = [];
    await limit(pages + 4);
    for (let number = 0; number < 60; number += 1) {
      const entry = level(`7.${100 + number}`);
      answers.push([entry, await write(entry)]);
    }
    const acknowledged = answers.filter(([, status]) => status === 201).map(([entry]) => entry.id);
    const failed = answers.filter(([, status]) => status === 503).map(([entry]) => entry);
    expect(failed.length).toBeGreaterThan(0);
    expect(at.faults).toContain('failed');
    expect((await onDisk()).slice(2)).toEqual(acknowledged);
    expect((await health())[0]).toBe(503);
    await limit(1_000_000);
    for (const entry of failed) expect(await write(entry)).toBe(201);
    expect(await health()).toEqual([200, 'ok']);
    expect(await onDisk()).toHaveLength(2 + 60);
  });

  it('whose connection has gone bad is opened anew, and takes the entry the second time', async () => {
    await write();
    await at.store.write((query) => query('PRAGMA query_only = ON')).catch(() => undefined);
    const entry = level();
    expect(await write(entry)).toBe(503);
    expect(await at.entries()).toHaveLength(2);
    expect(await write(entry)).toBe(201);
    expect(await onDisk()).toHaveLength(3);
  });

  it('waits for a lock of another process without holding up readers, gives up with a reason, and recovers', async () => {
    const locker = new (
      createRequire(import.meta.url)('libsql') as new (file: string) => { exec: (sql: string) => void; close: () => void }
    )(at.file);
    locker.exec('BEGIN IMMEDIATE');
    const entry = level();
    let isWaiting = true;
    const writing = write(entry).finally(() => (isWaiting = false));
    expect((await at.api.get('/api/rounds')).status).toBe(200);
    expect(isWaiting).toBe(true);
    expect(await writing).toBe(503);
    expect(at.faults).toContain('busy');
    locker.exec('COMMIT');
    locker.close();
    expect(await write(entry)).toBe(201);
    expect(await health()).toEqual([200, 'ok']);
  }, 30_000);

  const small = join(tmpdir(), `fonte-small-${process.pid}`);
  const canMount = spawnSync('sh', ['-c', `mkdir -p ${small} && mount -t tmpfs -o size=900k tmpfs ${small}`]).status === 0;
  it.skipIf(!canMount)(
    'on a small file system that is full: what was acknowledged is there after a kill',
    async () => {
      try {
        const file = join(small, 'small.sqlite');
        const store = await Store.open(file);
        const books = new Books(store, at.clock, derivation);
        await books.appendOwn(...registrations(at.script.now));
        const acknowledged: string[] = [];
        let failures = 0;
        const script = new Script().plan();
        const all = [
          script.entries[0]!,
          ...Array.from({ length: 400 }, (_, n) => ({
            ...script.make(
              levelRead,
              { measuringPoint: 'North rim', depth: { text: `7.${100 + n}`, unit: 'm' }, water: 'static', kept: 'x'.repeat(280) },
              script.well,
            ),
          })),
        ];
        for (const entry of all) {
          try {
            const [outcome] = await books.append(entry.book, [signed(entry)], null);
            if (outcome && 'entry' in outcome) acknowledged.push(outcome.entry.id);
          } catch {
            failures += 1;
          }
        }
        expect(failures).toBeGreaterThan(0);
        const copy = freshFile();
        for (const suffix of ['', '-wal']) if (existsSync(file + suffix)) copyFileSync(file + suffix, copy + suffix);
        const found = await Store.open(copy);
        const ids = (await found.read<{ id: string }[]>('SELECT id FROM entries WHERE book = ? ORDER BY seq', [script.book])).map(
          ({ id }) => id,
        );
        expect(ids).toEqual(acknowledged);
        await found.close();
        await store.close();
      } finally {
        execFileSync('umount', ['-l', small]);
      }
    },
    60_000,
  );
});

describe('files that are taken away under the server', () => {
  it('a log that is deleted takes no acknowledged entry with it', async () => {
    const before = level('7.1');
    await write(before);
    rmSync(`${at.file}-wal`);
    rmSync(`${at.file}-shm`);
    const during = level('7.2');
    expect(await write(during)).toBe(503);
    expect(at.faults).toContain('log-gone');
    expect([200, 201]).toContain(await write(during));
    expect(await write(level('7.3'))).toBe(201);
    expect((await onDisk()).slice(1)).toEqual(at.script.entries.slice(1).map((entry) => entry.id));
    expect(await health()).toEqual([200, 'ok']);
  });

  it('a database that is gone is not made again empty: nothing is acknowledged any more', async () => {
    await write();
    for (const suffix of ['', '-wal', '-shm']) rmSync(at.file + suffix);
    expect(await write(level('7.2'))).toBe(503);
    expect(await write(level('7.3'))).toBe(503);
    expect((await health())[0]).toBe(503);
    expect(existsSync(at.file)).toBe(false);
    at = await bench();
  });
});

describe('the file', () => {
  it('is its owner’s alone, also its log', async () => {
    await write();
    for (const suffix of ['', '-wal', '-shm']) expect(statSync(at.file + suffix).mode & 0o077, suffix).toBe(0);
    expect(statSync(dirname(freshFile())).mode & 0o077).toBe(0);
  });

  it('holds everything after a clean stop, without its log', async () => {
    await write();
    await at.close();
    expect(existsSync(`${at.file}-wal`) ? statSync(`${at.file}-wal`).size : 0).toBe(0);
    rmSync(`${at.file}-wal`, { force: true });
    expect(await onDisk()).toHaveLength(2);
    at = await bench();
  });

  it('of somebody else is opened by nobody, and stays as it was', async () => {
    const file = freshFile();
    const foreign = new (
      createRequire(import.meta.url)('libsql') as new (file: string) => { exec: (sql: string) => void; close: () => void }
    )(file);
    foreign.exec('CREATE TABLE recipes (name TEXT)');
    foreign.close();
    const bytes = readFileSync(file);
    expect(makerOf(file)).toBe('stranger');
    await expect(Store.open(file)).rejects.toThrow('no database of Fonte');
    expect(readFileSync(file).equals(bytes)).toBe(true);
    writeFileSync(`${file}.txt`, 'hello');
    await expect(Store.open(`${file}.txt`)).rejects.toThrow('no database of Fonte');
  });

  it('that was left with no bytes by a crash is made', async () => {
    const file = freshFile();
    writeFileSync(file, '');
    const store = await Store.open(file);
    expect(makerOf(file)).toBe('fonte');
    await store.close();
  });
});

describe('the demo', () => {
  const demo = (file: string) =>
    spawnSync(process.execPath, program('demo'), {
      cwd: here,
      encoding: 'utf8',
      env: { ...process.env, FONTE_DB: file },
      timeout: 30_000,
    });

  it('leaves a file alone that it did not make', async () => {
    await write();
    const bytes = readFileSync(at.file);
    const done = demo(at.file);
    expect([done.status, done.stderr]).toEqual([1, expect.stringContaining('was not made by the demo') as string]);
    expect(readFileSync(at.file).equals(bytes)).toBe(true);
    const notes = `${at.file}.txt`;
    writeFileSync(notes, 'my notes');
    expect(demo(notes).status).toBe(1);
    expect(readFileSync(notes, 'utf8')).toBe('my notes');
    rmSync(notes);
    writeFileSync(`${notes}-wal`, 'somebody’s last commits');
    expect(demo(notes).status).toBe(1);
    expect(existsSync(`${notes}-wal`)).toBe(true);
  }, 60_000);

  it('leaves the file of a demo that is running alone', async () => {
    const file = freshFile();
    const port = 20_000 + (process.pid % 20_000);
    const env = { ...process.env, FONTE_DB: file, FONTE_PORT: String(port) };
    const first = spawn(process.execPath, program('demo'), { cwd: here, env });
    try {
      await new Promise((resolve) => {
        first.stdout.once('data', resolve);
      });
      const { ino } = statSync(file);
      const second = spawnSync(process.execPath, program('demo'), { cwd: here, encoding: 'utf8', env, timeout: 30_000 });
      expect([second.status, second.stderr]).toEqual([1, expect.stringContaining('answers on port') as string]);
      expect(statSync(file).ino).toBe(ino);
    } finally {
      first.kill();
    }
  }, 60_000);
});

describe('verify', () => {
  const faults = async () => {
    const found: string[] = [];
    for await (const book of verifyBooks(at.store, derivation)) found.push(...book.faults.map(({ where, what }) => `${where}: ${what}`));
    return [...found, ...(await verifyStore(at.store, derivation)).map(({ where, what }) => `${where}: ${what}`)];
  };
  const harm = (sql: string, values: unknown[] = []) =>
    at.store.write(async (query) => {
      for (const table of ['entries', 'files'])
        for (const act of ['update', 'delete']) await query(`DROP TRIGGER IF EXISTS ${table}_never_${act}d`);
      await query(sql, values);
    });

  beforeEach(async () => {
    for (const text of ['7.40', '7.41', '7.42']) await write(level(text));
  });

  it('finds nothing wrong where nothing is', async () => {
    expect(await faults()).toEqual([]);
  });

  it('finds a changed entry, a row that follows from no book, one that is missing, and guards that are gone: all of them', async () => {
    await harm(`UPDATE entries SET payload = replace(payload, '7.41', '7.14') WHERE seq = 3 AND book = ?`, [at.script.book]);
    await harm(`DELETE FROM visits WHERE point = ?`, [wellPoint.id]);
    await harm(`INSERT INTO bottles SELECT book, 'FORGED', visit, rule, stage, lost, filled, deadline FROM bottles LIMIT 1`);
    const found = await faults();
    expect(found).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^entry 3 .*: what it says was changed/),
        expect.stringMatching(/^table visits .*: is missing/),
        expect.stringMatching(/^table bottles FORGED: follows from no book/),
        'trigger entries_never_updated: is missing',
        'trigger files_never_deleted: is missing',
      ]) as string[],
    );
  });

  it('finds a book that was taken away, and rows that stayed', async () => {
    await harm('DELETE FROM entries WHERE book = ?', [at.script.book]);
    expect(await faults()).toContain('book: is registered and has no entry');
    await harm('DELETE FROM books WHERE id = ?', [at.script.book]);
    expect(await faults()).toContain(`table rounds: has rows of book ${at.script.book}, which is not there`);
  });

  it('finds a kept file that was altered', async () => {
    await at.store.write((query) => query('INSERT INTO files VALUES (?, ?)', [sha256('a'), Buffer.from('b')]));
    expect(await faults()).toContain(`kept file ${sha256('a')}: was altered`);
  });

  it('from the command line says where it breaks, and fails on a path that is no database, without making one', async () => {
    await harm(`UPDATE entries SET payload = replace(payload, '7.41', '7.14') WHERE seq = 3 AND book = ?`, [at.script.book]);
    expect(command('verify', at.file)).toMatchObject({
      code: 1,
      out: expect.stringMatching(/BROKEN.*entry 3 .*what it says was changed/) as string,
    });
    const nowhere = join(dirname(at.file), 'nowhere.sqlite');
    expect(command('verify', nowhere)).toMatchObject({ code: 2, out: expect.stringContaining('There is no file') as string });
    expect(existsSync(nowhere)).toBe(false);
    writeFileSync(nowhere, 'x'.repeat(5000));
    expect(command('verify', nowhere)).toMatchObject({ code: 2, out: expect.stringContaining('no database of Fonte') as string });
  }, 60_000);

  it('of a file that was cut short or flipped says so, and never that it is whole', async () => {
    for (let number = 0; number < 300; number += 1) await write(level(`8.${100 + number}`));
    await at.close();
    const damage = (name: string, act: (file: string) => void) => {
      const file = `${at.file}.${name}`;
      copyFileSync(at.file, file);
      act(file);
      return command('verify', file);
    };
    const size = statSync(at.file).size;
    const cut = damage('cut', (file) => truncateSync(file, Math.floor(size / 2 / 4096) * 4096));
    expect(cut.code).not.toBe(0);
    // Every byte of the book matters: flip one in the middle of an entry's text.
    const flipped = damage('flipped', (file) => {
      const bytes = readFileSync(file);
      const place = bytes.indexOf('8.250');
      bytes[place] = bytes[place]! ^ 1;
      writeFileSync(file, bytes);
    });
    expect(flipped.code).toBe(1);
    at = await bench();
  }, 60_000);

  it('of a book that was forged and hashed anew from its second entry on holds alone, and fails against the head that the lab has', async () => {
    const view = (await at.books.view(at.script.book))!;
    const witnessed = `${view.head!.count}:${view.head!.hash}`;
    const forged: BookEntry[] = [];
    for (const entry of view.entries.all()) {
      const last = forged.at(-1);
      const { salt: _salt, signature: _signature, content: _content, ...bare } = entry;
      const payload = entry.seq === 2 ? { ...(entry.payload as object), depth: { text: '9.99', unit: 'm' } } : entry.payload;
      // As before there were keys: what is signed cannot be forged so.
      forged.push(chained({ ...bare, payload }, last ? { count: last.seq, hash: last.hash } : null, entry));
    }
    await harm('DELETE FROM entries WHERE book = ?', [at.script.book]);
    await at.store.write((query) =>
      insertMany(
        query,
        'entries',
        entryColumns,
        forged.map((entry) => entryValues(entry)),
      ),
    );
    const file = join(dirname(at.file), 'forged.book.json');
    const fresh = await Store.open(at.file);
    const exported = (await new Books(fresh, at.clock, derivation).view(at.script.book))!;
    await fresh.close();
    writeFileSync(
      file,
      JSON.stringify({
        format: 'fonte-book',
        version: 1,
        book: at.script.book,
        type: 'round',
        head: exported.head,
        entries: exported.entries.all(),
      }),
    );
    expect(command('verify', file).code).toBe(0);
    expect(command('verify', file, witnessed)).toMatchObject({
      code: 1,
      out: expect.stringContaining('it is not the book of which') as string,
    });
  }, 60_000);
});

describe('backup and restore', () => {
  it('copy a database while it is written in, and make a whole one of the copy', async () => {
    const copy = join(dirname(at.file), 'copy.sqlite');
    const target = join(dirname(at.file), 'restored', 'fonte.sqlite');
    let stop = false;
    const acknowledged: string[] = [];
    const writing = (async () => {
      for (let number = 0; !stop; number += 1) {
        const entry = level(`7.${number + 100}`);
        if ((await write(entry)) === 201) acknowledged.push(entry.id);
      }
    })();
    const backup: ChildProcess = spawn(process.execPath, [...program('backup'), copy, at.file], { cwd: here });
    const code = await new Promise((resolve) => {
      backup.once('exit', resolve);
    });
    stop = true;
    await writing;
    expect(code).toBe(0);
    expect(command('backup', copy, at.file)).toMatchObject({ code: 2, out: expect.stringContaining('nothing is written over') as string });
    expect(command('restore', copy, target)).toMatchObject({ code: 0, out: expect.stringContaining('Restored 8 books') as string });
    const ids = await onDisk(target);
    expect(ids.length).toBeGreaterThan(1);
    expect(ids).toEqual([at.script.entries[0]!.id, ...acknowledged].slice(0, ids.length));
    expect(command('verify', target).code).toBe(0);
    expect(command('restore', copy, target)).toMatchObject({ code: 2, out: expect.stringContaining('move it away first') as string });
  }, 90_000);

  it('restore nothing that is not whole', async () => {
    await write();
    await at.store.write(async (query) => {
      await query('DROP TRIGGER entries_never_updated');
      await query(`UPDATE entries SET author = 'x' WHERE seq = ?`, [2]);
    });
    await at.close();
    const target = join(dirname(at.file), 'never.sqlite');
    expect(command('restore', at.file, target)).toMatchObject({ code: 2, out: expect.stringContaining('BROKEN') as string });
    expect(existsSync(target)).toBe(false);
    at = await bench();
  }, 60_000);
});
