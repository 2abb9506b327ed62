import { handedOver, labsIn, type FormLine, type Party } from '@fonte/core/custody';
import { formLines, type RoundState } from '@fonte/core/round';
import { Link } from 'react-router';
import { Proven } from '../access/index.ts';
import { useMay } from '../session/May.tsx';
import { Empty } from '../feedback/Feedback.tsx';
import { useRound } from '../book/useRound.ts';
import { BoxRecords } from './BoxRecords.tsx';
import './custody.css';
import { HandOverForm } from './HandOverForm.tsx';
import { Handed } from './Handed.tsx';

/** What somebody has in hand: those who took the bottles, a courier, a place that is locked. */
interface InHand {
  key: string;
  holder: Party | null;
  lines: FormLine[];
}

function inHands(round: RoundState): InHand[] {
  const found = new Map<string, InHand>();
  for (const line of formLines(round)) {
    const party = round.bottles.find(({ id }) => id === line.bottle.id)?.holder?.party ?? null;
    const key = party ? `${party.as} ${party.name}` : '';
    const hand = found.get(key) ?? { key, holder: party, lines: [] };
    found.set(key, { ...hand, lines: [...hand.lines, line] });
  }
  // What one has oneself comes first.
  return [...found.values()].sort((a, b) => Number(a.holder !== null) - Number(b.holder !== null));
}

/** The count, how cold, what the lab would refuse and why, the signatures; below it every change of hands so far. */
export function CustodyPage() {
  const { id, round } = useRound();
  const hands = inHands(round);
  const lines = hands.flatMap((hand) => hand.lines);
  const may = useMay(handedOver);
  const labs = labsIn(lines);
  const forms = hands.map(({ key, holder, lines: own }) => (
    <section key={key} className="stack" aria-label={holder ? `With ${holder.name}` : 'With us'}>
      {(hands.length > 1 || holder) && <h2>{holder ? `With ${holder.name}: ${own.length}` : `With us: ${own.length}`}</h2>}
      {/* Once one lab has its bottles, the form begins anew with what is left. */}
      <HandOverForm key={[...new Set(own.map(({ lab }) => lab?.id))].sort().join()} holder={holder} lines={own} />
    </section>
  ));
  return (
    <div className="stack-wide">
      <h1>{lines.length > 0 ? `${lines.length} bottle${lines.length === 1 ? '' : 's'} to hand over` : 'Hand-over'}</h1>
      {labs
        .filter(({ paper }) => paper)
        .map(({ id: lab, name, paper }) => (
          <p key={lab}>
            <span className="strong">{name} wants on paper:</span> {paper}
          </p>
        ))}
      {(round.cultures.length > 0 || lines.some(({ bottle }) => bottle.card.parameters.includes('coliforms'))) && (
        <p>
          <Link to={`/rounds/${id}/culture`}>Bacteria on the own bench</Link>
        </p>
      )}
      {lines.length > 0 && may && <Proven why="before you sign a hand-over">{forms}</Proven>}
      {lines.length > 0 && !may && forms}
      {lines.length === 0 && round.custody.legs.length === 0 && (
        <Empty title="Nothing is in the cooler yet">
          <p>Bottles stand here once they are filled.</p>
        </Empty>
      )}
      <BoxRecords />
      {[...round.custody.legs].reverse().map((leg) => (
        <Handed key={leg.entry} handOver={leg} />
      ))}
    </div>
  );
}
