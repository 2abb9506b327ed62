import fc from 'fast-check';
import { expect, it } from 'vitest';
import { payloadOf } from '../../test/payloads.ts';
import { canonicalJson, findUnsound, readPayload, type AnyKind } from '../book/index.ts';
import { Script } from '../../test/script.ts';
import { fold } from './fold.ts';
import { allKinds, belongsIn } from './kinds.ts';

/** Payloads of each kind of entry: two hundred in `npm test`, four thousand in `npm run test:long`. */
const count = Number(process.env['FONTE_PAYLOADS'] ?? 200);

/** A round in which much has been done: whatever comes next meets all of it. */
const begun = new Script().plan().sampleTap();

/** Adds an entry to the round. @throws whatever the fold of the book would die of, for everybody who opens it */
function foldOn(kind: AnyKind, payload: unknown): void {
  const visit = kind.stands === 'at-visit' ? begun.tap : null;
  const entry = begun.make(kind as never, payload, visit);
  fold([...begun.entries, entry]);
}

/** What a schema says of a payload, or the fault that it dies of. */
function read(kind: AnyKind, version: number, payload: unknown) {
  // The door asks this first.
  if (findUnsound(payload) !== null) return { state: 'malformed' as const };
  try {
    return readPayload(kind, version, payload);
  } catch (fault) {
    return { state: 'fault' as const, fault: String(fault) };
  }
}

it.each(allKinds.map((kind) => [kind.kind, kind] as const))('%s: refuses or takes whatever is sent, and throws at nothing', (_, kind) => {
  const schemas = [...kind.earlier.map(({ payload }) => payload), kind.payload];
  schemas.forEach((schema, index) => {
    fc.assert(
      fc.property(payloadOf(schema), (payload) => {
        const answer = read(kind, index + 1, payload);
        expect(answer.state === 'fault' ? answer.fault : null, JSON.stringify(payload)).toBeNull();
        if (answer.state !== 'known' || findUnsound(answer.payload) !== null) return;
        // What is taken reads the same when it is read again: a signature is over these words.
        expect(canonicalJson((read(kind, index + 1, answer.payload) as { payload: unknown }).payload)).toBe(canonicalJson(answer.payload));
        if (index + 1 === kind.version && belongsIn(kind.kind, 'round')) foldOn(kind, answer.payload);
      }),
      { numRuns: count },
    );
  });
});
