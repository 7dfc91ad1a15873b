import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { writeFormats } from './formats';

const folder = path.join('docs', 'formats');

describe('the documented formats', () => {
  const formats = writeFormats();

  it.each(Object.keys(formats))('%s says what is read and written', (name) => {
    // As `npm run formats` writes it.
    const written = JSON.parse(readFileSync(path.join(folder, name), 'utf8')) as unknown;
    expect(written).toEqual(JSON.parse(formats[name]!));
  });

  it('are all there are: none is left of a format that is gone', () => {
    const files = readdirSync(folder).filter((name) => name.endsWith('.schema.json'));
    expect(files.sort()).toEqual(Object.keys(formats).sort());
  });
});
