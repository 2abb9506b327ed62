import { struck, type Entry } from '../book/index.ts';
import { inPresentVersion } from './fold.ts';
import { kindOf } from './kinds.ts';

/**
 * The hashes of the files that an entry names, or what it puts in another's place: they are sent before it, by whatever device, and the
 * server takes it with them alone.
 * @example filesNamed({ kind: 'picture-taken', version: 1, payload: { sha256: '9f86d081' } }) // ['9f86d081']
 */
export function filesNamed(entry: Entry): readonly string[] {
  if (struck.is(entry)) {
    const { kind, instead } = entry.payload;
    const other = instead?.payload === undefined ? null : kindOf(kind);
    return other ? other.files(instead!.payload as never) : [];
  }
  return kindOf(entry.kind)?.files(inPresentVersion(entry).payload as never) ?? [];
}
