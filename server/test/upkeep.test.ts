import { copyFileSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { gunzipSync } from 'node:zlib';
import { dirname, join } from 'node:path';
import { levelRead } from '@fonte/core/level';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { coordinator, technician } from '../../core/test/script.ts';
import { Backups, lastPlanned } from '../src/backup/index.ts';
import { generationOf, Store } from '../src/store/index.ts';
import { bench, freshFile, type Bench } from './bench-server.ts';
import { command } from './commands.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const read = async (text: string) =>
  (await at.post(at.script.atWell(levelRead, { measuringPoint: 'North rim', depth: { text, unit: 'm' }, water: 'static' }))).status;
/** Does something to a file by the driver alone, as no Fonte would. */
const by = (file: string, sql: string) => {
  const database = new (
    createRequire(import.meta.url)('libsql') as new (file: string) => { exec: (sql: string) => void; close: () => void }
  )(file);
  database.exec(`${sql}; PRAGMA wal_checkpoint(TRUNCATE)`);
  database.close();
};

describe('verify of a file with one bit that has turned over', () => {
  /** Few in `npm test`, hundreds in `npm run test:long`. */
  const flips = Number(process.env['FONTE_FLIPS'] ?? 4);

  it('comes to its end, says where in a sentence, and goes on to the books that can be read', async () => {
    for (let number = 0; number < 40; number += 1) await read(`8.${100 + number}`);
    const books = (await at.store.read<unknown[]>('SELECT DISTINCT book FROM entries')).length;
    await at.close();
    const bytes = readFileSync(at.file);
    const found = { whole: 0, broken: 0, refused: 0 };
    for (let flip = 0; flip < flips; flip += 1) {
      const file = join(dirname(at.file), `flipped-${flip}.sqlite`);
      const harmed = Buffer.from(bytes);
      // Spread over the file, a different bit each time.
      const place = Math.floor(((flip + 0.5) / flips) * bytes.length);
      harmed[place]! ^= 1 << (flip % 8);
      writeFileSync(file, harmed);
      const { code, out } = command('verify', file);
      expect([0, 1, 2], `bit ${flip % 8} of byte ${place}:\n${out}`).toContain(code);
      expect(out, `byte ${place}`).not.toMatch(/panick|RUST|SIG|at .*\.(rs|ts|js):\d/);
      if (code === 0) found.whole += 1;
      else if (code === 2) found.refused += 1;
      else {
        found.broken += 1;
        expect(out).toMatch(/^BROKEN {2}\S/m);
        // The others are not hidden by one that cannot be read.
        const told = new Set([...out.matchAll(/^(?:whole|BROKEN) {2,3}([0-9a-f-]{36})/gm)].map(([, book]) => book));
        if (!/BROKEN {2}(database|list of books)/.test(out)) expect(told.size, out).toBeGreaterThanOrEqual(books - 1);
      }
      rmSync(file);
    }
    console.log(`${flips} flips: ${JSON.stringify(found)}`);
    expect(found.broken).toBeGreaterThan(0);
    at = await bench();
  }, 1_800_000);
});

describe('a database of another time', () => {
  /** A database as the demo of that day made it. */
  const of = (day: string) => {
    const file = freshFile();
    writeFileSync(file, gunzipSync(readFileSync(new URL(`old/${day}.sqlite.gz`, import.meta.url))));
    return file;
  };

  it('of the first days is named for what it is by every command and by the server, and left as it is', async () => {
    const file = of('2026-11-23');
    const before = readFileSync(file);
    const sentence = /was created by Fonte of 23 to 25 November 2026\. Later versions cannot upgrade it/;
    for (const name of ['verify', 'rebuild'])
      expect(command(name, file)).toMatchObject({ code: 2, out: expect.stringMatching(sentence) as string });
    for (const name of ['backup', 'restore', 'link'])
      expect(
        command(name, ...(name === 'backup' ? [`${file}.copy`, file] : name === 'link' ? ['X', file] : [file, `${file}.new`])),
      ).toMatchObject({
        code: 2,
        out: expect.stringMatching(sentence) as string,
      });
    await expect(Store.open(file)).rejects.toThrow(sentence);
    expect(readFileSync(file).equals(before)).toBe(true);
  }, 120_000);

  it('that a newer version has made is not opened by this one', async () => {
    await at.close();
    by(at.file, "INSERT INTO migrations (timestamp, name) VALUES (9999999999999, 'Further9999999999999')");
    expect(command('verify', at.file)).toMatchObject({
      code: 2,
      out: expect.stringContaining('created by a newer version of Fonte') as string,
    });
    await expect(Store.open(at.file)).rejects.toThrow('created by a newer version of Fonte');
    at = await bench();
  }, 120_000);

  it('that an earlier version has made is verified as it will be, and copied before it is carried over', async () => {
    const file = of('2026-11-26');
    const before = readFileSync(file);
    expect(await generationOf(file)).toMatchObject({ is: 'older' });
    const verified = command('verify', file);
    expect(verified.out).toMatch(
      /^note .*was created by an earlier version of Fonte\. The server upgrades it at its next start and keeps a copy/m,
    );
    expect(verified.code, verified.out).toBe(0);
    expect(verified.out.match(/^whole /gm)).toHaveLength(19);
    expect(readFileSync(file).equals(before)).toBe(true);
    const copies: string[] = [];
    const now = () => Date.parse('2026-11-30T10:20:00Z');
    const store = await Store.open(file, { onCarriedOver: (copy) => copies.push(copy), now });
    await store.close();
    expect(copies).toEqual([`${file}.before-2026-11-30T10-20-00`]);
    expect(await generationOf(copies[0]!)).toMatchObject({ is: 'older' });
    expect(await generationOf(file)).toEqual({ is: 'current' });
  }, 120_000);

  it('that cannot be copied is not carried over', async () => {
    const file = of('2026-11-26');
    writeFileSync(`${file}.before-2026-11-30T10-20-00`, 'somebody’s');
    await expect(Store.open(file, { now: () => Date.parse('2026-11-30T10:20:00Z') })).rejects.toThrow('Nothing was changed.');
    expect(await generationOf(file)).toMatchObject({ is: 'older' });
    expect(readFileSync(`${file}.before-2026-11-30T10-20-00`, 'utf8')).toBe('somebody’s');
  });
});

describe('a copy of the main file alone', () => {
  it('while the server writes lacks what was written last, and is not taken for whole', async () => {
    for (const text of ['7.40', '7.41', '7.42']) expect(await read(text)).toBe(201);
    const copy = `${at.file}.cp`;
    copyFileSync(at.file, copy);
    expect(command('verify', copy)).toMatchObject({ code: 2, out: expect.stringContaining('its log') as string });
    await expect(Store.open(copy)).rejects.toThrow('what was written last is missing');
    const target = `${at.file}.restored`;
    expect(command('restore', copy, target).code).toBe(2);
    expect(command('restore', copy, target, '--without-log')).toMatchObject({
      code: 0,
      out: expect.stringContaining('Restored') as string,
    });
    expect(command('verify', target).code).toBe(0);
  }, 120_000);

  it('with its log is whole, and so is the file of a server that was killed, however often it is looked into', async () => {
    expect(await read('7.40')).toBe(201);
    const copy = `${at.file}.cp`;
    for (const suffix of ['', '-wal']) copyFileSync(at.file + suffix, copy + suffix);
    for (let look = 0; look < 2; look += 1) expect(command('verify', copy)).toMatchObject({ code: 0 });
    await (await Store.open(copy)).close();
    await at.close();
    expect(await generationOf(at.file)).toEqual({ is: 'current' });
    at = await bench();
  }, 120_000);
});

describe('daily backups', () => {
  const morning = Date.parse('2026-11-30T08:00:00Z');
  const day = 86_400_000;
  const inTheNight = 150;

  it('are planned for a time of the day, and the last such moment is the one that counts', () => {
    const planned = new Date(lastPlanned(morning, inTheNight));
    expect([planned.getHours(), planned.getMinutes(), morning - planned.getTime() < day]).toEqual([2, 30, true]);
  });

  it('are verified before they have a name, kept in number, late after a day and a half, and said to have failed', async () => {
    const folder = join(dirname(at.file), 'backups');
    let now = morning;
    const told: object[] = [];
    const backups = new Backups({
      file: at.file,
      plan: { folder, at: inTheNight, keep: 2 },
      clock: () => now,
      told: (said) => told.push(said),
    });
    expect(backups.tell()).toEqual({ last: null, failed: null, isLate: false });
    for (let night = 0; night < 3; night += 1) {
      await backups.make();
      now += day;
    }
    expect(readdirSync(folder).sort()).toEqual(['fonte-2026-12-01T08-00-00Z.sqlite', 'fonte-2026-12-02T08-00-00Z.sqlite']);
    expect(backups.tell()).toEqual({ last: morning + 2 * day, failed: null, isLate: false });
    expect(command('verify', join(folder, 'fonte-2026-12-02T08-00-00Z.sqlite')).code).toBe(0);
    now += day;
    expect(backups.tell().isLate).toBe(true);
    // One whose copy would not be whole has no copy, and the older ones stay.
    await at.store.write((query) => query('DROP TRIGGER files_never_deleted'));
    await backups.make();
    expect(backups.tell()).toMatchObject({ failed: { why: 'The copy was not whole. Verify the database.' } });
    expect(readdirSync(folder)).toHaveLength(2);
    expect(told.at(-1)).toMatchObject({ failed: expect.any(String) as string });
  }, 180_000);

  it('are told on the health page with their age', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'fonte-backups-'));
    const backups = new Backups({ file: at.file, plan: { folder, at: inTheNight, keep: 2 }, clock: at.clock });
    const other = await bench({ backups });
    expect((await other.api.get('/api/health')).body).toMatchObject({ status: 'ok', backup: { last: null, isLate: false } });
    await other.close();
    expect((await at.api.get('/api/health')).body).toEqual({ status: 'ok', backup: null });
  });
});

