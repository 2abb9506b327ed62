import type { ParameterId } from '../src/parameters/index.ts';
import type { LabResult } from '../src/read/index.ts';

/** A result of a report as tests of its judgement need it: a number in the parameter's own unit, unless another form is said. */
export const labResult = (
  parameter: ParameterId,
  value: number | null,
  form: LabResult['form'] = 'value',
  reportingLimit: number | null = null,
): LabResult => ({
  line: 2,
  bottle: 'A',
  parameter,
  form,
  value,
  estimated: false,
  reportingLimit,
  written: { result: '', unit: '', reportingLimit: '' },
});
