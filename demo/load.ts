import { generateKeyPairSync, sign } from 'node:crypto';
import { sha256Hex, signEntry, writeEntry, type Entry } from '@fonte/core/book';
import { handedOver, labAnswered } from '@fonte/core/custody';
import { reportReceived } from '@fonte/core/read';
import { deviceRegistered, type Device } from '@fonte/core/registers';
import { server } from '@fonte/core/roles';
import { day, hour } from '@fonte/core/time';
import { keepFile, serverPen, type Services } from '@fonte/server';
import { device, people } from './data/registers.ts';
import { reportCsv } from './lab/report.ts';
import { levelRounds, registers, schoolRound, todayRound } from './scenario.ts';

/** The phone that the demo's past was written on signs it, as every device does. Its key is made with the demo, and forgotten. */
function pastPhone() {
  const { privateKey, publicKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' });
  const { x, y } = publicKey.export({ format: 'jwk' }) as { x: string; y: string };
  const key = Buffer.concat([Buffer.from([4]), Buffer.from(x, 'base64url'), Buffer.from(y, 'base64url')]).toString('base64url');
  const signText = (text: string) =>
    sign('sha256', Buffer.from(text), { key: privateKey, dsaEncoding: 'ieee-p1363' }).toString('base64url');
  return { key, signed: (entry: Entry) => signEntry({ ...entry, salt: entry.salt! }, key, signText) };
}

/** Loads the scenario through the same door that the app uses: every entry is judged, chained and projected. */
export async function loadDemo({ books, store }: Services, start: number): Promise<void> {
  const phone = pastPhone();
  const [registered, since] = [registers(start), new Date(start - 760 * day).toISOString()];
  const onIt: Device = {
    id: device,
    name: 'Field phone of Marenta',
    key: phone.key,
    people: people.slice(0, 2).map(({ id }) => ({ person: id, since })),
    revoked: null,
  };
  const signed = (entries: readonly Entry[]) =>
    Promise.all(entries.map(async (entry) => (entry.author === server ? entry : phone.signed(entry))));
  await books.appendOwn(...registered.filter((entry) => entry.author === server));
  await books.appendOwn(writeEntry(serverPen(device, start - 760 * day), deviceRegistered, onIt));
  await books.appendOwn(...(await signed(registered.filter((entry) => entry.author !== server))));
  await books.appendOwn(...(await signed(levelRounds(start))));
  const school = schoolRound(start);
  await books.appendOwn(...(await signed(school.entries)));
  await reportWaiting({ books, store }, school);
  await books.appendOwn(...(await signed(todayRound(start))));
}

/** The lab took the school's bottles and its report has come: nobody has read it yet. */
async function reportWaiting(
  { books, store }: Pick<Services, 'books' | 'store'>,
  { entries, book, handOver }: ReturnType<typeof schoolRound>,
): Promise<void> {
  const form = entries.find((entry): entry is Entry<'handed-over', { bottles: { bottle: string }[] }> => handedOver.is(entry))!.payload;
  const at = Date.parse(entries.at(-1)!.at.utc);
  const reference = 'PN-SCHOOL-7';
  const answer = { reference, bottles: form.bottles.map(({ bottle }) => ({ bottle, accepted: true })) };
  await books.appendOwn(writeEntry(serverPen(book, at + 600_000), labAnswered, { handOver, ...answer }));
  const { bottles } = await books.round(book);
  const kept = form.bottles.map(({ bottle }) => ({
    label: bottle,
    kind: bottle.endsWith('B') ? 'MB' : 'MD',
    taken: new Date(bottles.find(({ id }) => id === bottle)!.filledAt!).toISOString(),
    role: 'sample',
    location: { code: 'SC1' },
  }));
  const bytes = reportCsv(reference, kept);
  await store.write((query) => keepFile(query, bytes));
  const received = { sha256: sha256Hex(bytes), name: `${reference}.csv`, size: bytes.length, from: 'lab' as const, fault: null };
  await books.appendOwn(writeEntry(serverPen(book, at + 28 * hour), reportReceived, received));
}
