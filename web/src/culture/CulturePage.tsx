import {
  cultureBegun,
  cultureDropped,
  cultureMethod,
  cultureRead,
  doubtsOf,
  isCounted,
  sayCultureDoubt,
  type BottleCount,
  type Culture,
} from '@fonte/core/culture';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { Empty } from '../feedback/Feedback.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { May } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Countdown } from '../time/Countdown.tsx';
import { showMoment } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { BeginCulture } from './BeginCulture.tsx';
import { CountForm } from './CountForm.tsx';
import { Counts } from './Counts.tsx';
import './culture.css';

/** Bacteria that are grown and counted by those who took them. */
export function CulturePage() {
  const { id, round } = useRound();
  const { cultures, bottles } = round;
  const toGrow = bottles.filter(({ stage, lost, card }) => stage === 'filled' && !lost && card.parameters.includes('coliforms'));
  return (
    <div className="stack-wide">
      <div>
        <h1>Own bench</h1>
        <p className="soft">
          Bacteria grown and counted here. They tell how the water is; for compliance they count only where your authority says so. Used
          media go into the autoclave or into bleach, never into the bin. Local rules come first.
        </p>
      </div>
      {cultures.toReversed().map((culture) => (
        <One key={culture.id} culture={culture} />
      ))}
      {toGrow.length > 0 && (
        <May do={cultureBegun}>
          <section className="panel stack">
            <h2>Into the incubator</h2>
            <BeginCulture bottles={toGrow} />
          </section>
        </May>
      )}
      {toGrow.length === 0 && cultures.length === 0 && (
        <Empty title="No bottle of bacteria is at hand">
          <p>Bottles stand here once they are filled, and until they are handed over.</p>
          <Link to={`/rounds/${id}`}>To the round</Link>
        </Empty>
      )}
    </div>
  );
}

/** A batch: its clock while something is to be counted, and every bottle with what came of it. */
function One({ culture }: { culture: Culture }) {
  const { round } = useRound();
  const time = useNow();
  const { name, least, most } = cultureMethod(culture.method);
  const { bottles, counts, hasBlank, hasControl, dropped } = culture;
  const isOpen = !isCounted(culture);
  return (
    <section className={`panel stack${isOpen ? ' growing' : ''}`} aria-label={name}>
      <div className="row between">
        <h2>{name}</h2>
        <span className="soft small">
          In since {showMoment(culture.at, round.plan.zone)}, medium {culture.lot}
        </span>
      </div>
      {dropped !== null && <p className="finding question">Given up: {dropped}</p>}
      {isOpen && <Countdown big from={culture.at} least={least} most={most} now={time} />}
      {dropped === null && (
        <ul className="plain counts">
          {bottles.map((bottle) => (
            <Line key={bottle} culture={culture} what={{ is: 'bottle', bottle }} label={bottle}>
              {counts
                .filter((one) => one.bottle === bottle)
                .map((count) => (
                  <Counted key={count.entry} culture={culture} count={count} />
                ))}
            </Line>
          ))}
          {hasBlank && (
            <Line culture={culture} what={{ is: 'blank' }} label="Blank">
              {culture.blank && <Grown of={culture.blank} isGood={!culture.blank.grew} what="the blank" />}
            </Line>
          )}
          {hasControl && (
            <Line culture={culture} what={{ is: 'control' }} label="Positive control">
              {culture.control && <Grown of={culture.control} isGood={culture.control.grew} what="the control" />}
            </Line>
          )}
        </ul>
      )}
      {isOpen && (
        <div>
          <FormDialog type="text" by={cultureDropped.by} open="Give this culture up" title="Give the culture up">
            {(close) => <DropForm culture={culture} close={close} />}
          </FormDialog>
        </div>
      )}
    </section>
  );
}

interface LineProps {
  culture: Culture;
  what: Parameters<typeof CountForm>[0]['what'];
  label: string;
  children: React.ReactNode;
}

/** A bottle, blank or control: counted, or to be counted. */
function Line({ culture, what, label, children }: LineProps) {
  const [isOpen, setOpen] = useState(false);
  const hasCount = Array.isArray(children) ? children.length > 0 : Boolean(children);
  return (
    <li>
      <div className="row between">
        <span className="strong">{label}</span>
        {!hasCount && !isOpen && (
          <May do={cultureRead}>
            <Button size="large" onClick={() => setOpen(true)} aria-label={`Count ${label}`}>
              Count
            </Button>
          </May>
        )}
      </div>
      {hasCount ? children : isOpen && <CountForm culture={culture} what={what} close={() => setOpen(false)} />}
    </li>
  );
}

function Counted({ culture, count }: { culture: Culture; count: BottleCount }) {
  const { round } = useRound();
  return (
    <>
      <Counts of={count} />
      <p className="small soft">
        Counted {showMoment(count.at, round.plan.zone)}. {count.kept ? `Kept: ${count.kept}` : ''}
      </p>
      {doubtsOf(culture, count).map((doubt) => (
        <p key={doubt.code} className="word tone-question">
          <Mark kind="question" size={15} />
          {sayCultureDoubt(doubt)}
        </p>
      ))}
      <div>
        <Correct entry={count.entry} kind={cultureRead} what={`the count of ${count.bottle}`} />
      </div>
    </>
  );
}

function Grown({ of, isGood, what }: { of: NonNullable<Culture['blank']>; isGood: boolean; what: string }) {
  const kind = isGood ? 'good' : 'stop';
  return (
    <div className="row">
      <span className={`word tone-${kind}`}>
        <Mark kind={kind} />
        {of.grew ? 'It grew' : 'It did not grow'}
      </span>
      <Correct entry={of.entry} kind={cultureRead} what={what} />
    </div>
  );
}

function DropForm({ culture, close }: { culture: Culture; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm({
    keep: `culturedrop.${culture.id}`,
    initial: { reason: '' },
    schema: cultureDropped.payload,
    read: ({ reason }) => ({ value: { culture: culture.id, reason }, problems: [] }),
    write: async (payload, { id, kept }) => {
      await append(cultureDropped, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Give it up" tone="danger" enter="nothing" className="stack" leave={{ says: 'Back', by: close }}>
      <Field name="reason" placeholder="the current failed, a tray leaked …" />
    </EntryForm>
  );
}
