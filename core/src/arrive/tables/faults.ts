/** What a sample is taken for, as far as the fitness of a place hangs on it. */
export const testKinds = ['germs', 'legionella', 'lead', 'organics', 'chemistry'] as const;
export type TestKind = (typeof testKinds)[number];

/** From the best to the worst. */
export const fitnesses = ['fit', 'caution', 'not-fit'] as const;
export type Fitness = (typeof fitnesses)[number];

/** How long a fault lasts: until tomorrow, some days, until somebody mends it, or for good. */
export type Lasts = 'today' | 'days' | 'mended' | 'always';

export const faultGroups = ['Treatment before it', 'The outlet', 'Around it', 'The water', 'The well head', 'The weather'] as const;

/** Something that is seen on arrival and may spoil what is taken here. */
export interface FaultRow {
  group: (typeof faultGroups)[number];
  /** Where it can be; everywhere where this is left out. */
  at?: 'tap' | 'well';
  /** What is seen, as it is ticked. */
  seen: string;
  why: string;
  /** What it makes of the place, by what is tested; what is not named does not mind. */
  effect: Partial<Record<TestKind, Exclude<Fitness, 'fit'>>>;
  lasts: Lasts;
  /** What can be done about it on the spot, what is left of it then, and what must be put back on leaving. */
  can?: { do: string; leaves?: FaultRow['effect']; restore?: string };
  advice: string;
  source: string;
}

const practice = 'Common practice';
const iso = 'ISO 19458:2006';
const leadRule = '40 CFR 141.86(b); common practice';

const allNotFit = { germs: 'not-fit', legionella: 'not-fit', lead: 'not-fit', organics: 'not-fit', chemistry: 'not-fit' } as const;
const treated = { germs: 'not-fit', lead: 'not-fit', organics: 'not-fit', chemistry: 'not-fit', legionella: 'caution' } as const;

