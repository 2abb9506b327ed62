/** Every colour, size and weight of the product. Each variant has the same names; components know only the names. */
export type Variant = 'day' | 'night' | 'sun';

export interface Palette {
  /** The page, and what lies on it. */
  ground: string;
  surface: string;
  raised: string;
  /** Text, lesser text, rules. */
  ink: string;
  soft: string;
  rule: string;
  /** What is live or next; a question; a stop. Each with its tint, and the text that stands on it. */
  spring: string;
  springTint: string;
  onSpring: string;
  ochre: string;
  ochreTint: string;
  rust: string;
  rustTint: string;
  /** Pictures: water, ground, casing. */
  water: string;
  waterDeep: string;
  earth: string;
  casing: string;
}

export const palettes: Record<Variant, Palette> = {
  day: {
    ground: '#f5f1e8',
    surface: '#fbf8f1',
    raised: '#fffdf8',
    ink: '#0f2a2e',
    soft: '#44585a',
    rule: '#cfc7b5',
    spring: '#006b56',
    springTint: '#d3e9df',
    onSpring: '#ffffff',
    ochre: '#734900',
    ochreTint: '#f6e4ba',
    rust: '#8a2a14',
    rustTint: '#f3d6cc',
    water: '#a9d0cb',
    waterDeep: '#3e8582',
    earth: '#e3d9c4',
    casing: '#6b7371',
  },
  night: {
    ground: '#0d1b1e',
    surface: '#13262a',
    raised: '#193136',
    ink: '#ece7da',
    soft: '#aebcb8',
    rule: '#35494c',
    spring: '#62d4b2',
    springTint: '#15433a',
    onSpring: '#06231c',
    ochre: '#f2bd57',
    ochreTint: '#42330f',
    rust: '#f59a85',
    rustTint: '#4b2016',
    water: '#2a6563',
    waterDeep: '#6fc0bb',
    earth: '#2b302b',
    casing: '#8c9794',
  },
  sun: {
    ground: '#ffffff',
    surface: '#ffffff',
    raised: '#ffffff',
    ink: '#000000',
    soft: '#263536',
    rule: '#8f8877',
    spring: '#004f3f',
    springTint: '#c4e6d8',
    onSpring: '#ffffff',
    ochre: '#573600',
    ochreTint: '#ffe3a1',
    rust: '#701a07',
    rustTint: '#ffcabb',
    water: '#8cc4be',
    waterDeep: '#1c5f5c',
    earth: '#eadfc6',
    casing: '#3c4442',
  },
};

export const font = "'Atkinson Hyperlegible Next Variable', 'Atkinson Hyperlegible Next', system-ui, sans-serif";

/** Space in px: one step is a half more than the last. */
export const space = { hair: 4, small: 8, base: 12, wide: 20, broad: 32, vast: 52 } as const;

/** Type in px. `reading` is the one big number of a field screen. */
export const type = { small: 15, base: 17, lead: 20, title: 26, page: 34, figure: 30, reading: 60 } as const;

/** One weight step between levels. */
export const weight = { text: 400, strong: 550, title: 700 } as const;

/** Least height of what a gloved hand must hit, in px. */
export const target = 48;

/** The tokens as CSS custom properties: `--ink`, `--space-wide`, `--type-lead`. */
export function cssVariables(variant: Variant): Record<string, string> {
  const entries: [string, string][] = [
    ...Object.entries(palettes[variant]).map(([name, value]): [string, string] => [
      `--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`,
      value as string,
    ]),
    ...Object.entries(space).map(([name, value]): [string, string] => [`--space-${name}`, `${value}px`]),
    ...Object.entries(type).map(([name, value]): [string, string] => [`--type-${name}`, `${value}px`]),
    ...Object.entries(weight).map(([name, value]): [string, string] => [`--weight-${name}`, String(value)]),
    ['--target', `${target}px`],
    ['--font', font],
  ];
  return Object.fromEntries(entries);
}
