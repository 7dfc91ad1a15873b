/**
 * Takes a large file of a studio in, beside the server that asked for it: reads what to do from its
 * input, says line by line how far it is, and at the end the outcome. Killed in the middle it leaves
 * the studio as it was.
 */
import { readFileSync, statSync } from 'node:fs';
import { atDesk } from '@/server/network/asker';
import { askingAs } from '@/server/network/asking';
import { closeDatabase } from '@/server/database';
import { takeStudioFile } from '@/server/files/studioFile';
import { fileSource } from '@/server/files/studioStream';

const { file, isFinal, who } = JSON.parse(readFileSync(0, 'utf8')) as {
  file: string;
  isFinal: boolean;
  who: string;
};
const say = (line: object) => process.stdout.write(`${JSON.stringify(line)}\n`);
let said = 0;
const outcome = askingAs(atDesk(who), () =>
  takeStudioFile(fileSource(file, statSync(file).size), isFinal, (share) => {
    if (share - said < 0.01) return;
    said = share;
    say({ share });
  }),
);
say({ outcome });
closeDatabase();
