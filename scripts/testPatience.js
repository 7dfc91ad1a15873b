// A shared machine stalls now and then: patience, never a second try. Nothing here says how fast
// something has to be; that is what the benchmark is for.
jest.setTimeout(60_000);
