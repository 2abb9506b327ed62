import {
  flagMeaningNames,
  sayLine,
  thingQuestions,
  type FlagMeaning,
  type Mapping,
  type Question,
  type ReportDraft,
  type ThingQuestion,
} from '@fonte/core/read';
import { parameter, ParameterId, parameterIds } from '@fonte/core/parameters';
import { unit, unitIds, unitLabel, type UnitId } from '@fonte/core/units';
import { Button, Select } from 'antd';
import { Mark } from '../theme/Mark.tsx';
import { Hanging } from './Hanging.tsx';

type Thing = Extract<Question, { about: 'thing' }>;

const meanings: Record<FlagMeaning, string> = {
  below: 'Not detected, or below the number',
  above: 'More than the number',
  uncountable: 'Too many to count',
  estimated: 'An estimate',
  late: 'Measured too late, or not quite in order',
  rejected: 'The lab does not stand by it',
  nothing: 'Nothing about the number',
};

/** `W1-M iron total` as people say it. */
function measured(key: string): string {
  const [bottle = '', id = '', fraction = ''] = key.split(' ');
  const known = ParameterId.safeParse(id);
  return `${known.success ? parameter(known.data).name : id}${fraction ? `, ${fraction}` : ''} in ${bottle}`;
}

const none = 'None of ours';

/** How each sort of question is put, and how its choices are called. */
const words: Record<
  ThingQuestion,
  { asks: (thing: string) => string; choice: (value: string, draft: ReportDraft) => string; label: (thing: string) => string }
> = {
  'unknown-parameter': {
    asks: (name) => `What is “${name}”?`,
    choice: (value) => (value === '' ? 'Leave it out' : parameter(value as ParameterId).name),
    label: (name) => `${name} is`,
  },
  'unknown-unit': {
    asks: (unit) => `What is the unit “${unit}”?`,
    choice: (value) => unitLabel(value as UnitId) || 'No unit',
    label: (unit) => `Unit ${unit} is`,
  },
  'unknown-flag': {
    asks: (flag) => `What does the flag “${flag}” mean in this file?`,
    choice: (value) => meanings[value as FlagMeaning],
    label: (flag) => `Flag ${flag} means`,
  },
  'near-label': {
    asks: (name) => `“${name}” is no label of this round, and close to one. Which bottle is it?`,
    choice: (value) => value || none,
    label: (name) => `${name} is`,
  },
  'unknown-label': {
    asks: (name) => `Which bottle is “${name}”?`,
    choice: (value) => value || none,
    label: (name) => `${name} is`,
  },
  swapped: {
    asks: (name) => `The time beside ${name} is another sample’s. Are the two exchanged? Ask the lab. Which bottle are these results of?`,
    choice: (value) => value,
    label: (name) => `Results under ${name} are of`,
  },
  'two-results': {
    asks: (key) => `${measured(key)} is reported twice, and differently. Which line holds?`,
    choice: (line, { parts, unread, apart }) => {
      const row = [...unread, ...apart].find((one) => one.line === Number(line));
      return `${sayLine(parts, Number(line))}${row ? `: ${row.cell}` : ''}`;
    },
    label: (key) => `${measured(key)} is taken from`,
  },
};

/** Where the choices are the same for every file. */
const allChoices: Partial<Record<ThingQuestion, readonly string[]>> = {
  'unknown-flag': flagMeaningNames,
  'unknown-parameter': ['', ...[...parameterIds].sort((a, b) => parameter(a).name.localeCompare(parameter(b).name))],
  'unknown-unit': [...new Set(parameterIds.map((id) => parameter(id).unit))].flatMap((own) =>
    unitIds.filter((id) => unit(id).dimension === unit(own).dimension),
  ),
};

/** What is asked of one flag, one name or one result after the other. An answer may be taken back. */
export function ThingQuestions({ draft, answer }: { draft: ReportDraft; answer: (change: Partial<Mapping>) => void }) {
  const things = draft.questions.filter((question): question is Thing => question.about === 'thing');
  const { mapping } = draft;
  if (things.length === 0) return null;
  const put = ({ code, thing }: Thing, value: string | undefined) => {
    const { key } = thingQuestions[code];
    const { [thing]: _, ...others } = mapping[key] ?? {};
    answer({ [key]: value === undefined ? others : { ...others, [thing]: value } });
  };
  return (
    <div className="finding question">
      <Mark kind="question" />
      <ul className="plain stack">
        {things.map((one) => {
          const { asks, choice, label } = words[one.code];
          const said = mapping[thingQuestions[one.code].key]?.[one.thing];
          const choices = allChoices[one.code] ?? one.choices;
          return (
            <li key={`${one.code} ${one.thing}`} className="row">
              <span>
                <span className="strong">{asks(one.thing)}</span> {one.rows > 0 && <Hanging rows={one.rows} />}
                {one.says !== '' && <span className="soft"> The file says: “{one.says}”.</span>}
              </span>
              <Select
                aria-label={label(one.thing)}
                style={{ minWidth: 220 }}
                value={said ?? null}
                placeholder="Choose"
                showSearch={{ optionFilterProp: 'label' }}
                onChange={(value: string) => put(one, value)}
                options={[...new Set(choices)].map((value) => ({ value, label: choice(value, draft) }))}
                popupMatchSelectWidth={false}
              />
              {said !== undefined && (
                <Button type="text" onClick={() => put(one, undefined)}>
                  Take it back
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
