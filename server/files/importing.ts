/**
 * While a large file is written by a process of its own, the studio's file is in its hands: changes
 * wait their turn here, without keeping anybody from reading.
 */
const holder = globalThis as { levitarWriting?: Promise<unknown> | undefined };

const patienceMs = 60_000;

/** Resolves when nobody holds the file, or after so long: whoever asked is then told that it is busy. */
export async function whenIdle(limitMs = patienceMs): Promise<boolean> {
  const writing = holder.levitarWriting;
  if (writing === undefined) return true;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<boolean>((resolve) => {
    timer = setTimeout(() => resolve(false), limitMs);
  });
  const isDone = await Promise.race([writing.then(() => true), late]);
  clearTimeout(timer);
  return isDone;
}

/** Others' changes wait until the work is done, however it ends. */
export async function holdingOthers<T>(work: () => Promise<T>): Promise<T> {
  await whenIdle();
  const mine = work();
  const settled = mine.catch(() => undefined);
  holder.levitarWriting = settled;
  try {
    return await mine;
  } finally {
    if (holder.levitarWriting === settled) holder.levitarWriting = undefined;
  }
}
