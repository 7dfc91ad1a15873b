/** Until it is asked for again, milliseconds. */
const pauseMs = 2_000;
/** A minute of it: what has not come by then is not there any more. */
const mostTries = 30;

/** A part of the page did not come: the program was changed meanwhile, or the connection is gone. */
export class PartMissing extends Error {}

/**
 * A part of the page that comes later, asked for again and again: where the connection is gone for a
 * moment it is late, and nothing breaks.
 *
 * @throws PartMissing when it has not come in a minute
 */
export const patiently =
  <Part>(load: () => Promise<Part>) =>
  async (): Promise<Part> => {
    for (let tries = 1; tries < mostTries; tries += 1) {
      try {
        return await load();
      } catch {
        await new Promise((resolve) => setTimeout(resolve, pauseMs));
      }
    }
    return load().catch(() => {
      throw new PartMissing();
    });
  };
