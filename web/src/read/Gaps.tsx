import { parameter } from '@fonte/core/parameters';
import { resultsGivenUp, resultTold, rowsSettled, sayLine, sayRow, sayTold, type RoundReport } from '@fonte/core/read';
import type { OpenBottle, VerdictGaps } from '@fonte/core/round';
import { unitLabel } from '@fonte/core/units';
import { Link } from 'react-router';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { FormDialog } from '../form/FormDialog.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { GiveUpResults, SettleRows } from './gapForms.tsx';
import { Told } from './Told.tsx';

/** What a verdict does not know yet: results that are out, rows that nobody understood, and what was told before the report. */
export function Gaps({ gaps: { pending, reported, asked } }: { gaps: VerdictGaps }) {
  const { round } = useRound();
  const open = round.reports.filter((report) => report.read && !report.putAside && report.read.unread > 0);
  if (pending.length + open.length + round.told.length + round.without.length === 0) return null;
  return (
    <section className="stack">
      <h2>
        {reported} of {asked} results are reported
      </h2>
      {pending.length > 0 && (
        <ul className="plain stack">
          {pending.map((one) => (
            <Pending key={one.bottle} bottle={one} />
          ))}
        </ul>
      )}
      {round.told.map(({ entry, bottle, parameter: id, form, value, by, at }) => (
        <p key={entry} className="small">
          {bottle}: {parameter(id).name} {sayTold({ form, value })}
          {value === null ? '' : ` ${unitLabel(parameter(id).unit)}`}. Told by {by}, {showMoment(at, round.plan.zone)}.{' '}
          <Correct entry={entry} kind={resultTold} what={`what was told of ${bottle}`} />
        </p>
      ))}
      {round.without.map(({ entry, bottle, parameters, reason }) => (
        <p key={entry} className="small">
          {bottle}: {parameters.map((id) => parameter(id).name).join(', ')} will not come: {reason}{' '}
          <Correct entry={entry} kind={resultsGivenUp} what={`results of ${bottle}`} label="Take it back" />
        </p>
      ))}
      {open.map((report) => (
        <Rows key={report.sha256} report={report} />
      ))}
    </section>
  );
}

function Pending({ bottle: { bottle, pointName, parameters } }: { bottle: OpenBottle }) {
  const names = parameters.map((id) => parameter(id).name);
  return (
    <li className="row between">
      <span className="word tone-open">
        <Mark kind="open" />
        <span>
          {pointName}, {bottle}: {names.length > 4 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', ')}{' '}
          pending
        </span>
      </span>
      <span className="row">
        <FormDialog open="By telephone" title={`A result of ${bottle} by telephone`} aria-label={`By telephone: a result of ${bottle}`}>
          {(close) => <Told of={[{ bottle, pointName, parameters }]} close={close} />}
        </FormDialog>
        <FormDialog
          type="text"
          open="Will not come"
          title={`Results of ${bottle} that will not come`}
          aria-label={`Will not come: results of ${bottle}`}
        >
          {(close) => <GiveUpResults bottle={bottle} parameters={parameters} close={close} />}
        </FormDialog>
      </span>
    </li>
  );
}

/** So many rows are shown here; all of them stand on the page of the report. */
const shown = 10;

/** The rows of a report that nobody understood, until a person says why they do not matter. */
export function Rows({ report: { sha256, name, read, settled }, isHere = false }: { report: RoundReport; isHere?: boolean }) {
  const { id } = useRound();
  const { unread, rows } = read!;
  const count = unread === 1 ? '1 row of it was' : `${unread} rows of it were`;
  return (
    <div className={`finding ${settled ? 'note' : 'question'}`}>
      <Mark kind={settled ? 'note' : 'question'} />
      <div className="stack">
        <p>
          <span className="strong">
            {name}: {count} not understood.
          </span>{' '}
          {settled ? `${settled.reason} ` : 'What is not understood is not in this verdict. '}
          {!isHere && <Link to={`/rounds/${id}/report`}>To the report</Link>}
        </p>
        {!settled && rows.length > 0 && (
          <ul className="small">
            {rows.slice(0, shown).map((row) => (
              <li key={`${row.line} ${row.column} ${row.code}`}>
                {sayLine(read!.parts, row.line)}: “{row.cell}”. {sayRow(read!.parts, row)}
              </li>
            ))}
          </ul>
        )}
        {settled ? (
          <div>
            <Correct entry={settled.entry} kind={rowsSettled} what={`rows of ${name}`} label="Take it back" />
          </div>
        ) : (
          <div>
            <FormDialog open="They do not matter" title={`Rows of ${name} that were not understood`}>
              {(close) => <SettleRows sha256={sha256} close={close} />}
            </FormDialog>
          </div>
        )}
      </div>
    </div>
  );
}
