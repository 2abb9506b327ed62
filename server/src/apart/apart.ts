import { rmSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** What this server starts in a process of its own. */
export type Program = 'read-child' | 'verify-child' | 'backup';

const isSource = import.meta.url.endsWith('.ts');
const at = (file: string) => fileURLToPath(new URL(file, import.meta.url));

/** This server, as what its programs are bundled into is named. */
const server = `${process.pid}-${Math.round(performance.timeOrigin)}`;
let isUsed = false;

/**
 * Where a program lies, and the arguments that come before its own: beside the server's bundle; or, where the server runs from its source,
 * what bundles it first.
 */
export function programOf(name: Program): { file: string; before: string[] } {
  if (!isSource) return { file: at(`./${name}.js`), before: [] };
  if (!isUsed) process.once('exit', () => rmSync(at(`../../.cache/programs/${server}`), { recursive: true, force: true }));
  isUsed = true;
  return { file: at('./starter.mjs'), before: [name, server] };
}
