/** A stroke of a picture: outlines, water, or what is filled with the colour of the outlines. */
export interface Stroke {
  /** An SVG path within 120 by 120. */
  d: string;
  as: 'line' | 'water' | 'solid';
}

const tap = 'M14 34h52c14 0 22 8 22 22v8H72v-6c0-4-3-8-8-8H14zM38 34V22h24v12M32 22h36';
const bottle = (x: number, y: number) => `M${x + 10} ${y}h16v8l8 9v37a3 3 0 0 1-3 3H${x + 5}a3 3 0 0 1-3-3V${y + 17}l8-9z`;
const inBottle = (x: number, y: number) => `M${x + 3} ${y + 26}h30v27a3 3 0 0 1-3 3H${x + 6}a3 3 0 0 1-3-3z`;

/** What a householder is shown at each step: drawn once for the page and for the printed sheet. */
export const kitPictures = {
  look: [
    { d: tap, as: 'line' },
    { d: 'M62 84a18 18 0 1 0 36 0a18 18 0 1 0-36 0M93 97l14 14', as: 'line' },
  ],
  nobody: [
    { d: tap, as: 'line' },
    { d: 'M80 72c7 9 10 14 10 19a10 10 0 0 1-20 0c0-5 3-10 10-19z', as: 'water' },
    { d: 'M18 108L104 18', as: 'line' },
  ],
  run: [
    { d: tap, as: 'line' },
    { d: 'M73 66h14v44H73z', as: 'water' },
  ],
  trickle: [
    { d: tap, as: 'line' },
    { d: 'M78 66h4v44h-4z', as: 'water' },
  ],
  wait: [
    { d: tap, as: 'line' },
    { d: 'M34 86a20 20 0 1 0 40 0a20 20 0 1 0-40 0M54 74v12l9 6', as: 'line' },
  ],
  fill: [
    { d: tap, as: 'line' },
    { d: 'M77 66h6v10h-6z', as: 'water' },
    { d: bottle(62, 62), as: 'line' },
    { d: inBottle(62, 62), as: 'water' },
  ],
  cap: [
    { d: bottle(42, 40), as: 'line' },
    { d: inBottle(42, 40), as: 'water' },
    { d: 'M48 26h24v11H48z', as: 'solid' },
  ],
  turn: [
    { d: bottle(42, 36), as: 'line' },
    { d: inBottle(42, 36), as: 'water' },
    { d: 'M48 24h24v10H48z', as: 'solid' },
    { d: 'M24 84a44 44 0 0 1 4-50M28 34l-11 3M28 34l4 11M96 40a44 44 0 0 1-4 50M92 90l11-3M92 90l-4-11', as: 'line' },
  ],
  wash: [
    { d: 'M46 12c6 8 9 12 9 17a9 9 0 0 1-18 0c0-5 3-9 9-17zM76 18c5 7 8 10 8 14a8 8 0 0 1-16 0c0-4 3-7 8-14z', as: 'water' },
    { d: 'M14 66c16-8 26-8 38 2l14 12c6 6-2 13-9 8L44 78M14 96h22c8 8 22 12 34 8l32-22c6-6-1-14-9-9L74 84', as: 'line' },
  ],
  unscrew: [
    { d: tap, as: 'line' },
    { d: 'M70 78h20v16H70z', as: 'solid' },
    { d: 'M60 104a22 8 0 0 0 40 0M100 104l1-9M100 104l-9-1', as: 'line' },
  ],
  bleach: [
    { d: tap, as: 'line' },
    { d: 'M58 62h44l-6 44H64z', as: 'line' },
    { d: 'M61 80h38l-4 24H65z', as: 'water' },
  ],
  strip: [
    { d: 'M30 44h44l-5 60H35z', as: 'line' },
    { d: 'M32 66h40l-3 36H35z', as: 'water' },
    { d: 'M82 22h14v66H82zM82 36h14M82 50h14', as: 'line' },
    { d: 'M83 70h12v16H83z', as: 'solid' },
  ],
  cold: [
    { d: 'M20 44h80v62H20zM14 32h92v12H14z', as: 'line' },
    { d: 'M60 52v46M40 63l40 24M80 63L40 87', as: 'line' },
  ],
  out: [
    { d: 'M18 106V20h46v86M56 64v6', as: 'line' },
    { d: 'M70 76h38v30H70zM66 66h46v10H66z', as: 'solid' },
    { d: 'M8 107h106', as: 'line' },
  ],
  back: [
    { d: tap, as: 'line' },
    { d: 'M40 92l14 14 30-32', as: 'line' },
  ],
} as const satisfies Record<string, readonly Stroke[]>;
export type KitPicture = keyof typeof kitPictures;
