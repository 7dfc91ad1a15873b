/**
 * A load scale as a stream of readings. The practice scale ships with the program; a real one is
 * fetched by the server from the one address that the teacher has allowed, never by the page.
 */
import http from 'node:http';
import { createParser } from 'eventsource-parser';
import { practiceReadings, practiceRule, usualPractice } from '@/core/scale/practice';
import { isReading } from '@/core/scale/steady';
import { getSettings } from '@/db/courses';
import { database } from '../database';
import { pinScale, readScaleUrl, scaleAddressWords, type Resolve } from './scaleAddress';

const scaleRule = {
  /** A scale that says nothing for so long is told to be silent. */
  silentMs: 4000,
  /** A stream is closed after so long. */
  longestMs: 10 * 60_000,
  mostNonsense: 200,
  /** Bytes of a line, and of what arrives at once. */
  mostLine: 64_000,
  mostChunk: 1_000_000,
  perSecond: 20,
} as const;

const within = (text: string | null, low: number, high: number, usual: number): number => {
  const value = text === null || text === '' ? Number.NaN : Number(text);
  return Number.isFinite(value) ? Math.min(high, Math.max(low, value)) : usual;
};

type Send = (event: string, data: object) => void;

/** @param asked `source` is `practice` or `device`; the practice scale's dials otherwise */
export function openScale(asked: URLSearchParams, signal: AbortSignal): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  const own = new AbortController();
  signal.addEventListener('abort', () => own.abort());
  return new ReadableStream({
    start(controller) {
      const send: Send = (event, data) => {
        if (own.signal.aborted) return;
        try {
          controller.enqueue(encoder.encode(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`));
        } catch {
          own.abort();
        }
      };
      const end = () => {
        own.abort();
        try {
          controller.close();
        } catch {
          // Whoever listened has gone already.
        }
      };
      const timer = setTimeout(end, scaleRule.longestMs);
      own.signal.addEventListener('abort', () => clearTimeout(timer));
      if (asked.get('source') === 'device') void readDevice(send, own.signal).finally(end);
      else playPractice(asked, send, own.signal);
    },
    cancel: () => own.abort(),
  });
}

function playPractice(asked: URLSearchParams, send: Send, signal: AbortSignal): void {
  const readings = practiceReadings(
    {
      levelKg: within(asked.get('level'), 0, 60, usualPractice.levelKg),
      noiseKg: within(asked.get('noise'), 0, 10, usualPractice.noiseKg),
      driftKgPerMinute: within(asked.get('drift'), -20, 20, usualPractice.driftKgPerMinute),
      dropShare: within(asked.get('drops'), 0, 0.5, usualPractice.dropShare),
    },
    within(asked.get('seed'), 1, 1e9, 1),
  );
  let isSilent = false;
  const timer = setInterval(() => {
    const kg = readings.next().value as number | null;
    if (kg !== null) send('reading', { kg: Math.round(kg * 1000) / 1000 });
    else if (!isSilent) send('silent', {});
    isSilent = kg === null;
  }, practiceRule.everySeconds * 1000);
  signal.addEventListener('abort', () => clearInterval(timer));
}

/** A number, or an object with `kg`: what a scale may send; `null` for anything else. */
export function readReading(data: string): number | null {
  let value: unknown;
  try {
    value = JSON.parse(data);
  } catch {
    return null;
  }
  const kg = typeof value === 'object' && value !== null ? (value as { kg?: unknown }).kg : value;
  return typeof kg === 'number' && isReading(kg) ? kg : null;
}

/** How the stream of a pinned address is opened: nothing is followed, nothing is asked twice. */
export type Dial = (
  url: URL,
  address: string,
  signal: AbortSignal,
) => Promise<AsyncIterable<Buffer>>;

export const dialHttp: Dial = (url, address, signal) =>
  new Promise((resolve, reject) => {
    const request = http.get(
      {
        host: address,
        port: url.port === '' ? 80 : Number(url.port),
        path: `${url.pathname}${url.search}`,
        headers: { accept: 'text/event-stream', host: url.host },
        signal,
        timeout: scaleRule.silentMs * 3,
        maxHeaderSize: 8192,
      },
      (response) => {
        if (response.statusCode === 200) resolve(response);
        else {
          response.destroy();
          reject(new Error('no stream'));
        }
      },
    );
    request.once('timeout', () => request.destroy(new Error('silent')));
    request.once('error', reject);
  });

/** Lets so many a second through; the rest is no more than what was said before. */
function pace(perSecond: number, nowMs: () => number): () => boolean {
  let since = Number.NEGATIVE_INFINITY;
  let count = 0;
  return () => {
    const at = nowMs();
    if (at - since >= 1000) {
      since = at;
      count = 0;
    }
    count += 1;
    return count <= perSecond;
  };
}

const lost = 'The scale was not reached, or sends nothing that a scale would send.';

interface Wire {
  readonly resolve?: Resolve;
  readonly dial?: Dial;
}

/**
 * Reads the allowed address and passes on what can be a reading; says when it falls silent, and
 * nothing about whatever else may stand at the other end.
 */
export async function readDevice(
  send: Send,
  signal: AbortSignal,
  address: string | null = getSettings(database()).scaleAddress,
  { resolve, dial = dialHttp }: Wire = {},
): Promise<void> {
  if (address === null) {
    send('problem', { words: 'No scale is allowed yet: give its address under Settings.' });
    return;
  }
  const url = readScaleUrl(address);
  const pinned = url === null ? null : await pinScale(url, resolve);
  if (url === null || pinned === null) {
    send('problem', { words: scaleAddressWords });
    return;
  }
  let nonsense = 0;
  let silence: ReturnType<typeof setTimeout> | undefined;
  const mayPass = pace(scaleRule.perSecond, () => performance.now());
  const listen = () => {
    clearTimeout(silence);
    silence = setTimeout(() => send('silent', {}), scaleRule.silentMs);
  };
  const parser = createParser({
    onEvent: ({ data }) => {
      const kg = readReading(data);
      if (kg !== null) {
        listen();
        if (mayPass()) send('reading', { kg });
        return;
      }
      nonsense += 1;
      if (mayPass()) send('nonsense', { count: nonsense });
    },
  });
  let sinceLine = 0;
  try {
    listen();
    const decoder = new TextDecoder();
    for await (const chunk of await dial(url, pinned, signal)) {
      const end = Math.max(chunk.lastIndexOf(10), chunk.lastIndexOf(13));
      sinceLine = end < 0 ? sinceLine + chunk.length : chunk.length - end - 1;
      // A line without an end would fill the memory: nothing of it is even read.
      if (sinceLine > scaleRule.mostLine || chunk.length > scaleRule.mostChunk)
        throw new Error('no scale');
      parser.feed(decoder.decode(chunk, { stream: true }));
      if (nonsense > scaleRule.mostNonsense) throw new Error('no scale');
    }
    send('problem', { words: 'The scale has ended its stream. Start again.' });
  } catch {
    if (!signal.aborted) send('problem', { words: lost });
  } finally {
    clearTimeout(silence);
  }
}