describe('restore', () => {
  it('lets nobody on who was signed in at the time of the copy, nor by a link of then', async () => {
    const copy = `${at.file}.copy`;
    await at.store.write((query) => query(`INSERT INTO invitations VALUES ('x', ?, NULL, 9999999999999)`, [technician.id]));
    expect(await at.store.read<unknown[]>('SELECT 1 FROM sessions')).not.toEqual([]);
    expect(command('backup', copy, at.file).code).toBe(0);
    const target = `${at.file}.restored`;
    expect(command('restore', copy, target)).toMatchObject({
      code: 0,
      out: expect.stringContaining('All sessions and sign-in links were ended') as string,
    });
    const store = await Store.open(target, { readOnly: true });
    for (const table of ['sessions', 'invitations']) expect(await store.read(`SELECT * FROM ${table}`)).toEqual([]);
    await store.close();
  }, 120_000);
});

describe('a link made on the console', () => {
  it('lets the last coordinator in again, beside a running server, and is told to coordinators', async () => {
    expect(command('link', 'Nobody At All', at.file)).toMatchObject({
      code: 2,
      out: expect.stringContaining('Nobody who may come in') as string,
    });
    const { code, out } = command('link', coordinator.name.toUpperCase(), at.file);
    expect(code, out).toBe(0);
    const token = /#([\w-]+)/.exec(out)![1];
    expect((await at.nobody.post('/api/invitation').send({ token })).body).toMatchObject({ name: coordinator.name, needsPassphrase: true });
    const news = (await (await at.as(coordinator)).get('/api/door-news')).body as object[];
    expect(news).toMatchObject([{ event: 'invited', person: coordinator.id, by: null }]);
    // The server still has the file open, and says so in it.
    expect(await at.store.read(`SELECT value FROM about WHERE name = 'open'`)).toHaveLength(1);
  }, 120_000);
});
