import { sayPlace, type Mapping, type ReportDraft } from '@fonte/core/read';
import { Checkbox } from 'antd';
import { Mark } from '../theme/Mark.tsx';

/** Of a workbook with several tables, the sheets that hold the results. */
export function Sheets({ draft: { sheets, mapping, refusal }, choose }: { draft: ReportDraft; choose: (mapping: Mapping) => void }) {
  if (sheets.length === 0) return null;
  // The columns of another sheet may be others.
  const { sheets: chosen = [], columns: _columns, ...answers } = mapping;
  const isOpen = refusal?.code === 'several-sheets';
  const answer = (names: readonly string[]) =>
    choose({ ...answers, columns: {}, ...(names.length > 0 ? { sheets: sheets.filter((name) => names.includes(name)) } : {}) });
  return (
    <div className={`finding ${isOpen ? 'question' : 'note'}`}>
      <Mark kind={isOpen ? 'question' : 'note'} />
      <p>
        <span className="strong">{isOpen ? sayPlace(refusal) : 'Sheets with the results of this report.'}</span> Leave out covers, older
        versions and the lab’s own calibration.
      </p>
      <p>
        <Checkbox.Group aria-label="Sheets with the results" value={[...chosen]} options={sheets} onChange={answer} />
      </p>
    </div>
  );
}
