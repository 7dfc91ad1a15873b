/** Which scripts and styles a page of the built application can ever ask for. */
import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';

const name = /[\w.~-]+\.(?:js|css)\b/g;

/**
 * A script asks for another one by its name, now or when a part of the page is opened: whatever is named
 * in the page's own list, or in a script that is named there, and so on.
 *
 * @param out the folder of the build
 * @param page the folder of the page in the build, from `server/app` on
 * @returns paths from `static` on
 * @throws Error where there is no such page
 */
export function findReachable(out, page) {
  const list = path.join(out, 'server', 'app', page, 'page_client-reference-manifest.js');
  if (!existsSync(list)) throw new Error(`The build has no page ${page}.`);
  const statics = path.join(out, 'static');
  const places = new Map(
    readdirSync(statics, { recursive: true, encoding: 'utf8' })
      .filter((file) => statSync(path.join(statics, file)).isFile())
      .map((file) => [path.basename(file), file.split(path.sep).join('/')]),
  );
  const found = new Set();
  // What every page begins with stands in a list of its own.
  const open = [list, path.join(out, 'build-manifest.json')];
  for (let file = open.pop(); file !== undefined; file = open.pop()) {
    for (const [one] of readFileSync(file, 'utf8').matchAll(name)) {
      const place = places.get(one);
      if (place === undefined || found.has(place)) continue;
      found.add(place);
      if (one.endsWith('.js')) open.push(path.join(statics, place));
    }
  }
  return [...found].sort();
}
