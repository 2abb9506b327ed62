import type { UnitId } from '../../units/index.ts';

/** A column of the table in which points are carried from one place to another. */
export interface PointColumn {
  /** Its head, with the unit in it. */
  name: string;
  /** Where it stands in a point. */
  path: string;
  /** `choice` is a word of the register; `list` are such words with semicolons between. */
  is: 'text' | 'number' | 'choice' | 'list';
  /** The unit of a number, where it has one. */
  unit?: UnitId;
  /** Of wells or taps alone. */
  of?: 'well' | 'tap';
}

/** Names and units are ours; a column more is a row here. Contacts, alternatives, narrower casings, pack, seal and further marks of a well stay in the register. */
export const pointColumns: readonly PointColumn[] = [
  { name: 'code', path: 'code', is: 'text' },
  { name: 'name', path: 'name', is: 'text' },
  { name: 'place', path: 'place', is: 'text' },
  { name: 'kind', path: 'kind', is: 'choice' },
  { name: 'use', path: 'use', is: 'choice' },
  { name: 'latitude', path: 'position.latitude', is: 'number' },
  { name: 'longitude', path: 'position.longitude', is: 'number' },
  { name: 'access', path: 'access', is: 'text' },
  { name: 'water', path: 'water', is: 'choice' },
  { name: 'source', path: 'source', is: 'choice' },
  { name: 'disinfection', path: 'disinfection', is: 'choice' },
  { name: 'system', path: 'system', is: 'text' },
  { name: 'zone', path: 'zone', is: 'text' },
  { name: 'building', path: 'building', is: 'text' },
  { name: 'room', path: 'room', is: 'text' },
  { name: 'floor', path: 'floor', is: 'text' },
  { name: 'walk_min', path: 'walk', is: 'number', unit: 'min' },
  { name: 'hazards', path: 'hazards', is: 'list' },
  { name: 'surroundings', path: 'surroundings', is: 'list' },
  { name: 'traits', path: 'traits', is: 'list' },
  { name: 'outlet', path: 'tap.outlet', is: 'text', of: 'tap' },
  { name: 'least_free_chlorine_mg_L', path: 'tap.residualMinimum', is: 'number', unit: 'mg/L', of: 'tap' },
  { name: 'mark', path: 'well.measuringPoints.0.name', is: 'text', of: 'well' },
  { name: 'mark_elevation_m', path: 'well.measuringPoints.0.elevation', is: 'number', unit: 'm', of: 'well' },
  { name: 'mark_above_ground_m', path: 'well.measuringPoints.0.stickUp', is: 'number', unit: 'm', of: 'well' },
  { name: 'bottom_m', path: 'well.bottom', is: 'number', unit: 'm', of: 'well' },
  { name: 'screen_from_m', path: 'well.screenTop', is: 'number', unit: 'm', of: 'well' },
  { name: 'screen_to_m', path: 'well.screenBottom', is: 'number', unit: 'm', of: 'well' },
  { name: 'inside_diameter_mm', path: 'well.insideDiameter', is: 'number', unit: 'mm', of: 'well' },
  { name: 'bore_mm', path: 'well.bore', is: 'number', unit: 'mm', of: 'well' },
  { name: 'pump_intake_m', path: 'well.intake', is: 'number', unit: 'm', of: 'well' },
];
