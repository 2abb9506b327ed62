import { fileQuestions, type ConfirmCode, type FileQuestion, type Mapping, type ReportDraft } from '@fonte/core/read';
import { Button, Segmented } from 'antd';
import { Mark } from '../theme/Mark.tsx';
import { Hanging } from './Hanging.tsx';
import { ThingQuestions } from './ThingQuestions.tsx';

interface Words {
  asks: string;
  about: string;
  label: string;
  options: Readonly<Record<string, string>>;
}

const words: Record<FileQuestion, Words> = {
  'nitrogen-as': {
    asks: 'Nitrogen is given how?',
    about: 'The file does not say. 10 mg/L as N is 44 mg/L as NO₃. Ask the lab if you do not know.',
    label: 'Nitrogen is given',
    options: { N: 'As nitrogen (N)', ion: 'As the ion (NO₃, NO₂, NH₄)' },
  },
  'phosphorus-as': {
    asks: 'Phosphorus is given how?',
    about: 'The file does not say. 1 mg/L as P is 3.1 mg/L as PO₄. Ask the lab if you do not know.',
    label: 'Phosphorus is given',
    options: { P: 'As phosphorus (P)', ion: 'As phosphate (PO₄)' },
  },
  'silica-as': {
    asks: 'Silica is given how?',
    about: 'The file does not say. 10 mg/L as Si is 21 mg/L as SiO₂. Ask the lab if you do not know.',
    label: 'Silica is given',
    options: { Si: 'As silicon (Si)', ion: 'As silica (SiO₂)' },
  },
  'conductivity-at': {
    asks: 'Conductivity is given at which temperature?',
    about: 'The file does not say. At 20 °C it is about a tenth less than at 25 °C. Ask the lab if you do not know.',
    label: 'Conductivity is given',
    options: { '20': 'At 20 °C', '25': 'At 25 °C' },
  },
  'thousand-or-decimal': {
    asks: 'Which mark stands before decimals?',
    about:
      'Some numbers of this file can be read in two ways: a mark before three digits may part thousands. Ask the lab if you do not know.',
    label: 'Decimals stand after',
    options: { point: 'A point: 1,234 is a thousand', comma: 'A comma: 1.234 is a thousand' },
  },
  ppt: {
    asks: 'What does ppt mean here?',
    about: 'Parts in a thousand on a sheet of salinity, in a million million on one of metals. Ask the lab if you do not know.',
    label: 'ppt is',
    options: { trillion: 'ng/L', thousand: 'g/L' },
  },
  'hardness-as': {
    asks: 'Hardness is given how?',
    about: 'The file does not say. 10 mg/L as CaO is 18 mg/L as CaCO₃. Ask the lab if you do not know.',
    label: 'Hardness is given',
    options: { CaCO3: 'As calcium carbonate (CaCO₃)', CaO: 'As calcium oxide (CaO)', Ca: 'As calcium (Ca)' },
  },
  'alkalinity-as': {
    asks: 'Alkalinity is given how?',
    about: 'The file does not say. 100 mg/L as HCO₃ is 82 mg/L as CaCO₃. Ask the lab if you do not know.',
    label: 'Alkalinity is given',
    options: { CaCO3: 'As calcium carbonate (CaCO₃)', HCO3: 'As bicarbonate (HCO₃)' },
  },
  'fraction-of-bottle': {
    asks: 'Total or dissolved: who is right?',
    about: 'The report calls metals of a filtered bottle total, or those of an unfiltered one dissolved. Ask the lab which it analysed.',
    label: 'These rows are',
    options: { report: 'As the report says', bottle: 'As the bottle was filled' },
  },
  fraction: {
    asks: 'Total or dissolved?',
    about: 'Some rows say what of a metal was measured, these do not. Ask the lab if you do not know.',
    label: 'These rows are',
    options: { total: 'Total', dissolved: 'Dissolved: what passed a filter' },
  },
};

const confirmWords: Record<ConfirmCode, string> = {
  'under-own-limit': 'Numbers below the lab’s own limit, with nothing that says why. Are they right?',
  'bound-under-limit': '“Less than” a number that is itself below the reporting limit. Is the number right?',
  'unit-slip': 'Numbers far from what is usual, with a limit in another unit or a thousand times smaller. Is their unit right?',
  'outside-interval': 'Numbers that lie outside of the interval that stands beside them. Are they right?',
  'part-over-whole': 'More of a part than of the whole, as dissolved over total. Are both right?',
  'other-decimal': 'Numbers with another decimal mark than the rest of the file. Is the mark before decimals?',
  'two-columns': 'Two columns of results say different things. Does the one that is chosen above hold?',
  'point-contradicts': 'Rows that name another point than their label. Is the label right?',
  'lab-number-twice': 'One number of the lab stands for two samples. Are the labels right?',
  'no-client': 'Rows that name no client in a file of several. Are they yours?',
};

/** Rows that contradict themselves, by what is wrong with them: taken as they are printed, or left out. */
function Confirm({ draft, answer }: { draft: ReportDraft; answer: (change: Partial<Mapping>) => void }) {
  const { confirmed = {} } = draft.mapping;
  return draft.questions.map((question) => {
    if (question.about !== 'rows') return null;
    const { code, examples, rows } = question;
    const { [code]: said, ...others } = confirmed;
    return (
      <div key={code} className="finding question">
        <Mark kind="question" />
        <p>
          <span className="strong">{confirmWords[code]}</span> {rows > 0 && <Hanging rows={rows} />} Ask the lab if you do not know.
        </p>
        {examples.length > 0 && <p className="small">{examples.join('; ')}</p>}
        <p>
          <Segmented
            aria-label={confirmWords[code]}
            value={said ?? ''}
            onChange={(value) => answer({ confirmed: { ...others, [code]: value as 'printed' | 'out' } })}
            options={[
              { value: 'printed', label: 'Yes: as printed' },
              { value: 'out', label: 'No: leave them out' },
            ]}
          />{' '}
          {said !== undefined && (
            <Button type="text" onClick={() => answer({ confirmed: others })}>
              Take it back
            </Button>
          )}
        </p>
      </div>
    );
  });
}

/** What nobody can tell of a file from itself, asked once for all of it; then what is asked of one thing after the other. */
export function FileQuestions({ draft, answer }: { draft: ReportDraft; answer: (change: Partial<Mapping>) => void }) {
  return (
    <>
      {draft.questions.map((question) => {
        if (question.about !== 'file') return null;
        const { code, examples, rows } = question;
        const { asks, about, label, options } = words[code];
        const { key } = fileQuestions[code];
        return (
          <div key={code} className="finding question">
            <Mark kind="question" />
            <p>
              <span className="strong">{asks}</span> {rows > 0 && <Hanging rows={rows} />} {about}
            </p>
            {examples.length > 0 && <p className="small">For example: {examples.map((one) => `“${one}”`).join(', ')}</p>}
            <p>
              <Segmented
                aria-label={label}
                value={draft.mapping[key] ?? ''}
                onChange={(value) => answer({ [key]: value })}
                options={Object.entries(options).map(([value, name]) => ({ value, label: name }))}
              />{' '}
              {draft.mapping[key] !== undefined && (
                <Button type="text" onClick={() => answer({ [key]: undefined })}>
                  Take it back
                </Button>
              )}
            </p>
          </div>
        );
      })}
      <Confirm draft={draft} answer={answer} />
      <ThingQuestions draft={draft} answer={answer} />
    </>
  );
}
