import type { AnalysisGroup } from '../../bottles/index.ts';

/** Something that goes along, and when. Everything that is said must hold. */
export interface PackRow {
  name: string;
  when?: {
    type?: 'well' | 'tap';
    /** Something of one of these groups is planned. */
    groups?: readonly AnalysisGroup[];
    /** Bottles are planned that are cooled. */
    isCooled?: true;
    /** Bottles are planned that ice would spoil. */
    isMild?: true;
    /** Anything is sampled at all. */
    isSampled?: true;
    /** Water is disinfected somewhere, or a protocol asks for its chlorine. */
    isChlorineRead?: true;
    /** Something is filtered. */
    isFiltered?: true;
    /** An acid or caustic is in a bottle. */
    isCaustic?: true;
    /** A hazard that the register knows at one of the points. */
    hazards?: readonly string[];
  };
  note?: string;
}

/** By purpose. Common practice; each team adds its own habits. */
export const packing = {
  'plan-paper': { name: 'This plan on the phone, charged; pens that write when wet' },
  gloves: { name: 'Gloves, two sizes', note: 'Powder-free nitrile' },
  'first-aid': { name: 'First-aid kit, water to drink, high-visibility vest' },
  torch: { name: 'Torch' },
  'eye-protection': { name: 'Eye protection and water to rinse', when: { isCaustic: true } },
  cooler: { name: 'Cool box for water only', when: { isCooled: true }, note: 'Never shared with wastewater' },
  ice: { name: 'Ice', when: { isCooled: true }, note: 'For PFAS real ice in bags' },
  'box-thermometer': { name: 'Thermometer or temperature bottle in the box', when: { isCooled: true } },
  'mild-box': { name: 'Box without ice for what is kept at 6 to 20 °C', when: { isMild: true } },
  labels: { name: 'Labels, printed as far as it is known', when: { isSampled: true } },
  form: { name: 'Custody form, seals, bags', when: { isSampled: true } },
  'waste-bag': { name: 'Bag for waste', when: { isSampled: true } },
  disinfectant: {
    name: 'Disinfectant: alcohol, or bleach mixed today',
    when: { type: 'tap', groups: ['Germs'] },
    note: 'Alcohol and flame never together',
  },
  'tap-tools': { name: 'Pliers, brush, spare washers', when: { type: 'tap' } },
  'chlorine-kit': { name: 'Chlorine test with reagents in date', when: { isChlorineRead: true } },
  stopwatch: { name: 'Measuring jug and bucket', when: { isSampled: true } },
  tape: { name: 'Water level tape, and what cleans it', when: { type: 'well' } },
  keys: { name: 'Keys and tools for well caps', when: { type: 'well' } },
  pump: { name: 'Pump, cable, residual-current device, fuel away from bottles', when: { type: 'well', isSampled: true } },
  tubing: { name: 'Tubing, flow cell, clean', when: { type: 'well', isSampled: true } },
  probe: { name: 'Probe with its cup and buffers', when: { type: 'well', isSampled: true } },
  'purge-water': { name: 'Containers for purge water', when: { hazards: ['contaminated'] }, note: 'Not onto the ground without leave' },
  splash: { name: 'Splash protection', when: { hazards: ['contaminated'] } },
  filters: { name: 'Filters 0.45 µm, one a bottle and spares', when: { isFiltered: true } },
  mask: { name: 'Mask and bag sleeve against spray', when: { hazards: ['aerosol'] } },
  'pfas-clothes': { name: 'Clothes for PFAS: old cotton, no coating', when: { groups: ['PFAS'] } },
  'pfas-water': { name: 'Water of the lab for field blanks', when: { groups: ['PFAS'] } },
  'trip-blank': { name: 'Trip blanks, closed, beside their bottles', when: { groups: ['Organics', 'Disinfection'] } },
  boots: { name: 'Boots', when: { hazards: ['ground'] } },
  repellent: { name: 'Long sleeves against insects', when: { hazards: ['insects'] }, note: 'No repellent where PFAS is taken' },
} as const satisfies Record<string, PackRow>;
