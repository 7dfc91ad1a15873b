/** Pieces of text as a stream that waits for whoever reads it. */
export function streamText(pieces: Iterator<string>): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream({
    pull(controller) {
      const { value, done } = pieces.next();
      if (done === true) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
    // Whoever reads it went away: nothing of the database stays open for them.
    cancel() {
      pieces.return?.();
    },
  });
}
