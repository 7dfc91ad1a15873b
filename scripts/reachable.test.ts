import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { findReachable } from './reachable.mjs';

let out: string;

beforeEach(() => {
  out = mkdtempSync(path.join(os.tmpdir(), 'levitar-reachable-'));
});
afterEach(() => rmSync(out, { recursive: true, force: true }));

function put(place: string, text: string): void {
  const file = path.join(out, place);
  mkdirSync(path.dirname(file), { recursive: true });
  writeFileSync(file, text);
}

const page = '(class)/floor/[uid]';

it('finds what a page begins with, what that asks for later, and no more', () => {
  put('build-manifest.json', '{"rootMainFiles":["static/chunks/root.js"]}');
  put(
    `server/app/${page}/page_client-reference-manifest.js`,
    'x={"chunks":["/_next/static/chunks/0a_class.js","static/chunks/look.css"]}',
  );
  put('static/chunks/root.js', '');
  put('static/chunks/0a_class.js', 'l(["static/chunks/later~1.js"]);import("./gone.js")');
  // Two that name each other.
  put('static/chunks/later~1.js', 'l("static/chunks/worker.js")');
  put('static/chunks/worker.js', 'l("static/chunks/later~1.js")');
  put('static/chunks/look.css', 'a{}');
  put('static/chunks/another.js', 'l("static/chunks/root.js")');
  put('static/media/face.woff2', '');
  expect(findReachable(out, page)).toEqual([
    'chunks/0a_class.js',
    'chunks/later~1.js',
    'chunks/look.css',
    'chunks/root.js',
    'chunks/worker.js',
  ]);
});

it('says which page is not there, and keeps nothing in its place', () => {
  put('build-manifest.json', '{}');
  put('static/chunks/root.js', '');
  expect(() => findReachable(out, page)).toThrow('The build has no page (class)/floor/[uid].');
});
