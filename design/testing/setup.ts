/** What the component tests need of a browser that their stand-in does not have. */
import '@testing-library/jest-dom';

import { configure } from '@testing-library/react';

import { TextDecoder, TextEncoder } from 'node:util';
import { deserialize, serialize } from 'node:v8';

// Patience here as well: what is waited for comes, however busy the machine is.
configure({ asyncUtilTimeout: 20_000 });

class NoObserver {
  observe(): void {
    // Nothing is ever laid out here, so nothing is ever seen to change.
  }
  unobserve = this.observe;
  disconnect = this.observe;
}

Object.assign(globalThis, {
  ResizeObserver: NoObserver,
  TextEncoder,
  TextDecoder,
  structuredClone: (value: unknown) => deserialize(serialize(value)) as unknown,
});

Object.defineProperty(window, 'matchMedia', {
  value: (query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    addListener: () => undefined,
    removeListener: () => undefined,
    dispatchEvent: () => false,
    onchange: null,
  }),
});
Element.prototype.scrollIntoView = () => undefined;

/** A dialog opens and closes; that it keeps the focus is the browser's, and looked at there. */
HTMLDialogElement.prototype.showModal = function open(this: HTMLDialogElement) {
  this.open = true;
};
HTMLDialogElement.prototype.close = function close(this: HTMLDialogElement) {
  this.open = false;
};
