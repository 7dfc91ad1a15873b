/** Writes docs/formats/*.schema.json from the core's own schemas. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { writeFormats } from '@/core/files/formats';

for (const [name, text] of Object.entries(writeFormats())) {
  writeFileSync(path.join(process.cwd(), 'docs', 'formats', name), text);
}
