import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { CustodyForm } from '@fonte/core/custody';
import { expect, it } from 'vitest';
import { z } from 'zod';

/** What others build on is published, and changes only with its version: FONTE_SAVE=1 writes it where it is not there. */
const published = fileURLToPath(new URL('../../docs/custody-form.schema.json', import.meta.url));
const schema = { title: 'Chain-of-custody form of Fonte, version 1', ...z.toJSONSchema(CustodyForm) };
if (process.env['FONTE_SAVE']) writeFileSync(published, `${JSON.stringify(schema, null, 2)}\n`, { flag: 'wx' });

it('is described by the schema that is published for those who read it', () => {
  expect(JSON.parse(readFileSync(published, 'utf8'))).toEqual(JSON.parse(JSON.stringify(schema)));
});
