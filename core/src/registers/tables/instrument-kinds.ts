/** The instruments that go along. What is checked of each before it is used stands in `prepare/tables/checks.ts`. */
export const instrumentKinds = {
  photometer: { name: 'Photometer' },
  probe: { name: 'Multi-parameter probe' },
  turbidimeter: { name: 'Turbidimeter' },
  thermometer: { name: 'Thermometer' },
  tape: { name: 'Water level tape' },
  pump: { name: 'Pump' },
} as const satisfies Record<string, { name: string }>;
