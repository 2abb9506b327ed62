import { broughtFile, keepBrought, readBroughtReport, sayFault, tryBrought, type BroughtAsked, type BroughtDraft } from '@fonte/core/read';
import type { BroughtReport } from '@fonte/core/registers';
import { keptFile } from '../book/named.ts';
import { thing } from '../book/registry.ts';
import { takeUpload } from '../files/files.ts';
import { atOnce, Problem, route, SentFile, type Route, type Services } from '../http/index.ts';
import type { FileReader } from './reader.ts';

/** So many are taken in, and tried, at once; whoever comes then is asked to come again. */
const atOnceMost = 3;

/** Reports of samples that somebody else took. */
export function broughtRoutes(services: Services & { reader: FileReader }, largest: number): Route[] {
  const { store, reader } = services;
  /** What a kept file says. @throws Problem 422 for a file that is no table, 410 for one that is gone */
  const read = async (hash: string, asked: BroughtAsked): Promise<BroughtDraft> => {
    const found = await reader.run('brought', { bytes: await keptFile(store, hash), asked });
    const answer = found ?? { refusal: { code: 'too-much', line: 0, column: 0 } };
    if ('draft' in answer) return answer.draft;
    const message = sayFault(answer.refusal);
    throw new Problem(422, `report-${answer.refusal.code}`, message, [{ path: 'file', message }]);
  };
  const reportOf = async (id: string): Promise<BroughtReport> => {
    const found = await thing(store, 'reports', id);
    if (!found) throw new Problem(404, 'no-thing', 'There is no such report.');
    return found;
  };
  const few = { before: [atOnce(atOnceMost)] };

  return [
    route(
      keepBrought,
      async ({ body, who, response }) => {
        if (body.length === 0)
          throw new Problem(422, 'report-empty', 'The file is empty.', [{ path: 'file', message: 'The file is empty.' }]);
        response.status(201);
        return { sha256: await takeUpload(services, who.person, body) };
      },
      { ...few, largest },
    ),
    route(tryBrought, ({ body: { sha256, ...asked } }) => read(sha256, asked), few),
    route(
      readBroughtReport,
      async ({ in: { id } }) => {
        const { file, sampled, sample, mapping } = await reportOf(id);
        return read(file.sha256, { sampled, sample, mapping });
      },
      few,
    ),
    route(broughtFile, async ({ in: { id } }) => {
      const { file } = await reportOf(id);
      return new SentFile(file.name, await keptFile(store, file.sha256));
    }),
  ];
}
