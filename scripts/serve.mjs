/**
 * One server process, started by server.mjs: takes the folder, opens the doors, says that it is
 * ready, and closes everything cleanly when it is told to stop or when whoever started it is gone.
 * Told so, it goes on with the studio in another folder.
 */
import process from 'node:process';
import { openFront } from './front.mjs';
import { root } from './setup.mjs';

const { port, host, door } = JSON.parse(process.env.LEVITAR_SERVE);
delete process.env.LEVITAR_SERVE;

let close = null;
let isStopping = false;

async function stop(code) {
  if (isStopping) return;
  isStopping = true;
  try {
    if (close !== null) await close();
    await globalThis.levitarFront?.end();
  } catch (error) {
    console.error('Stopping failed:', error instanceof Error ? error.name : 'unknown');
  }
  process.exit(code);
}

async function goOnWith(folder) {
  const { begin, end } = globalThis.levitarFront;
  await end();
  // Whoever asks from here on asks for that one.
  process.env.LEVITAR_DATA = folder;
  begin();
  process.send({ kind: 'begun' });
}

for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => void stop(0));
// Whoever started this process is gone: nobody would ever stop it.
process.on('disconnect', () => void stop(0));
process.on('message', (message) => {
  if (message.kind === 'stop') void stop(0);
  if (message.kind === 'go on with') void goOnWith(message.folder);
});
for (const event of ['uncaughtException', 'unhandledRejection']) {
  process.on(event, (error) => {
    // The name alone: a message may quote what somebody typed.
    console.error('The server failed:', error instanceof Error ? error.name : 'unknown');
    // One request that failed outside every net is not a reason to put everybody out.
    if (event === 'uncaughtException' && close === null) void stop(1);
  });
}

try {
  close = await openFront({
    root,
    port,
    host,
    door: door === null ? null : { ...door, names: new Set(door.names) },
  });
  process.send?.({ kind: 'ready' });
} catch (error) {
  const words = error instanceof Error ? error.message : 'The server could not be started.';
  process.send?.({ kind: 'failed', words });
  console.error(words);
  await stop(1);
}
