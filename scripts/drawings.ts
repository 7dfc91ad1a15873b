/** Every shape and every movement on one sheet each, as SVG into a folder: what `npm run screenshots` pictures. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { drawContactSheet, drawMoveSheet } from '@/core/drawing/contactSheet';
import { palettes } from '@/core/drawing/palette';
import { atlasBody } from '@/core/drawing/strip';

const folder = process.argv[2] ?? '.';
writeFileSync(path.join(folder, 'shapes.svg'), drawContactSheet(atlasBody, palettes.light));
writeFileSync(path.join(folder, 'one-ink.svg'), drawContactSheet(atlasBody, palettes.oneInk));
writeFileSync(path.join(folder, 'moves.svg'), drawMoveSheet(palettes.light));
