/** Charges of ions, by which an amount in eq is one in mol. */
export const charges = {
  ...{ calcium: 2, magnesium: 2, sodium: 1, potassium: 1, ammonium: 1, chloride: 1, sulfate: 2, nitrate: 1, nitrite: 1, bicarbonate: 1 },
  ...{ carbonate: 2, fluoride: 1, bromide: 1 },
} as const;
