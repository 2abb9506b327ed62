import { parentPort } from 'node:worker_threads';
import { readReport, type BottlesByLabel, type Mapping } from '@fonte/core/read';
import { tableIn } from './formats/index.ts';

export interface ReadJob {
  bytes: Uint8Array;
  bottles: BottlesByLabel;
  mapping?: Mapping;
}

parentPort?.once('message', ({ bytes, bottles, mapping }: ReadJob) => {
  tableIn(bytes).then(
    (table) => parentPort?.postMessage({ read: readReport(table, bottles, mapping) }),
    (error: Error) => parentPort?.postMessage({ error: error.name }),
  );
});
