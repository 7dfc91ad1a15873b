/** The made-up loft: one good wall, one half-blocked, a low beam at one end, a door that swings in. */
import { roomFile } from '@/core/room/roomFile';

export const demoRoom = roomFile.parse({
  format: 'levitar-room',
  version: 1,
  name: 'The Oakum Loft',
  widthM: 9.6,
  depthM: 7.2,
  ceilingM: 2.8,
  blocked: [
    { wall: 'south', fromM: 0, toM: 9.6, what: 'windows to the water' },
    { wall: 'west', fromM: 0, toM: 3.4, what: 'stove and coats' },
    { wall: 'east', fromM: 3, toM: 7.2, what: 'rowing boat on a rack' },
  ],
  doors: [{ wall: 'east', fromM: 0.6, toM: 1.5, opensIn: true }],
  low: [{ xM: 8.4, yM: 0, widthM: 1.2, depthM: 7.2, heightM: 2.05, what: 'tie beam' }],
});
