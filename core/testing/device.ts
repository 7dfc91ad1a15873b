/** Devices of a class, and what is tapped on them. */
import type { CheckKey } from '../catalog/checks';
import type { FloorAct, Tap } from '../running/tap';

/** A device with two clocks that a test can set, put to sleep and reload. */
export function makeDevice(device: string, { wallMs = 1_000_000, monoMs = 0, boot = 'a' } = {}) {
  const state = { wallMs, monoMs, boot: `${device}-${boot}`, seq: 0, serverAhead: 0 };
  return {
    state,
    wait(seconds: number) {
      state.wallMs += seconds * 1000;
      state.monoMs += seconds * 1000;
    },
    sleep(seconds: number) {
      state.wallMs += seconds * 1000;
      state.serverAhead += seconds * 1000;
    },
    setClock(seconds: number) {
      state.wallMs += seconds * 1000;
    },
    reload(seconds: number, name: string) {
      state.wallMs += seconds * 1000;
      state.serverAhead += state.monoMs + seconds * 1000;
      state.monoMs = 0;
      state.boot = `${device}-${name}`;
    },
    tap(act: FloorAct): Tap {
      state.seq += 1;
      const { boot: load, monoMs: mono, wallMs: wall } = state;
      return { device, seq: state.seq, at: { boot: load, monoMs: mono, wallMs: wall }, act };
    },
    anchor(): Tap {
      const serverMs = 5_000_000 + state.serverAhead + state.monoMs;
      return this.tap({ kind: 'anchor', serverMs, roundTripMs: 20 });
    },
  };
}

export const start = (hold: string, people: string[], check: CheckKey | null = 'dolphin-hold') =>
  ({ kind: 'hold-start', hold, check, base: null, side: null, people }) as const;
export const down = (hold: string, person: string) =>
  ({ kind: 'hold-down', hold, person }) as const;
export const stop = (hold: string) => ({ kind: 'hold-stop', hold }) as const;
