import { existsSync, readFileSync } from 'node:fs';
import { roundRooms, visitRooms, type StepRoom } from '@fonte/core/round';
import { expect, it } from 'vitest';
import { roomPath } from '../visit/paths.ts';
import { addresses, rooms } from './rooms.ts';

it('has each address once, and the entrances among them', () => {
  const all = addresses();
  expect(new Set(all).size).toBe(all.length);
  expect(all).toContain('/rounds/:round/at/:visit/tap');
  expect(all).toContain('/rounds/:round/at/:visit/tap/:procedure');
  for (const { entrance } of rooms) if (entrance) expect(all).toContain(entrance.path);
});

it('leaves no page without a room', () => {
  for (const { name } of rooms.filter((room) => room.name !== 'book')) {
    const door = new URL(`../${name}/room.ts`, import.meta.url);
    expect(existsSync(door), name).toBe(true);
    const imported = [...readFileSync(door, 'utf8').matchAll(/import\('\.\/([^']+)'\)/g)].map((match) => match[1]!);
    for (const file of imported) expect(existsSync(new URL(file, door)), `${name}/${file}`).toBe(true);
  }
});

it('has a page wherever a step of the work may lead', () => {
  const all = addresses();
  for (const room of Object.keys(visitRooms) as StepRoom[]) expect(all).toContain(roomPath(':round', room, ':visit'));
  for (const room of Object.keys(roundRooms) as StepRoom[]) expect(all).toContain(roomPath(':round', room, null));
});
