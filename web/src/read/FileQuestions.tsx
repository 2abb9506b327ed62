import { fileQuestions, type FileQuestion, type Mapping, type ReportDraft } from '@fonte/core/read';
import { Button, Segmented } from 'antd';
import { Mark } from '../theme/Mark.tsx';
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
  fraction: {
    asks: 'Total or dissolved?',
    about: 'Some rows say what of a metal was measured, these do not. Ask the lab if you do not know.',
    label: 'These rows are',
    options: { total: 'Total', dissolved: 'Dissolved: what passed a filter' },
  },
};

/** What nobody can tell of a file from itself, asked once for all of it; then what is asked of one thing after the other. */
export function FileQuestions({ draft, answer }: { draft: ReportDraft; answer: (change: Partial<Mapping>) => void }) {
  return (
    <>
      {draft.questions.map((question) => {
        if (question.about !== 'file') return null;
        const { code, examples } = question;
        const { asks, about, label, options } = words[code];
        const { key } = fileQuestions[code];
        return (
          <div key={code} className="finding question">
            <Mark kind="question" />
            <p>
              <span className="strong">{asks}</span> {about}
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
      <ThingQuestions draft={draft} answer={answer} />
    </>
  );
}
