import type { Finding } from '../../findings/index.ts';
import { hour } from '../../time/index.ts';
import { cold } from '../entries.ts';
import { onTheWay, question, stop, type BottleCheck, type BoxNow } from './situation.ts';
import type { FormLine } from '../line.ts';

/** How warm a lab takes a bottle: by its rule where it says so, else by the cold that it wants; null where it says neither, or where no cold is needed. */
export const bandOf = ({ bottle: { rule, card }, lab }: Pick<FormLine, 'bottle' | 'lab'>): { least: number; most: number } | null =>
  lab?.temperature[rule] ?? lab?.temperature[card.temperature] ?? null;

function warm({ bottle, ...line }: FormLine, box: BoxNow, now: number): Finding[] {
  const band = bandOf({ bottle, lab: line.lab });
  if (!band || box.temperature === null || (box.temperature <= band.most && box.temperature >= band.least)) return [];
  const data = { ...band, is: box.temperature, box: box.name };
  if (box.temperature < band.least) return [stop('too-cold', bottle.id, data)];
  const within = line.lab?.coolingWithin;
  const isFresh = within !== undefined && bottle.filledAt !== null && now - bottle.filledAt <= within * hour;
  return isFresh && box.cooling ? [question('cooling-begun', bottle.id, { ...data, within })] : [stop('too-warm', bottle.id, data)];
}

/** How cold the box is, and what keeps it so. */
export const coldChecks: readonly BottleCheck[] = [
  {
    at: onTheWay,
    of: (line, { boxes, now }) => {
      const box = boxes.get(line.box);
      return box ? warm(line, box, now) : [];
    },
  },
  {
    at: onTheWay,
    of: ({ bottle, box: id }, { boxes }) => {
      const box = boxes.get(id);
      if (!box?.cold) return [];
      const { harms, against, name } = cold(box.cold);
      const data = { cold: name.toLowerCase(), box: box.name };
      return [
        ...(harms.includes(bottle.card.temperature) ? [question('cold-harms', bottle.id, data)] : []),
        ...((bottle.card.gear ?? []).some((one) => against.includes(one)) ? [stop('cold-against', bottle.id, data)] : []),
      ];
    },
  },
];
