/** Labels as they are bought: sheets for a desk printer, or a roll, in mm. A roll has one label to a page. */
export interface LabelStock {
  name: string;
  page: { width: number; height: number };
  label: { width: number; height: number };
  columns: number;
  rows: number;
  /** Of the first label from the corner of the page, and from one label to the next. */
  from: { left: number; top: number };
  pitch: { across: number; down: number };
}

const a4 = { width: 210, height: 297 };
const letter = { width: 215.9, height: 279.4 };
const roll = (width: number, height: number): LabelStock => ({
  name: `Roll, ${width} × ${height} mm`,
  page: { width, height },
  label: { width, height },
  columns: 1,
  rows: 1,
  from: { left: 0, top: 0 },
  pitch: { across: width, down: height },
});
const whole = (page: typeof a4, columns: number, rows: number, name: string, top = 0): LabelStock => {
  const label = { width: page.width / columns, height: (page.height - 2 * top) / rows };
  return { name, page, label, columns, rows, from: { left: 0, top }, pitch: { across: label.width, down: label.height } };
};

/** Sizes are common ones of the trade; a sheet that is not here is a row. */
export const labelStocks = {
  'a4-24': whole(a4, 3, 8, 'A4 sheet, 24 labels of 70 × 37 mm'),
  'a4-40': whole(a4, 4, 10, 'A4 sheet, 40 labels of 52.5 × 29.7 mm'),
  'a4-14': whole(a4, 2, 7, 'A4 sheet, 14 labels of 105 × 42 mm', 1.5),
  'letter-30': {
    name: 'Letter sheet, 30 labels of 66 × 25 mm',
    page: letter,
    label: { width: 66, height: 25.4 },
    columns: 3,
    rows: 10,
    from: { left: 5.95, top: 12.7 },
    pitch: { across: 69, down: 25.4 },
  },
  'roll-50': roll(50, 30),
  'roll-62': roll(62, 40),
} as const satisfies Record<string, LabelStock>;
