/** Writes docs/formats/*.schema.json from the core's own schemas. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { entriesFile } from '@/core/catalog/entries';
import { profileFile } from '@/core/catalog/profileChanges';
import { commands } from '@/core/cli/commands';
import { studioFile } from '@/core/cli/studioFile';
import { roomFile } from '@/core/room/room';

const folder = path.join(process.cwd(), 'docs', 'formats');
for (const [name, { input, output }] of Object.entries(commands)) {
  for (const [side, schema] of Object.entries({ input, output })) {
    const json = z.toJSONSchema(schema, { io: 'input' });
    writeFileSync(
      path.join(folder, `${name}.${side}.schema.json`),
      `${JSON.stringify(json, null, 2)}\n`,
    );
  }
}

for (const [name, schema] of Object.entries({
  entries: entriesFile,
  profile: profileFile,
  room: roomFile,
  studio: studioFile,
})) {
  const json = z.toJSONSchema(schema, { io: 'input' });
  writeFileSync(path.join(folder, `${name}.schema.json`), `${JSON.stringify(json, null, 2)}\n`);
}
