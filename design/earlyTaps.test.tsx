import { earlyTapsScript, lateMs } from './earlyTaps';

const clicked: string[] = [];

/** What React does to an element that answers. */
const wake = (element: Element) => Object.assign(element, { __reactProps$x: {} });
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
  it('is done when that part is there, unless it was woken for it', () => {
    wake(document.body);
    window.levitarAwake!();
    // Nothing holds it back; whoever draws the page swallows what it cannot do yet.
    find('late').addEventListener('click', (event) => event.preventDefault());
    tap('late');
    expect(clicked).toEqual(['late']);
    clicked.length = 0;
    jest.advanceTimersByTime(200);
    wake(find('late'));
    jest.advanceTimersByTime(200);
    expect(clicked).toEqual(['late']);

    clicked.length = 0;
    find('go').addEventListener('click', () => wake(find('go')));
    tap('go');
    jest.advanceTimersByTime(1_000);
    expect(clicked).toEqual(['go']);
  });

  it('is nobody’s business where it cannot be told what answers', () => {
    window.levitarAwake!();
    tap('go');
    wake(find('go'));
    jest.advanceTimersByTime(1_000);
    expect(clicked).toEqual(['go']);
  });
});
