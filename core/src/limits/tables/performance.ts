import type { ParameterId } from '../../parameters/index.ts';

/**
 * The widest uncertainty that a method may have at the value of the Directive, as a part of the value: expanded, k = 2 (Directive (EU)
 * 2020/2184, Annex III, Part B, table 1, from memory).
 */
export const widestUncertainty: Readonly<Partial<Record<ParameterId, number>>> = {
  ...{ aluminium: 0.25, ammonium: 0.4, acrylamide: 0.3, antimony: 0.4, arsenic: 0.3, benzoAPyrene: 0.5, benzene: 0.4, bisphenolA: 0.5 },
  ...{ boron: 0.25, bromate: 0.4, cadmium: 0.25, chloride: 0.15, chlorate: 0.4, chlorite: 0.4, chromium: 0.3, copper: 0.25, cyanide: 0.3 },
  ...{ dichloroethane12: 0.4, epichlorohydrin: 0.3, fluoride: 0.2, iron: 0.3, lead: 0.3, manganese: 0.3, mercury: 0.3, microcystin: 0.3 },
  ...{ nickel: 0.25, nitrate: 0.15, nitrite: 0.2, oxidisability: 0.5, selenium: 0.4, sodium: 0.15, sulfate: 0.15, uranium: 0.3 },
  ...{ vinylChloride: 0.5, conductivity: 0.2 },
};

/** How the places of the rows begin to which that table belongs. */
export const performancePlace = 'Annex I, Part';
