/** A copy is made on a thread of its own, so that nobody waits for it. */
import { parentPort, workerData } from 'node:worker_threads';
import { makeCopy } from '../db/copyWork.mjs';

try {
  parentPort.postMessage({ ok: true, made: await makeCopy(workerData) });
} catch (error) {
  // The code alone, for the words: a message may name paths.
  parentPort.postMessage({ ok: false, code: String(error?.code ?? '') });
}
