import { bottleTables, cardOf, type RuleId } from '@fonte/core/bottles';
import { registerLists, type Lab } from '@fonte/core/registers';
import { Table } from 'antd';
import { Link } from 'react-router';
import { useAnswer } from '../../api/useAnswer.ts';
import { Failed, Loading } from '../../feedback/Feedback.tsx';
import { RegisterHead } from '../RegisterNav.tsx';

const table = bottleTables.newest[0]!;
const bottleName = (rule: string) => (Object.hasOwn(table.rules, rule) ? cardOf(table, rule as RuleId).name : rule);

const short = ['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** `Mon–Fri 08:00–16:30`: days in a row with the same hours stand together. */
export function hoursInShort(intake: Lab['intake']): string {
  const byHours = new Map<string, number[]>();
  for (const { weekday, opens, closes } of intake)
    byHours.set(`${opens}–${closes}`, [...(byHours.get(`${opens}–${closes}`) ?? []), weekday]);
  return [...byHours]
    .map(([hours, days]) => {
      const sorted = [...days].sort((a, b) => a - b);
      const isRow = sorted.length > 2 && sorted.at(-1)! - sorted[0]! === sorted.length - 1;
      return `${isRow ? `${short[sorted[0]!]}–${short[sorted.at(-1)!]}` : sorted.map((day) => short[day]).join(', ')} ${hours}`;
    })
    .join('; ');
}

/** The register of labs. */
export function LabsPage() {
  const { data, error, mutate } = useAnswer(registerLists.labs, {});
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the register" />;
  return (
    <>
      <RegisterHead register="labs" />
      <Table<Lab>
        dataSource={data}
        rowKey="id"
        pagination={false}
        scroll={{ x: 'max-content' }}
        locale={{ emptyText: 'No lab is registered. A round can be planned without one.' }}
        columns={[
          { title: 'Lab', render: (_, lab) => <Link to={`/labs/${lab.id}`}>{lab.name}</Link> },
          { title: 'Intake', render: (_, lab) => hoursInShort(lab.intake) || 'No hours registered' },
          {
            title: 'For a shorter time',
            render: (_, lab) =>
              lab.cutOffs
                .map(({ bottles, weekdays, closes }) => {
                  const days = weekdays.map((day) => short[day]).join(', ') || 'every day';
                  return `${bottles.map(bottleName).join(', ')} ${days} ${closes ? `until ${closes}` : 'none'}`;
                })
                .join('; ') || 'nothing',
          },
          {
            title: 'Warmest',
            render: (_, lab) =>
              Object.entries(lab.temperature)
                .map(([name, { most }]) => `${name} ${most} °C`)
                .join(', ') || 'not said',
          },
        ]}
      />
    </>
  );
}
