import { gravestFirst, type Finding } from '@fonte/core/findings';
import { Mark } from '../theme/Mark.tsx';

const words = { note: 'Note', question: 'Look again', stop: 'Stop' };

/** Judgements with what to do about them: a word, a shape and a colour each. */
export function Findings({ of }: { of: readonly Finding[] }) {
  if (of.length === 0) return null;
  return (
    <ul className="plain stack" aria-live="polite">
      {gravestFirst(of).map((finding) => (
        <li key={`${finding.code} ${finding.about ?? ''}`} className={`finding ${finding.severity}`}>
          <Mark kind={finding.severity} />
          <p>
            <span className="strong">{words[finding.severity]}.</span> {finding.message}
          </p>
          {finding.advice && <p className="small">{finding.advice}</p>}
          {finding.source && <p className="small soft">{finding.source}</p>}
        </li>
      ))}
    </ul>
  );
}
