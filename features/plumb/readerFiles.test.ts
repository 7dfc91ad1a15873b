import { answerReaderFile } from './readerFiles';

const ask = (file: string) =>
  answerReaderFile(new Request('http://localhost/'), { params: Promise.resolve({ file }) });

it('hands out what the reader is made of, from the installed packages', async () => {
  const model = await ask('blazepose-full.json');
  expect(model.status).toBe(200);
  const { signature } = (await model.json()) as { signature: { outputs: object } };
  expect(Object.keys(signature.outputs)).toEqual(
    expect.arrayContaining(['output_poseflag', 'ld_3d']),
  );
  const program = await ask('tfjs-backend-wasm-simd.wasm');
  expect(program.headers.get('Content-Type')).toBe('application/wasm');
  expect((await program.arrayBuffer()).byteLength).toBeGreaterThan(100_000);
});

it.each(['package.json', '../package.json', '..%2F..%2F.env', 'constructor', ''])(
  'and nothing else: %j',
  async (file) => {
    expect((await ask(file)).status).toBe(404);
  },
);
