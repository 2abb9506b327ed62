import type { Mapping, ReportDraft } from '@fonte/core/read';
import { Checkbox } from 'antd';

/** Of a workbook with several tables, the sheets that hold the results. */
export function Sheets({ draft: { sheets, mapping }, choose }: { draft: ReportDraft; choose: (mapping: Mapping) => void }) {
  if (sheets.length === 0) return null;
  // The columns of another sheet may be others.
  const { sheets: chosen = [], columns: _columns, ...answers } = mapping;
  return (
    <fieldset className="plain">
      <legend className="strong">Sheets with the results of this report</legend>
      <Checkbox.Group
        className="stack"
        value={chosen}
        options={sheets}
        onChange={(all) =>
          choose({ ...answers, columns: {}, ...(all.length > 0 ? { sheets: sheets.filter((name) => all.includes(name)) } : {}) })
        }
      />
      <p className="small soft">Leave out covers, older versions and the lab’s own calibration.</p>
    </fieldset>
  );
}
