import { streamText } from './stream';

function source() {
  const seen = { given: 0, isClosed: false };
  function* pieces() {
    try {
      for (;;) {
        seen.given += 1;
        yield `${seen.given}\n`;
      }
    } finally {
      seen.isClosed = true;
    }
  }
  return { seen, stream: streamText(pieces()) };
}

it('works out what is read and no more, and lets go when whoever reads it goes away', async () => {
  const { seen, stream } = source();
  const reader = stream.getReader();
  const { value } = await reader.read();
  expect(new TextDecoder().decode(value)).toBe('1\n');
  expect(seen.given).toBeLessThanOrEqual(3);
  expect(seen.isClosed).toBe(false);
  await reader.cancel();
  expect(seen.isClosed).toBe(true);
});

it('ends with what it is made of', async () => {
  const text = await new Response(streamText(['a', 'é', 'b'].values())).text();
  expect(text).toBe('aéb');
});
