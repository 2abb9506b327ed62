/** One line of the simulated lab's own system: what it measured, in its own words and units. */
export interface Finding {
  test: string;
  value: string;
  unit: string;
  /** The lab's reporting limit, in the same unit. */
  limit: string;
  method: string;
}

const finding = (test: string, value: string, unit: string, limit: string, method: string): Finding => ({
  test,
  value,
  unit,
  limit,
  method,
});

/** Metals of which the lab mostly finds none. */
const traces = [
  finding('Alumínio', '<20', 'µg/L', '20', 'PT-22'),
  finding('Antimónio', '<1,0', 'µg/L', '1,0', 'PT-22'),
  finding('Boro', '<0,05', 'mg/L', '0,05', 'PT-22'),
  finding('Cádmio', '<0,50', 'µg/L', '0,50', 'PT-22'),
  finding('Crómio', '<2', 'µg/L', '2', 'PT-22'),
  finding('Selénio', '<2,0', 'µg/L', '2,0', 'PT-22'),
  finding('Urânio', '<0,5', 'µg/L', '0,5', 'PT-22'),
];

/** What the lab finds, by the code of the point and its own code of the container. Invented numbers. */
export const findings: Record<string, Record<string, Finding[]>> = {
  MW3: {
    FQ: [
      finding('pH', '6,9', 'Unidades de pH', '2,0', 'PT-01'),
      finding('Condutividade a 25 °C', '138', 'mS/m', '1,0', 'PT-02'),
      finding('Turvação', '1,8', 'UNT', '0,5', 'PT-03'),
      finding('Cálcio', '78', 'mg/L', '1', 'PT-11'),
      finding('Magnésio', '12', 'mg/L', '1', 'PT-11'),
      finding('Sódio', '190', 'mg/L', '1', 'PT-11'),
      finding('Potássio', '3,1', 'mg/L', '0,5', 'PT-11'),
      finding('Cloretos', '290', 'mg/L', '5', 'PT-12'),
      finding('Sulfatos', '52', 'mg/L', '5', 'PT-12'),
      finding('Alcalinidade', '152', 'mg/L CaCO3', '10', 'PT-04'),
      finding('Fluoretos', '<0,20', 'mg/L', '0,20', 'PT-12'),
    ],
    NO: [finding('Nitratos', '12,9', 'mg/L N', '0,10', 'PT-12'), finding('Nitritos', '<0,010', 'mg/L N', '0,010', 'PT-13')],
    NH: [finding('Azoto amoniacal', '0,03', 'mg/L N', '0,02', 'PT-14')],
    MD: [
      finding('Ferro', '0,02', 'mg/L', '0,01', 'PT-21'),
      finding('Manganês', '<5', 'µg/L', '5', 'PT-22'),
      finding('Alumínio', '<20', 'µg/L', '20', 'PT-22'),
      finding('Arsénio', '<20', 'µg/L', '20', 'PT-21'),
      finding('Antimónio', '<1,0', 'µg/L', '1,0', 'PT-22'),
      finding('Boro', '0,21', 'mg/L', '0,05', 'PT-22'),
      finding('Cádmio', '<0,50', 'µg/L', '0,50', 'PT-22'),
      finding('Crómio', '31', 'µg/L', '2', 'PT-22'),
      finding('Crómio hexavalente', '6', 'µg/L', '5', 'PT-23'),
      finding('Cobre', '<0,010', 'mg/L', '0,010', 'PT-22'),
      finding('Chumbo', '<2,0', 'µg/L', '2,0', 'PT-22'),
      finding('Níquel', '4,1', 'µg/L', '2,0', 'PT-22'),
      finding('Selénio', '<2,0', 'µg/L', '2,0', 'PT-22'),
      finding('Urânio', '1,1', 'µg/L', '0,5', 'PT-22'),
    ],
  },
  MH1: {
    MB: [finding('Bactérias coliformes', '3', 'UFC/100 mL', '1', 'PT-31'), finding('Escherichia coli', '0', 'UFC/100 mL', '1', 'PT-31')],
  },
  SC1: {
    MB: [finding('Bactérias coliformes', '0', 'UFC/100 mL', '1', 'PT-31'), finding('Escherichia coli', '0', 'UFC/100 mL', '1', 'PT-31')],
    MD: [
      finding('Ferro', '34', 'µg/L', '10', 'PT-21'),
      finding('Manganês', '<5', 'µg/L', '5', 'PT-22'),
      finding('Chumbo', '0,0084', 'mg/L', '0,0020', 'PT-22'),
      finding('Cobre', '1.240', 'mg/L', '0,010', 'PT-22'),
      finding('Níquel', '18', 'µg/L', '2,0', 'PT-22'),
      finding('Arsénio', '<20', 'µg/L', '20', 'PT-21'),
      ...traces,
    ],
  },
};

/** What the lab reports for a point that the table above does not know. */
export const ordinary: Record<string, Finding[]> = {
  MB: [finding('Bactérias coliformes', '0', 'UFC/100 mL', '1', 'PT-31'), finding('Escherichia coli', '0', 'UFC/100 mL', '1', 'PT-31')],
  FQ: [
    finding('pH', '7,2', 'Unidades de pH', '2,0', 'PT-01'),
    finding('Condutividade a 25 °C', '41,0', 'mS/m', '1,0', 'PT-02'),
    finding('Turvação', '<0,5', 'UNT', '0,5', 'PT-03'),
    finding('Cálcio', '44', 'mg/L', '1', 'PT-11'),
    finding('Magnésio', '9', 'mg/L', '1', 'PT-11'),
    finding('Sódio', '28', 'mg/L', '1', 'PT-11'),
    finding('Potássio', '2,4', 'mg/L', '0,5', 'PT-11'),
    finding('Cloretos', '37', 'mg/L', '5', 'PT-12'),
    finding('Sulfatos', '18', 'mg/L', '5', 'PT-12'),
    finding('Alcalinidade', '132', 'mg/L CaCO3', '10', 'PT-04'),
    finding('Fluoretos', '<0,20', 'mg/L', '0,20', 'PT-12'),
  ],
  NO: [finding('Nitratos', '2,1', 'mg/L N', '0,10', 'PT-12'), finding('Nitritos', '<0,010', 'mg/L N', '0,010', 'PT-13')],
  NH: [finding('Azoto amoniacal', '<0,02', 'mg/L N', '0,02', 'PT-14')],
  MD: [
    finding('Ferro', '40', 'µg/L', '10', 'PT-21'),
    finding('Manganês', '<5', 'µg/L', '5', 'PT-22'),
    finding('Arsénio', '<20', 'µg/L', '20', 'PT-21'),
    finding('Chumbo', '<2,0', 'µg/L', '2,0', 'PT-22'),
    finding('Cobre', '<0,010', 'mg/L', '0,010', 'PT-22'),
    finding('Níquel', '<2,0', 'µg/L', '2,0', 'PT-22'),
    ...traces,
  ],
};
