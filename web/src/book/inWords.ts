import { showTyped, type Typed } from '@fonte/core/units';

/** A payload in a few words: its leaves, without ids that nobody reads. */
export function inWords(payload: unknown): string {
  if (payload === null || typeof payload !== 'object') return String(payload);
  if (Array.isArray(payload)) return payload.length > 6 ? `${payload.length} items` : payload.map(inWords).join('; ');
  const record = payload as Record<string, unknown>;
  if (typeof record['utc'] === 'string') return record['utc'].slice(0, 19).replace('T', ' ') + ' UTC';
  if (typeof record['text'] === 'string' && typeof record['unit'] === 'string') return showTyped(record as Typed);
  return Object.entries(record)
    .filter(([name]) => !['visit', 'entry', 'handOver', 'sha256', 'lab', 'visits', 'mapping', 'version', 'editions'].includes(name))
    .map(([name, value]) => `${name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)}: ${inWords(value)}`)
    .join(', ');
}
