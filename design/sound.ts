/** The pacer's own sounds, made on the spot: a rising tone to breathe in, a falling one out, a bell. */
let context: AudioContext | null = null;

/** Browsers allow sound only after a tap: called from one. */
export function wakeSound(): void {
  if (typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  if (context.state === 'suspended') void context.resume();
}

interface Tone {
  readonly from: number;
  readonly to: number;
  readonly seconds: number;
  readonly loudness: number;
}

function play({ from, to, seconds, loudness }: Tone): void {
  if (context === null || context.state !== 'running') return;
  const now = context.currentTime;
  const tone = context.createOscillator();
  const volume = context.createGain();
  tone.type = 'sine';
  tone.frequency.setValueAtTime(from, now);
  tone.frequency.exponentialRampToValueAtTime(to, now + seconds);
  volume.gain.setValueAtTime(0.0001, now);
  volume.gain.exponentialRampToValueAtTime(loudness, now + Math.min(0.25, seconds / 3));
  volume.gain.exponentialRampToValueAtTime(0.0001, now + seconds);
  tone.connect(volume).connect(context.destination);
  tone.start(now);
  tone.stop(now + seconds);
}

export const soundIn = (seconds: number): void =>
  play({ from: 220, to: 330, seconds: Math.min(seconds, 1.6), loudness: 0.12 });

export const soundOut = (seconds: number): void =>
  play({ from: 330, to: 196, seconds: Math.min(seconds, 1.6), loudness: 0.1 });

/** A hold ends or a reset begins. */
export const soundBell = (): void => play({ from: 660, to: 655, seconds: 1.4, loudness: 0.2 });
