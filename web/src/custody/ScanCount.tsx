import type { FormLine } from '@fonte/core/custody';
import { readCode } from '@fonte/core/fill';
import { useState } from 'react';
import { useRound } from '../book/useRound.ts';
import { Scan } from '../fill/index.ts';
import { Mark } from '../theme/Mark.tsx';

interface Props {
  lines: readonly FormLine[];
  scanned: readonly string[];
  onScan: (bottles: string[]) => void;
}

/** Counts bottles by scanning each: what is not on the form is said at once, and what is missing has a name. */
export function ScanCount({ lines, scanned, onScan }: Props) {
  const { round } = useRound();
  const [wrong, setWrong] = useState<string | null>(null);
  const open = lines.filter(({ bottle }) => !scanned.includes(bottle.id));
  const read = (text: string) => {
    const found = readCode(text, { id: '' }, round.bottles);
    const id = found?.is === 'other' ? found.bottle : null;
    if (id === null || !lines.some(({ bottle }) => bottle.id === id)) {
      const bottle = round.bottles.find((one) => one.id === id);
      const why = !bottle
        ? 'is no bottle of this round'
        : bottle.discarded
          ? 'was thrown away'
          : bottle.handedOver
            ? 'was handed over already'
            : 'is not on this form';
      setWrong(`${id ?? text} ${why}.`);
      return;
    }
    setWrong(scanned.includes(id) ? `${id} was scanned already.` : null);
    if (!scanned.includes(id)) onScan([...scanned, id]);
  };
  return (
    <div className="stack">
      <Scan label="Scan a bottle" onRead={read} />
      {wrong && (
        <p className="finding stop" role="alert">
          <Mark kind="stop" />
          {wrong}
        </p>
      )}
      {scanned.length > 0 && (
        <p className="small" role="status">
          {lines.length - open.length} of {lines.length} scanned
          {open.length > 0 && open.length <= 12 ? `; not yet ${open.map(({ bottle }) => bottle.id).join(', ')}` : ''}
        </p>
      )}
    </div>
  );
}
