import { readReport, type BottlesByLabel, type Mapping, type Remembered } from '@fonte/core/read';
import { tableIn } from './formats/index.ts';

export interface ReadJob {
  bytes: Uint8Array;
  bottles: BottlesByLabel;
  mapping?: Mapping;
  remembered: readonly Remembered[];
}

/** Reads one report, in a thread of the reader's pool. */
export default async function readOne({ bytes, bottles, mapping, remembered }: ReadJob): Promise<ReturnType<typeof readReport>> {
  return readReport(await tableIn(bytes), bottles, mapping, remembered);
}
