import { readStyled, type DecimalMark, type NumberReading } from '@fonte/core/units';
import { useSyncExternalStore } from 'react';

const key = 'fonte.decimal';
const listeners = new Set<() => void>();

/** The mark before decimals where the device comes from. */
function markOfDevice(): DecimalMark {
  const { language } = (globalThis as { navigator?: { language?: string } }).navigator ?? {};
  const parts = new Intl.NumberFormat(language ?? 'en').formatToParts(1.5);
  return parts.find(({ type }) => type === 'decimal')?.value === ',' ? 'comma' : 'point';
}

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
