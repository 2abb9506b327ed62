/** What brings the water up, and what it does to it. */
export interface PumpRow {
  name: string;
  /** Stands above and draws: it lifts no higher than the air presses. */
  isSuction?: true;
  /** Lowers the pressure or shakes the water: gases and volatiles leave it. */
  stripsGas?: true;
  /** Moves up and down in the well, and stirs what lies there. */
  stirs?: true;
  isElectric?: true;
  /** Brings water only while somebody moves it: nobody puts it on. */
  byHand?: true;
  source: string;
}

const practice = 'Common practice';

export const pumps = {
  submersible: { name: 'Submersible pump', isElectric: true, source: practice },
  bladder: { name: 'Bladder pump', source: 'EPA/540/S-95/504 (1996): preferred for volatiles and dissolved gases' },
  peristaltic: {
    name: 'Peristaltic pump',
    isSuction: true,
    stripsGas: true,
    isElectric: true,
    source: 'EPA/540/S-95/504 (1996): suction may degas the water',
  },
  suction: { name: 'Suction pump at the surface', isSuction: true, stripsGas: true, isElectric: true, source: practice },
  inertial: { name: 'Inertial pump with a foot valve', stirs: true, byHand: true, source: practice },
  bailer: { name: 'Bailer', stripsGas: true, stirs: true, byHand: true, source: 'EPA/540/S-95/504 (1996): bailers stir and aerate' },
} as const satisfies Record<string, PumpRow>;

/** How high a suction pump lifts at sea level, in m. Common practice; the air alone would bear 10.3 m. */
export const suctionAtSeaLevel = 7.5;
