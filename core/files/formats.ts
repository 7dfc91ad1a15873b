import { z } from 'zod';
import { entriesFile } from '../catalog/entries';
import { profileFile } from '../catalog/profileChanges';
import { roomFile } from '../room/roomFile';
import { commands } from '../commands/commands';
import { studioFile } from './studioFile';

/** Every format as JSON Schema, by the name of its file under docs/formats. */
export function writeFormats(): Readonly<Record<string, string>> {
  const schemas: Record<string, z.ZodType> = {
    entries: entriesFile,
    profile: profileFile,
    room: roomFile,
    studio: studioFile,
  };
  for (const [name, { input, output }] of Object.entries(commands)) {
    schemas[`${name}.input`] = input;
    schemas[`${name}.output`] = output;
  }
  return Object.fromEntries(
    Object.entries(schemas).map(([name, schema]) => [
      `${name}.schema.json`,
      `${JSON.stringify(z.toJSONSchema(schema, { io: 'input' }), null, 2)}\n`,
    ]),
  );
}
