import { readStyled, type DecimalMark, type NumberReading } from '@fonte/core/units';
import { useSyncExternalStore } from 'react';

const key = 'fonte.decimal';
const listeners = new Set<() => void>();

const marks = new Map<string, DecimalMark>();

/** The mark before decimals in a language; kept, as every field asks with every key. */
function markIn(language: string): DecimalMark {
  const known = marks.get(language);
  if (known) return known;
  const parts = new Intl.NumberFormat(language).formatToParts(1.5);
  const mark = parts.find(({ type }) => type === 'decimal')?.value === ',' ? 'comma' : 'point';
  marks.set(language, mark);
  return mark;
}

/** The mark before decimals where the device comes from. */
const markOfDevice = (): DecimalMark => markIn((globalThis as { navigator?: { language?: string } }).navigator?.language ?? 'en');

/** The mark before decimals: as a person said in the settings, else as the device has it. */
export function decimalMark(): DecimalMark {
  const said = typeof localStorage === 'undefined' ? null : localStorage.getItem(key);
  if (said === 'point' || said === 'comma') return said;
  // As it was kept at first.
  return said === '.' ? 'point' : said === ',' ? 'comma' : markOfDevice();
}

/** Reads what is typed into a field. What could be thousands or decimals is asked about there. */
export const readField = (text: string): NumberReading => readStyled(text, { decimals: decimalMark(), isSaid: false });

export function useDecimalMark() {
  const mark = useSyncExternalStore((changed) => {
    listeners.add(changed);
    return () => listeners.delete(changed);
  }, decimalMark);
  const chooseMark = (chosen: DecimalMark) => {
    localStorage.setItem(key, chosen);
    for (const changed of listeners) changed();
  };
  return { mark, chooseMark };
}
