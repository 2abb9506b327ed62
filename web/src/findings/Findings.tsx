import { shownSource } from '@fonte/core/editions';
import { gravestFirst, type Finding } from '@fonte/core/findings';
import { sayAbout } from '@fonte/core/round';
import { Mark } from '../theme/Mark.tsx';

const words = { note: 'Note', question: 'Look again', stop: 'Stop' };

/** Judgements with what to do about them: a word, a shape and a colour each. */
export function Findings({ of }: { of: readonly Finding[] }) {
  if (of.length === 0) return null;
  return (
    <ul className="plain stack" aria-live="polite">
      {gravestFirst(of).map((finding, place) => {
        const { says, advice } = sayAbout(finding);
        return (
          <li key={`${finding.code} ${finding.field ?? ''} ${place}`} className={`finding ${finding.severity}`}>
            <Mark kind={finding.severity} />
            <p>
              <span className="strong">{words[finding.severity]}.</span> {says}
            </p>
            {advice && <p className="small">{advice}</p>}
            {finding.source && <p className="small soft">{shownSource(finding.source)}</p>}
          </li>
        );
      })}
    </ul>
  );
}
