/** Runs once when the server starts, before the first request. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { beginServing } = await import('./server/serving');
  beginServing();
}

/** A page that could not be drawn: perhaps because of a row that nobody of ours has written. */
export async function onRequestError(error: unknown): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { afterFailure } = await import('./server/serving');
  afterFailure(error);
}
