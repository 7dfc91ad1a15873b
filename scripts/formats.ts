/** Writes docs/formats/*.schema.json from the core's own schemas. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { commands } from '@/core/cli/commands';

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
