/** Lower case, without accents, blanks and punctuation: `Limite de Quantificação` becomes `limitedequantificacao`. */
export function fold(text: string): string {
  return text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replace(/[^a-z0-9]/g, '');
}
