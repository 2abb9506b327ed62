import { handedOver } from '@fonte/core/custody';
import { levelRead } from '@fonte/core/level';
import { PurgeChoice, purgeReading } from '@fonte/core/purge';
import { Point } from '@fonte/core/registers';
import { expect, it } from 'vitest';
import { z } from 'zod';
import { fieldAt } from './schema.ts';
import { fieldOf } from './values.ts';

it('finds what a field is called, how it is typed and how long it may be, through whatever its schema is wrapped in', () => {
  expect(fieldAt(levelRead.payload, ['depth'])).toEqual({ title: 'Depth to water', units: ['m', 'ft', 'mm'], isOptional: false });
  expect(fieldAt(levelRead.payload, ['kept'])).toMatchObject({ most: 300, isOptional: true });
  expect(fieldAt(handedOver.payload, ['boxes', 0, 'seal'])).toEqual({ title: 'Seal number', most: 40, isOptional: true });
  expect(fieldAt(PurgeChoice, ['bottom'])).toMatchObject({ title: 'Bottom below the mark', isOptional: true });
  expect(fieldAt(Point, ['well', 'measuringPoints', 0, 'stickUp'])).toMatchObject({ title: 'Mark above ground', isOptional: true });
  expect(fieldAt(purgeReading.payload, ['values', 'ph']).isOptional).toBe(true);
  expect(fieldAt(z.object({ instead: levelRead.payload.optional() }), ['instead', 'depth'])).toMatchObject({ title: 'Depth to water' });
  expect(fieldAt(levelRead.payload, ['nothing', 'there'])).toEqual({ isOptional: false });
});

it('puts a problem at its field, at the one that holds it, or at the first of those within', () => {
  const fields = ['depth', 'values.ph', 'values.temperature', 'conditions.A-1'];
  expect(fieldOf('depth', fields)).toBe('depth');
  expect(fieldOf('depth.text', fields)).toBe('depth');
  expect(fieldOf('values.temperature.text', fields)).toBe('values.temperature');
  expect(fieldOf('values', fields)).toBe('values.ph');
  expect(fieldOf('depths', fields)).toBeUndefined();
});
