import { analysisGroups, analysisIds, analysisName, type AnalysisId, type BottleTable } from '@fonte/core/bottles';

/** What can be asked for in an edition, under its headings, but for some. */
export function offered(table: BottleTable | null, but: readonly AnalysisId[] = []) {
  const ids = analysisIds.filter((id) => table?.analyses[id] && !but.includes(id));
  const options = (of: readonly AnalysisId[]) => of.map((id) => ({ value: id, label: analysisName(table, id) }));
  const ungrouped = ids.filter((id) => !table?.analyses[id]?.group);
  return [
    ...options(ungrouped),
    ...analysisGroups.flatMap((group) => {
      const own = ids.filter((id) => table?.analyses[id]?.group === group);
      return own.length > 0 ? [{ label: group, title: group, options: options(own) }] : [];
    }),
  ];
}

/** Finds an analysis by what it is called, wherever the letters stand. */
export const findAnalysis = (search: string, option?: { label?: unknown }) =>
  typeof option?.label === 'string' && option.label.toLowerCase().includes(search.toLowerCase());
