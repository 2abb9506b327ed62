/** The made-up lab's own clock on the wall. */
export const zone = 'Atlantic/Azores';

const wall = new Intl.DateTimeFormat('en-GB', {
  timeZone: zone,
  weekday: 'short',
  year: 'numeric',
  month: '2-digit',
  day: '2-digit',
  hour: '2-digit',
  minute: '2-digit',
  hourCycle: 'h23',
});

/** What the clock and the calendar on the wall say at a moment (ms). Weekday 1 is Monday. */
export function onTheWall(moment: number) {
  const parts = Object.fromEntries(wall.formatToParts(moment).map(({ type, value }) => [type, value])) as Record<string, string>;
  return {
    weekday: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].indexOf(parts['weekday']!) + 1,
    day: `${parts['day']}/${parts['month']}/${parts['year']}`,
    yearMonth: `${parts['year']!.slice(2)}${parts['month']}`,
    time: `${parts['hour']}:${parts['minute']}`,
    minutes: Number(parts['hour']) * 60 + Number(parts['minute']),
  };
}
