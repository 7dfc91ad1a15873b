/** Every page of a server, read as its readers see them. */
import type { APIRequestContext } from '@playwright/test';
import type { OwnServer } from '../ownServer';

/** A page as its reader sees it: without scripts, and without what is new at every request. */
const plainPage = (html: string) =>
  html
    .replace(/<script\b[^>]*>[\s\S]*?<\/script>/g, '')
    .replace(/<link\b[^>]*>/g, '')
    .replace(/ nonce="[^"]*"/g, '')
    // Clocks: on the wall, of what is left, in a calendar file.
    .replace(/>\d{2}:\d{2}<\/strong>/g, '>')
    .replace(/<output\b[^>]*>[\s\S]*?<\/output>/g, '')
    .replace(/^DTSTAMP:.*$/gm, '');

/** Where two texts begin to differ, with a little of both; null where they do not. */
export function findDifference(one: string, other: string): string | null {
  if (one === other) return null;
  let at = 0;
  while (one[at] === other[at]) at += 1;
  const near = (text: string) => text.slice(Math.max(0, at - 60), at + 100);
  return `${near(one)}\n${near(other)}`;
}

const links = (html: string) =>
  [...html.matchAll(/<a\b[^>]*\bhref="(\/[^"#]*)"/g)].map(([, href]) =>
    href!.replace(/&amp;/g, '&'),
  );

/**
 * One in this many of the pages that show a rung as somebody's: they are as many as rungs times
 * people, and what can be wrong in them is wrong for the rung or for the person.
 */
const oneRungIn = 8;

/** Each rung comes up with some people, each person with some rungs, the same ones every time. */
function isSpared(address: string): boolean {
  const [, rung, person] = /^\/ladders\/([^?]+)\?person=(\d+)$/.exec(address) ?? [];
  if (rung === undefined || person === undefined) return false;
  const sum = [...rung].reduce((total, letter) => total + letter.charCodeAt(0), Number(person));
  return sum % oneRungIn !== 0;
}

/** Every page that can be reached by following links, as it stands; of rungs times people some. */
export async function readEverything(
  request: APIRequestContext,
  { address }: OwnServer,
): Promise<ReadonlyMap<string, string>> {
  const pages = new Map<string, string>();
  const open = ['/', '/settings', '/devices', '/record', '/profiles', '/entries', '/home-practice'];
  for (let at = open.shift(); at !== undefined; at = open.shift()) {
    if (pages.has(at) || isSpared(at)) continue;
    const response = await request.get(address + at);
    if (response.status() !== 200) throw new Error(`${at}: ${response.status()}`);
    const isPage = (response.headers()['content-type'] ?? '').includes('text/html');
    const text = await response.text();
    pages.set(at, plainPage(text));
    if (isPage) open.push(...links(text));
  }
  return pages;
}
