interface Offered {
  value?: string | number | null;
  label?: unknown;
  options?: unknown;
}

const folded = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Whether an option is offered for a text that is typed: it has the text somewhere in its name, and is not chosen already. */
export function isAdded(typed: string, option: Offered | undefined, chosen: readonly (string | number)[]): boolean {
  if (!option || option.options !== undefined || typeof option.label !== 'string') return false;
  if (option.value !== undefined && option.value !== null && chosen.includes(option.value)) return false;
  return folded(option.label).includes(folded(typed.trim()));
}
