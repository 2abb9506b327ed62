import { showDate } from '../time/index.ts';
import type { DayOf } from './build.ts';
import type { DayTold } from './propose.ts';

/** Backslashes, semicolons, commas and ends of lines are marked in texts (RFC 5545, 3.3.11). */
const escaped = (text: string) => text.replace(/[\\;,]/g, '\\$&').replace(/\r?\n/g, '\\n');

/** A moment in UTC: `20261124T091500Z` (RFC 5545, 3.3.5). */
const stamp = (at: number) => new Date(at).toISOString().replace(/[-:]|\.\d{3}/g, '');

/** Lines of more than 75 octets go on behind a blank (RFC 5545, 3.1). */
function folded(line: string): string {
  const encoder = new TextEncoder();
  let length = 0;
  let out = '';
  for (const sign of line) {
    const octets = encoder.encode(sign).length;
    if (length + octets > 75) {
      out += '\r\n ';
      length = 1;
    }
    out += sign;
    length += octets;
  }
  return out;
}

interface CalendarEvent {
  id: string;
  from: number;
  to: number;
  summary: string;
  place: string;
  notes: string;
}

const asEvent = ({ id, from, to, summary, place, notes }: CalendarEvent, now: number): string[] => [
  'BEGIN:VEVENT',
  `UID:${id}@fonte`,
  `DTSTAMP:${stamp(now)}`,
  `DTSTART:${stamp(from)}`,
  `DTEND:${stamp(to)}`,
  `SUMMARY:${escaped(summary)}`,
  ...(place ? [`LOCATION:${escaped(place)}`] : []),
  ...(notes ? [`DESCRIPTION:${escaped(notes)}`] : []),
  'END:VEVENT',
];

/**
 * A day for a calendar (RFC 5545): every stop while its work lasts, and the hand-over. Brought in again it takes the place of what was
 * brought in before.
 * @param now when it is made, in ms
 */
export function dayCalendar(of: DayOf, { day, problem }: DayTold, name: string, now: number): string {
  const stops = day.stops.map(({ stop, begins, ends }): CalendarEvent => {
    const { id, name: summary } = problem.stops[stop]!;
    const point = of.visits.find((visit) => visit.id === id)?.point;
    const contacts = (point?.contacts ?? []).map(({ name: whom, call }) => (call ? `${whom}, ${call}` : whom));
    return {
      id,
      from: begins,
      to: ends,
      summary,
      place: point?.place ?? '',
      notes: [point?.access ?? '', ...contacts].filter(Boolean).join('\n'),
    };
  });
  const hour = 3_600_000;
  const handOver: CalendarEvent[] = of.lab
    ? [
        {
          id: `${of.code}-lab`,
          from: day.handOver,
          to: day.handOver + hour / 4,
          summary: `Hand over: ${of.lab.name}`,
          place: '',
          notes: '',
        },
      ]
    : [];
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Fonte//Day of a round//EN',
    `X-WR-CALNAME:${escaped(`${name}, ${showDate(of.date)}`)}`,
    ...[...stops, ...handOver].flatMap((event) => asEvent(event, now)),
    'END:VCALENDAR',
  ];
  return `${lines.map(folded).join('\r\n')}\r\n`;
}
