/** A field that labs ask for on the form that goes with the bottles. */
export interface FormFieldRow {
  name: string;
  /** Of the whole form, or of each bottle. */
  of: 'form' | 'bottle';
  /** No book says it: somebody types it, or the lab's row of the register says it for every form. */
  isTyped?: true;
}

/** What chain-of-custody forms ask for (common practice); for drinking water the system's number and the residual (40 CFR 141, states' forms; from memory). */
export const formFields = {
  system: { name: 'System', of: 'form' },
  round: { name: 'Round', of: 'form' },
  sampler: { name: 'Sampler', of: 'form' },
  facility: { name: 'Number of the facility', of: 'form', isTyped: true },
  programme: { name: 'Programme', of: 'form', isTyped: true },
  quote: { name: 'Quote or order', of: 'form', isTyped: true },
  billTo: { name: 'Bill to', of: 'form', isTyped: true },
  notes: { name: 'Notes', of: 'form', isTyped: true },
  point: { name: 'Point', of: 'bottle' },
  pointCode: { name: 'Code of the point', of: 'bottle' },
  place: { name: 'Place', of: 'bottle' },
  pointKind: { name: 'Kind of point', of: 'bottle' },
  collectedOn: { name: 'Collected on', of: 'bottle' },
  collectedAt: { name: 'Collected at', of: 'bottle' },
  sampleType: { name: 'Type of sample', of: 'bottle' },
  purpose: { name: 'Purpose', of: 'bottle' },
  analyses: { name: 'Analyses', of: 'bottle' },
  container: { name: 'Container', of: 'bottle' },
  preservative: { name: 'Preservative', of: 'bottle' },
  filtered: { name: 'Filtered in the field', of: 'bottle' },
  water: { name: 'Water', of: 'bottle' },
  source: { name: 'Source', of: 'bottle' },
  residualFree: { name: 'Residual, free', of: 'bottle' },
  residualTotal: { name: 'Residual, total', of: 'bottle' },
  stagnation: { name: 'Stood for', of: 'bottle' },
} as const satisfies Record<string, FormFieldRow>;
