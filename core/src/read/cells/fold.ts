/**
 * Lower case, without accents, blanks and punctuation: `Limite de Quantificação` becomes `limitedequantificacao`. A small index is a
 * digit of a formula, a raised one a charge or a footnote: `SO₄²⁻` becomes `so4`.
 */
export function fold(text: string): string {
  return text
    .replace(/[₀-₉]/g, (digit) => String(digit.charCodeAt(0) - 0x2080))
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replace(/[^a-z0-9]/g, '');
}
