import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDownOutlined, ArrowUpOutlined, HolderOutlined } from '@ant-design/icons';
import { pieceNames, type DayTold } from '@fonte/core/day';
import type { KnownDrive } from '@fonte/core/plan';
import { showMinutes, wallTime } from '@fonte/core/time';
import { Button } from 'antd';
import { Fragment } from 'react';
import { Drive } from './Drive.tsx';
import { showNear } from '../time/show.ts';

interface Props {
  told: DayTold;
  zone: string;
  /** The doors where bottles are handed over, by name: at the end, and on the way. */
  doors: { end: string; midway: string };
  /** Moves a stop to another place in the order. */
  move: (from: number, to: number) => void;
  /** Takes what somebody knows of a drive. */
  drive: (ends: KnownDrive['ends'], lasts: number | null) => void;
}

/** The day as a list: when one is where, when one must be there at the latest, and what the time goes into. A stop is dragged, or moved by its arrows. */
export function StopList({ told, zone, doors, move, drive }: Props) {
  const { day, problem, places } = told;
  const ids = day.order.map((stop) => problem.stops[stop]!.id);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) move(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  const [start, end, door] = [0, 1, 2].map((more) => problem.stops.length + more) as [number, number, number];
  const ways = (from: number, to: number, about: string) => ({
    lasts: Math.max(0, problem.travel[from]![to]!),
    about,
    // Within one place nobody drives, and of the same two places nobody can say two things.
    say: places[from] === places[to] ? undefined : (lasts: number | null) => drive([places[from]!, places[to]!], lasts),
  });
  const nameOf = (row: number) => problem.stops[row]?.name ?? (row === start ? 'the start' : row === end ? doors.end : doors.midway);
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className="day-stops">
          {day.stops.map(({ stop }, place) => {
            const isAfterMidway = day.midway?.after === place;
            const before = place === 0 ? start : isAfterMidway ? door : day.stops[place - 1]!.stop;
            return (
              <Fragment key={ids[place]}>
                <Stop
                  told={told}
                  zone={zone}
                  place={place}
                  move={move}
                  way={ways(before, stop, `from ${nameOf(before)} to ${nameOf(stop)}`)}
                />
                {day.lunch?.after === place + 1 && <Between zone={zone} from={day.lunch.begins} to={day.lunch.ends} says="Pause" />}
                {day.midway?.after === place + 1 && (
                  <Between
                    zone={zone}
                    from={day.midway.handOver}
                    says={`Hand over: ${doors.midway}${problem.midway?.reaches === undefined ? '' : `, at the lab ${showNear(problem.midway.reaches, day.midway.handOver, zone)}`}`}
                  >
                    <Drive {...ways(stop, door, `from ${nameOf(stop)} to ${doors.midway}`)} />
                  </Between>
                )}
              </Fragment>
            );
          })}
          <Between zone={zone} from={day.handOver} says={doors.end}>
            <Drive {...ways(day.stops.at(-1)?.stop ?? start, end, `from ${nameOf(day.stops.at(-1)?.stop ?? start)} to ${doors.end}`)} />
          </Between>
        </ol>
      </SortableContext>
    </DndContext>
  );
}

/** What comes between the stops. */
function Between({
  zone,
  from,
  to,
  says,
  children,
}: {
  zone: string;
  from: number;
  to?: number;
  says: string;
  children?: React.ReactNode;
}) {
  return (
    <li className="is-pause">
      <div className="day-when">
        <span>{wallTime(from, zone).time}</span>
        {to !== undefined && <span className="soft">to {wallTime(to, zone).time}</span>}
      </div>
      <div>
        <p>{says}</p>
        <p className="soft small">{children}</p>
      </div>
    </li>
  );
}

interface StopProps extends Pick<Props, 'told' | 'zone' | 'move'> {
  place: number;
  way: Parameters<typeof Drive>[0];
}

function Stop({ told, zone, place, move, way }: StopProps) {
  const { day, problem, works, latestHere, slack, faults } = told;
  const { stop, arrives, begins, ends } = day.stops[place]!;
  const { id, name, bottles } = problem.stops[stop]!;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id });
  const time = (moment: number) => wallTime(moment, zone).time;
  const { unusedFor, pieces } = works[stop]!;
  const least = Math.min(...bottles.map((bottle) => slack.get(bottle.id) ?? Infinity));
  const isBroken = faults.some((fault) => 'stop' in fault && fault.stop === stop);
  const shared = place === 0 ? 0 : -Math.min(0, problem.travel[day.stops[place - 1]!.stop]![stop]!);
  return (
    <li
      ref={setNodeRef}
      className={[isBroken ? 'is-broken' : '', isDragging ? 'is-dragged' : ''].join(' ').trim()}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <div className="day-when">
        <span className="strong">{time(begins)}</span>
        <span className="soft">to {time(ends)}</span>
      </div>
      <div className="day-what">
        <h3>{name}</h3>
        <p className="soft small">
          <Drive {...way} />
          {shared > 0 ? `Its clocks run together with those of the tap before: ${showMinutes(shared)} less. ` : ''}
          {begins - arrives >= 60_000 ? `There at ${time(arrives)}, then a wait of ${showMinutes(begins - arrives)}. ` : ''}
          {unusedFor > 0 ? `Nobody uses this outlet from ${time(begins - unusedFor)} on. ` : ''}
          {latestHere ? `Begin at the latest ${time(latestHere[place]!)}. ` : ''}
          {faults.length === 0 && least < Infinity ? `Its bottles could wait ${showMinutes(least, 'left')} more.` : ''}
        </p>
        <details>
          <summary>{showMinutes(ends - begins)} there</summary>
          <ul className="small">
            {pieces.map(({ code, lasts, about }, piece) => (
              <li key={`${piece} ${code}`}>
                {about ?? pieceNames[code]}: {showMinutes(lasts)}
              </li>
            ))}
          </ul>
        </details>
      </div>
      <div className="day-move">
        <Button
          ref={setActivatorNodeRef}
          type="text"
          icon={<HolderOutlined />}
          className="day-handle"
          {...attributes}
          {...listeners}
          tabIndex={-1}
          aria-hidden
        />
        <Button icon={<ArrowUpOutlined />} disabled={place === 0} onClick={() => move(place, place - 1)} aria-label={`${name} earlier`} />
        <Button
          icon={<ArrowDownOutlined />}
          disabled={place === day.stops.length - 1}
          onClick={() => move(place, place + 1)}
          aria-label={`${name} later`}
        />
      </div>
    </li>
  );
}
