/**
 * What is tapped before a part of the page answers.
 *
 * @alone the script listens to the whole document, and there is no taking that back
 */
import { lazy, Suspense, type ReactNode } from 'react';
import { act } from '@testing-library/react';
import { hydrateRoot } from 'react-dom/client';
import { EarlyTaps } from './EarlyTaps';
import { earlyTapsScript, lateMs } from './earlyTaps';

const clicked: string[] = [];

/** What React does to an element that answers. */
const wake = <T extends Element>(element: T): T => Object.assign(element, { __reactProps$x: {} });
const find = (id: string) => document.getElementById(id)!;

/** Whether what the browser does by itself is done. */
const tap = (id: string) =>
  find(id).dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));

let listeners: [string, EventListener][] = [];

beforeEach(() => {
  jest.useFakeTimers();
  clicked.length = 0;
  document.body.innerHTML = `
    <button id="go"><span id="word">Go</span></button>
    <button id="late">Late</button>
    <a id="link" href="#there"><button id="inside">Inside</button></a>
    <label id="named">Name <input type="text" /></label>
    <label id="ticked"><input id="box" type="checkbox" /></label>`;
  for (const { id } of document.querySelectorAll('button, a')) {
    find(id).addEventListener('click', () => clicked.push(id));
  }
  const add = document.addEventListener.bind(document);
  jest.spyOn(document, 'addEventListener').mockImplementation((type, listener, more) => {
    listeners.push([type, listener as EventListener]);
    add(type, listener, more);
  });
  // As the page runs it, before anything else.
  new Function(earlyTapsScript)();
});

afterEach(() => {
  for (const [type, listener] of listeners) document.removeEventListener(type, listener, true);
  listeners = [];
  jest.restoreAllMocks();
  jest.useRealTimers();
  for (const key of Object.keys(document.body)) Reflect.deleteProperty(document.body, key);
});

describe('a tap before the script', () => {
  it('is done once the script is there, and once alone', () => {
    tap('word');
    tap('go');
    expect(clicked).toEqual([]);
    window.levitarAwake!();
    jest.advanceTimersByTime(500);
    expect(clicked).toEqual([]);
    wake(find('go'));
    jest.advanceTimersByTime(100);
    expect(clicked).toEqual(['go']);
    tap('go');
    expect(clicked).toEqual(['go', 'go']);
  });

  it('does not wait for another that does not answer yet', () => {
    tap('late');
    tap('go');
    window.levitarAwake!();
    wake(find('go'));
    jest.advanceTimersByTime(100);
    expect(clicked).toEqual(['go']);
  });

  it('is left out where nothing answers in time, and where what was tapped has gone', () => {
    tap('go');
    tap('late');
    find('go').remove();
    window.levitarAwake!();
    jest.advanceTimersByTime(lateMs + 100);
    wake(find('late'));
    jest.advanceTimersByTime(lateMs);
    expect(clicked).toEqual([]);
  });

  it('goes as it goes on a link and on what is written in', () => {
    expect(tap('inside')).toBe(true);
    expect(clicked).toEqual(['inside', 'link']);
    expect(tap('named')).toBe(true);
    expect(tap('ticked')).toBe(false);
    expect(find('box')).not.toBeChecked();
    window.levitarAwake!();
    wake(find('ticked'));
    jest.advanceTimersByTime(100);
    expect(find('box')).toBeChecked();
  });
});

describe('a tap on a part that is still on its way', () => {
  /** As React does it: what is not drawn yet, or drawn but not joined, takes no tap. */
  const isJoined = new Set<Element>();
  const react = (event: Event) => {
    const element = event.target as Element;
    if (!isJoined.has(element)) event.stopPropagation();
  };
  afterEach(() => document.removeEventListener('click', react, true));
  beforeEach(() => {
    isJoined.clear();
    document.addEventListener('click', react, true);
    wake(document.body);
    window.levitarAwake!();
  });

  it('is done when that part is there, once', () => {
    tap('late');
    tap('late');
    jest.advanceTimersByTime(200);
    expect(clicked).toEqual([]);
    isJoined.add(wake(find('late')));
    jest.advanceTimersByTime(200);
    expect(clicked).toEqual(['late']);
  });

  it('is done also where that part comes at once after it', () => {
    tap('late');
    isJoined.add(wake(find('late')));
    jest.advanceTimersByTime(200);
    expect(clicked).toEqual(['late']);
  });

  it('is not done again where the part was woken for it', () => {
    isJoined.add(find('go'));
    find('go').addEventListener('click', () => wake(find('go')));
    tap('go');
    jest.advanceTimersByTime(1_000);
    expect(clicked).toEqual(['go']);
  });

  it('waits where the part is drawn and does not answer, and no longer than for any other', () => {
    tap('late');
    wake(find('late'));
    jest.advanceTimersByTime(lateMs / 2);
    expect(clicked).toEqual([]);
    isJoined.add(find('late'));
    jest.advanceTimersByTime(200);
    expect(clicked).toEqual(['late']);

    wake(find('go'));
    tap('go');
    jest.advanceTimersByTime(lateMs + 100);
    isJoined.add(find('go'));
    jest.advanceTimersByTime(lateMs);
    expect(clicked).toEqual(['late']);
  });

  it('leaves a box as it was until then', () => {
    expect(tap('box')).toBe(false);
    expect(find('box')).not.toBeChecked();
    isJoined.add(wake(find('box')));
    jest.advanceTimersByTime(200);
    expect(find('box')).toBeChecked();
  });
});

it('is nobody’s business where it cannot be told what answers', () => {
  const stop = (event: Event) => event.stopPropagation();
  document.addEventListener('click', stop, true);
  window.levitarAwake!();
  tap('go');
  document.removeEventListener('click', stop, true);
  wake(find('go'));
  jest.advanceTimersByTime(1_000);
  expect(clicked).toEqual([]);
});

describe('with React itself', () => {
  it('a part that is hydrated at once after the tap answers to it, once', async () => {
    const taps = jest.fn();
    const Late = () => <button onClick={taps}>Arm</button>;
    let come!: (part: { default: typeof Late }) => void;
    const part = new Promise<{ default: typeof Late }>((resolve) => (come = resolve));
    const Lazy = lazy(() => part);
    const page = (shown: ReactNode) => (
      <html lang="en">
        {/* oxlint-disable-next-line nextjs/no-head-element */}
        <head />
        <body>
          <Suspense>{shown}</Suspense>
          <EarlyTaps />
        </body>
      </html>
    );
    document.documentElement.lang = 'en';
    document.documentElement.innerHTML =
      '<head></head><body><!--$--><button>Arm</button><!--/$--></body>';
    const root = await act(async () => hydrateRoot(document, page(<Lazy />)));
    const button = document.querySelector('button')!;
    act(() => button.click());
    expect(taps).not.toHaveBeenCalled();
    await act(async () => come({ default: Late }));
    expect(document.querySelector('button')).toBe(button);
    act(() => jest.advanceTimersByTime(100));
    expect(taps).toHaveBeenCalledTimes(1);
    act(() => button.click());
    act(() => jest.advanceTimersByTime(100));
    expect(taps).toHaveBeenCalledTimes(2);
    act(() => root.unmount());
  });
});