/** Local instructions and the authority's siting list come first. */
export const faults = {
  'treatment-meter': {
    group: 'Treatment before it',
    at: 'tap',
    seen: 'Softener, filter or dosing where the main comes in, at the meter',
    why: 'The water is another one behind it: softened, filtered, or with what grows in the filter.',
    effect: treated,
    lasts: 'always',
    can: { do: 'Bypassed', restore: 'Put the treatment at the meter back in line' },
    advice: 'Turn its bypass, flush, or take an outlet before it.',
    source: practice,
  },
  'treatment-sink': {
    group: 'Treatment before it',
    at: 'tap',
    seen: 'Filter or heater under the sink',
    why: 'Germs grow in cartridges and warm tanks; carbon takes up what is looked for.',
    effect: treated,
    lasts: 'always',
    can: { do: 'Bypassed', restore: 'Put the filter under the sink back in line' },
    advice: 'Turn its bypass, flush, or take another tap.',
    source: practice,
  },
  'treatment-tap': {
    group: 'Treatment before it',
    at: 'tap',
    seen: 'Filter on the tap itself',
    why: 'The sample would tell about the cartridge.',
    effect: treated,
    lasts: 'always',
    can: { do: 'Taken off', restore: 'Screw the filter back on the tap' },
    advice: 'Take it off, or take another tap.',
    source: practice,
  },
  'backflow-device': {
    group: 'Treatment before it',
    at: 'tap',
    seen: 'Behind a backflow device that is not known to be tested',
    why: 'A stuck one holds germs, and lets used water back.',
    effect: { germs: 'caution', legionella: 'caution' },
    lasts: 'mended',
    advice: 'Ask when it was tested last and write it down.',
    source: practice,
  },
  attachments: {
    group: 'The outlet',
    at: 'tap',
    seen: 'Aerator, strainer or washer in the mouth',
    why: 'They hold a film of germs. For lead they stay where they are: what they caught belongs to the water people drink.',
    effect: { germs: 'not-fit' },
    lasts: 'always',
    can: { do: 'Taken off, no washer left', restore: 'Screw the aerator back on' },
    advice: 'Take them off for bacteria. Where lead is taken too: lead first, with the aerator on.',
    source: `${iso}; 40 CFR 141.86(b)`,
  },
  'aerator-missing': {
    group: 'The outlet',
    at: 'tap',
    seen: 'The aerator that is usually on was taken off before the first water',
    why: 'Lead is taken as people draw it, aerator on.',
    effect: { lead: 'not-fit' },
    lasts: 'today',
    advice: 'Screw it on and come back after the water has stood again.',
    source: leadRule,
  },
  hose: {
    group: 'The outlet',
    at: 'tap',
    seen: 'Hose, quick-connect or vacuum breaker on it',
    why: 'Hoses are gardens of germs, and give off plastic.',
    effect: { germs: 'not-fit', organics: 'not-fit', lead: 'caution', chemistry: 'caution' },
    lasts: 'always',
    can: { do: 'Taken off', restore: 'Put hose and fittings back' },
    advice: 'Take it off and flush longer.',
    source: practice,
  },
  leaking: {
    group: 'The outlet',
    at: 'tap',
    seen: 'Drips or leaks at stem or mouth',
    why: 'Water that runs down the outside carries its germs into the bottle.',
    effect: { germs: 'not-fit', legionella: 'caution' },
    lasts: 'mended',
    advice: 'Take the alternative and tell the owner.',
    source: practice,
  },
  'not-down': {
    group: 'The outlet',
    at: 'tap',
    seen: 'Does not face down',
    why: 'Water stands in it, and what falls in stays in.',
    effect: { germs: 'not-fit' },
    lasts: 'always',
    advice: 'Take the alternative.',
    source: practice,
  },
  dirty: {
    group: 'The outlet',
    at: 'tap',
    seen: 'Dirty, rusty or slimy',
    why: 'Disinfectant does not reach through dirt.',
    effect: { germs: 'not-fit', legionella: 'caution' },
    lasts: 'today',
    can: { do: 'Scrubbed clean, disinfected after', leaves: { germs: 'caution' } },
    advice: 'Scrub it, disinfect, flush; else take the alternative.',
    source: practice,
  },
  'swivel-mixer': {
    group: 'The outlet',
    at: 'tap',
    seen: 'Swivel spout, pull-out spray or a mixer that cannot be stripped',
    why: 'There are joints and hoses inside that no disinfectant reaches, and warm water may mix in.',
    effect: { germs: 'caution' },
    lasts: 'always',
    advice: 'A plain cold tap is better; if there is none, say so and flush longer.',
    source: practice,
  },
  'soft-plumbing': {
    group: 'The outlet',
    at: 'tap',
    seen: 'Brittle plastic, home-made or freshly glued pipework',
    why: 'It gives off solvents and breaks; a flame ruins it.',
    effect: { organics: 'not-fit', germs: 'caution', lead: 'caution' },
    lasts: 'always',
    advice: 'No flame, no force. Take the alternative for organics.',
    source: practice,
  },
  'process-outlet': {
    group: 'The outlet',
    at: 'tap',
    seen: 'Hydrant, automatic flusher or air valve',
    why: 'They serve the operation of the network, not compliance.',
    effect: { germs: 'not-fit', lead: 'not-fit', chemistry: 'caution' },
    lasts: 'always',
    advice: 'Take a point of the siting list.',
    source: practice,
  },
  'wrong-outlet': {
    group: 'The outlet',
    seen: 'Not sure that it is the registered one',
    why: 'A result without a place is worth nothing, and points that are taken for each other are found nowhere later.',
    effect: allNotFit,
    lasts: 'today',
    advice: 'Compare with picture and way in, or ask whoever knows.',
    source: practice,
  },
  'low-clearance': {
    group: 'Around it',
    at: 'tap',
    seen: 'So near the ground that it splashes back',
    why: 'Soil germs jump into the bottle.',
    effect: { germs: 'caution' },
    lasts: 'always',
    can: { do: 'Bucket or clean board put under it' },
    advice: 'Put a clean board under it, thin stream.',
    source: practice,
  },
  plants: {
    group: 'Around it',
    seen: 'Plants, mud or litter touch it',
    why: 'They carry germs, and grow back.',
    effect: { germs: 'caution' },
    lasts: 'mended',
    can: { do: 'Cleared away' },
    advice: 'Clear them away before anything is opened.',
    source: practice,
  },
  'things-about': {
    group: 'Around it',
    at: 'tap',
    seen: 'Sponges, dishes or cloths under and beside it',
    why: 'What splashes on them splashes back.',
    effect: { germs: 'caution' },
    lasts: 'today',
    can: { do: 'Moved away', restore: 'Put what stood around the tap back' },
    advice: 'Move them away.',
    source: practice,
  },
  'sewer-below': {
    group: 'Around it',
    at: 'tap',
    seen: 'Sewer clean-out, drain or toilet right under it',
    why: 'Spray of sewage needs no contact.',
    effect: { germs: 'not-fit' },
    lasts: 'always',
    advice: 'Take the alternative.',
    source: practice,
  },
  fumes: {
    group: 'Around it',
    seen: 'Fuel, solvent, fresh paint or a running engine near',
    why: 'Vapours dissolve into the open bottle and the blank alike.',
    effect: { organics: 'not-fit' },
    lasts: 'today',
    can: { do: 'Engine off and moved downwind', leaves: { organics: 'caution' } },
    advice: 'Move it or come back; note it if neither is possible.',
    source: practice,
  },
  building: {
    group: 'Around it',
    seen: 'Building or digging near, pipework opened',
    why: 'Open pipes let dirt in and shake lead and rust loose: the usual state is another one.',
    effect: { germs: 'not-fit', lead: 'not-fit', legionella: 'caution', chemistry: 'caution', organics: 'caution' },
    lasts: 'days',
    advice: 'Take the alternative, and look again when the work is over.',
    source: practice,
  },
  'station-flooded': {
    group: 'Around it',
    seen: 'Pit or station under water, or was lately',
    why: 'Surface water reaches the outlet, and a flooded pit may hold gas.',
    effect: allNotFit,
    lasts: 'mended',
    advice: 'Do not go in. Take the alternative and tell the operator.',
    source: practice,
  },
  vacant: {
    group: 'The water',
    at: 'tap',
    seen: 'Vacant, or not in daily use',
    why: 'Old water of this house, not of the network; lead and germs of weeks.',
    effect: { germs: 'not-fit', lead: 'not-fit', chemistry: 'caution', organics: 'caution' },
    lasts: 'days',
    advice: 'Take an outlet in daily use. For Legionella it is a place to look at.',
    source: practice,
  },
  'main-flushed': {
    group: 'The water',
    at: 'tap',
    seen: 'Hydrant used, main flushed or burst near, in the last days',
    why: 'Deposits are stirred up, and the residual is not the usual one.',
    effect: { germs: 'not-fit', lead: 'not-fit', chemistry: 'caution', organics: 'caution' },
    lasts: 'days',
    advice: 'Take a point elsewhere, or come back after some days of usual use.',
    source: practice,
  },
  'used-lately': {
    group: 'The water',
    at: 'tap',
    seen: 'Water was drawn, or nobody can say since when it was not',
    why: 'The first water after standing is what is asked for, and it is gone.',
    effect: { lead: 'caution', legionella: 'caution' },
    lasts: 'today',
    advice:
      'The first litre after six hours is gone: come back for it. Lead at random, or after 30 minutes from a fresh flush, does not mind. For Legionella a post-flush sample is still possible, not at showers.',
    source: `${leadRule}; HSG274 part 2`,
  },
  'no-water': {
    group: 'The water',
    seen: 'No water, or so little pressure that it does not run steadily',
    why: 'Low pressure draws dirt in.',
    effect: allNotFit,
    lasts: 'mended',
    advice: 'Tell the operator at once; a pressure loss is a matter of its own.',
    source: practice,
  },
  'pump-off': {
    group: 'The water',
    seen: 'The supply wells or this well’s pump are not running as usual',
    why: 'Standing water of the casing is not the water of the aquifer.',
    effect: { organics: 'not-fit', germs: 'caution', chemistry: 'caution' },
    lasts: 'today',
    can: { do: 'Started, and run as long as usual' },
    advice: 'Have it started and run, and call before you come next time.',
    source: practice,
  },
  'shock-chlorinated': {
    group: 'The water',
    seen: 'Chlorinated by shock lately, or smells of it',
    why: 'What is left kills in the bottle and makes by-products: no sample until chlorine reads zero, or its usual value.',
    effect: { germs: 'not-fit', legionella: 'not-fit', organics: 'not-fit', chemistry: 'caution' },
    lasts: 'days',
    advice: 'Measure chlorine. Come back when it reads as it should.',
    source: practice,
  },
  'well-cap': {
    group: 'The well head',
    at: 'well',
    seen: 'Cap missing, loose or broken',
    why: 'What falls in is measured as groundwater.',
    effect: { germs: 'not-fit', organics: 'caution', chemistry: 'caution' },
    lasts: 'mended',
    advice: 'Close it before you leave and tell whoever owns it.',
    source: practice,
  },
  'well-seal': {
    group: 'The well head',
    at: 'well',
    seen: 'Concrete cracked, ground sunk, water stands round the casing',
    why: 'Surface water runs down outside the casing.',
    effect: { germs: 'not-fit', chemistry: 'caution', organics: 'caution' },
    lasts: 'mended',
    advice: 'Take a picture, tell whoever owns it; the level may still be read.',
    source: practice,
  },
  'well-flooded': {
    group: 'The well head',
    at: 'well',
    seen: 'Signs of flooding over the casing',
    why: 'The well holds river or rain water.',
    effect: { germs: 'not-fit', chemistry: 'not-fit', organics: 'not-fit' },
    lasts: 'days',
    advice: 'It is purged and disinfected first, and sampled after.',
    source: practice,
  },
  vermin: {
    group: 'The well head',
    at: 'well',
    seen: 'Insects, frogs or droppings in it',
    why: 'They bring their germs and die in it.',
    effect: { germs: 'not-fit', chemistry: 'caution' },
    lasts: 'mended',
    advice: 'Tell whoever owns it: cleaned and disinfected first.',
    source: practice,
  },
  'weather-wild': {
    group: 'The weather',
    seen: 'Heavy rain or strong wind over an open outlet',
    why: 'Rain and dust fall into an open sterile bottle.',
    effect: { germs: 'not-fit', organics: 'caution' },
    lasts: 'today',
    can: { do: 'Sheltered: a roof, the van’s tailgate', leaves: { germs: 'caution' } },
    advice: 'Shelter, wait, or take an outlet indoors.',
    source: practice,
  },
  'weather-damp': {
    group: 'The weather',
    seen: 'Drizzle, dust or gusts',
    why: 'Little gets in, if the bottle is open for seconds and shielded.',
    effect: { germs: 'caution' },
    lasts: 'today',
    advice: 'Stand between wind and bottle, cap held face down.',
    source: practice,
  },
} as const satisfies Record<string, FaultRow>;
