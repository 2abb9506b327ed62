import { fileQuestions, type FileQuestion, type Mapping, type ReportDraft } from '@fonte/core/read';
import { Segmented } from 'antd';
import { Mark } from '../theme/Mark.tsx';

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
  'thousand-or-decimal': {
    asks: 'Which mark stands before decimals?',
    about:
      'Some numbers of this file can be read in two ways: a mark before three digits may part thousands. Ask the lab if you do not know.',
    label: 'Decimals stand after',
    options: { point: 'A point: 1,234 is a thousand', comma: 'A comma: 1.234 is a thousand' },
  },
};

/** What nobody can tell of a file from itself, asked once for all of it. */
export function FileQuestions({ draft, answer }: { draft: ReportDraft; answer: (change: Partial<Mapping>) => void }) {
  return draft.questions.map(({ code, examples }) => {
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
          />
        </p>
      </div>
    );
  });
}
