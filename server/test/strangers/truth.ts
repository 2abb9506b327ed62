import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** What a file of somebody else's holds, as its writer says: see `reports/README.md`. */
export interface TrueFile {
  file: string;
  fileMust: 'read' | 'ask' | 'refuse';
  /** The truth is of a sample of the rows. */
  resultsComplete?: boolean;
  results: TrueResult[];
}

export interface TrueResult {
  id: string;
  /** The label that a misspelt one stands for. */
  matches?: string;
  record: number;
  sheet?: string;
  parameter: string;
  fraction: 'total' | 'dissolved' | null;
  expressedAs: string | null;
  operator: '=' | '<' | '>' | 'present' | 'absent' | 'tntc';
  value: number | null;
  unit: string | null;
  mustBe: 'read' | 'ask' | 'handBack';
  alsoAccept?: (Partial<TrueResult> & { note?: string })[];
  alsoAcceptFraction?: 'total' | 'dissolved' | null;
}

const folder = join(import.meta.dirname, 'reports');

export const trueFiles = JSON.parse(readFileSync(join(folder, 'truth.json'), 'utf8')) as TrueFile[];

export const bytesOf = (file: string): Uint8Array => readFileSync(join(folder, file));
