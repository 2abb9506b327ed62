import { ArrowDownOutlined, ArrowUpOutlined } from '@ant-design/icons';
import { pieceNames, type DayTold } from '@fonte/core/day';
import { showMinutes, wallTime } from '@fonte/core/time';
import { Button } from 'antd';
import { Fragment } from 'react';

interface Props {
  told: DayTold;
  zone: string;
  /** Moves a stop to another place in the order; without it the order stands. */
  move?: (from: number, to: number) => void;
}

/** The day as a list: when one is where, when one must be there at the latest, and what the time goes into. */
export function StopList({ told, zone, move }: Props) {
  const { day, problem, works, latestHere, slack, faults } = told;
  const time = (moment: number) => wallTime(moment, zone).time;
  return (
    <ol className="day-stops">
      {day.stops.map(({ stop, arrives, begins, ends }, place) => {
        const { id, name, bottles } = problem.stops[stop]!;
        const from = place === 0 ? problem.stops.length : day.stops[place - 1]!.stop;
        const drive = problem.travel[from]![stop]!;
        const least = Math.min(...bottles.map((bottle) => slack.get(bottle.id) ?? Infinity));
        const isBroken = faults.some((fault) => 'stop' in fault && fault.stop === stop);
        return (
          <Fragment key={id}>
            <li className={isBroken ? 'is-broken' : ''}>
              <div className="day-when">
                <span className="strong">{time(begins)}</span>
                <span className="soft">to {time(ends)}</span>
              </div>
              <div className="day-what">
                <h3>{name}</h3>
                <p className="soft small">
                  {drive > 0 ? `${showMinutes(drive)} on the road. ` : ''}
                  {begins - arrives >= 60_000 ? `There at ${time(arrives)}, then a wait of ${showMinutes(begins - arrives)}. ` : ''}
                  {latestHere ? `Begin at the latest ${time(latestHere[place]!)}. ` : ''}
                  {faults.length === 0 && least < Infinity ? `Its bottles could wait ${showMinutes(least, 'left')} more.` : ''}
                </p>
                <details>
                  <summary>{showMinutes(ends - begins)} there</summary>
                  <ul className="small">
                    {works[stop]!.pieces.map(({ code, lasts, about }, piece) => (
                      <li key={`${piece} ${code}`}>
                        {about ?? pieceNames[code]}: {showMinutes(lasts)}
                      </li>
                    ))}
                  </ul>
                </details>
              </div>
              {move && (
                <div className="day-move">
                  <Button
                    icon={<ArrowUpOutlined />}
                    disabled={place === 0}
                    onClick={() => move(place, place - 1)}
                    aria-label={`${name} earlier`}
                  />
                  <Button
                    icon={<ArrowDownOutlined />}
                    disabled={place === day.stops.length - 1}
                    onClick={() => move(place, place + 1)}
                    aria-label={`${name} later`}
                  />
                </div>
              )}
            </li>
            {day.lunch?.after === place + 1 && (
              <li className="is-pause">
                <div className="day-when">
                  <span>{time(day.lunch.begins)}</span>
                  <span className="soft">to {time(day.lunch.ends)}</span>
                </div>
                <p>Pause</p>
              </li>
            )}
          </Fragment>
        );
      })}
    </ol>
  );
}
