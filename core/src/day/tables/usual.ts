/**
 * What the work at a stop usually takes, in minutes, where no clock of a protocol says it. Common practice: every team has its own
 * pace, and the page shows what each figure adds.
 */
export const usual = {
  /** Park, look round for what may hurt, unpack. */
  arrive: 5,
  /** Two readings that agree. */
  level: 5,
  /** A purge of a well of which the volume is not known. */
  purge: 45,
  /** Three sets of readings five minutes apart, and the set-up. */
  leastPurge: 20,
  /** Casing volumes, and the pump's rate. */
  volumes: 3,
  litresPerMinute: 6,
  /** A step of a protocol that is no clock. */
  step: 1,
  /** A bottle: check, fill, cap, label, into the cooler. */
  bottle: 2,
  /** A filter in line, flushed first. */
  filter: 3,
  /** Put things back, pack, write up. */
  leave: 5,
  /** A drive between two places, beside the road itself: getting in, finding a place for the van. */
  parking: 2,
  /** A drive of which one end is not on the map. */
  unknownDrive: 15,
  /** When a pause at noon begins at the earliest and at the latest. */
  noon: ['11:30', '14:00'],
  /** Until when a round without a lab may last. */
  evening: '20:00',
} as const;
