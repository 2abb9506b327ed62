import type { Looks } from './looks.ts';

/** A number with the digits it has, without the noise of binary fractions. */
const plain = (value: number): string => String(Number(value.toPrecision(12)));

/** Parts of a number format: what stands before the digits, how many decimals are shown, whether it is a share, and what follows. */
function partsOf(format: string) {
  // The first section is that of positive numbers; colours and conditions say nothing of the digits.
  const section = /^(?:"[^"]*"|\\.|[^;"\\])*/.exec(format)![0].replace(/\[[^\]]*\]/g, '');
  let [before, after, digits] = ['', '', ''];
  for (const [, quoted, escaped, filler, digit, other] of section.matchAll(
    /"([^"]*)"|\\(.)|([_*].)|([0#?.,]+(?:E[+-]0+)?|General)|([\s\S])/g,
  )) {
    if (filler !== undefined) continue;
    if (digit !== undefined) digits += digit;
    else if (digits === '') before += quoted ?? escaped ?? other ?? '';
    else after += quoted ?? escaped ?? other ?? '';
  }
  const isFixed = digits !== '' && digits !== 'General' && !digits.includes('E');
  return {
    before: before.trim(),
    after: after.trim(),
    decimals: isFixed ? (/\.([0#?]*)/.exec(digits)?.[1]?.length ?? 0) : null,
    isShare: after.includes('%') || before.includes('%'),
  };
}

/** By so much of its size a number may be rounded on the screen and still be called the same. */
const sameWithin = 0.005;

/** A number as a person sees it: with the sign, the unit and the percent sign that its format shows, and both where it shows another one. */
export function shownNumber(value: number, format: string | null): string {
  if (format === null) return plain(value);
  const { before, after, decimals, isShare } = partsOf(format);
  const number = isShare ? value * 100 : value;
  const shown = decimals === null ? number : Number(number.toFixed(Math.min(decimals, 20)));
  const text = `${before}${plain(number)}${after === '' ? '' : ` ${after}`}`;
  return Math.abs(shown - number) > sameWithin * Math.abs(number) ? `${text}, shown as ${shown.toFixed(Math.min(decimals!, 20))}` : text;
}

const hasNumber = (text: string) => /\d/.test(text);

/**
 * The text of a cell as it is shown. A number that is struck through, hidden or annotated says so in words, so that it is never read as a
 * result by itself: whoever looks at the sheet decides.
 */
export function shownText(text: string, looks: Looks | undefined): string {
  if (!looks || !hasNumber(text)) return text;
  if (looks.isStruck) return `struck through: ${text}`;
  return looks.isHidden ? `hidden: ${text}` : text;
}

/** The note of a cell behind its number. */
export const withNote = (text: string, looks: Looks | undefined): string =>
  looks?.note && hasNumber(text) ? `${text}, note: ${looks.note.slice(0, 200)}` : text;
