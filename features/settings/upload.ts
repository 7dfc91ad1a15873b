'use client';

import type { Taken, TakeLine } from '@/server/files/takeUpload';

const pieceBytes = 3_000_000;

export type Progress = (share: number) => void;

const offline = { ok: false, problems: { form: 'The studio’s computer did not answer.' } } as const;

/** Brings a file to the server piece by piece; `null`, with words, where that did not work. */
export async function uploadFile(
  file: Blob,
  onProgress: Progress,
): Promise<{ readonly id: string } | { readonly problem: string }> {
  const id = crypto.randomUUID();
  let at = 0;
  let tries = 0;
  do {
    try {
      const response = await fetch(`/settings/upload?id=${id}&at=${at}`, {
        method: 'POST',
        body: file.slice(at, at + pieceBytes),
      });
      const answer = (await response.json()) as { bytes?: number; problem?: string };
      if (answer.bytes === undefined) return { problem: answer.problem ?? 'That did not work.' };
      at = answer.bytes;
      tries = 0;
    } catch {
      tries += 1;
      if (tries > 3) return { problem: 'The studio’s computer did not answer.' };
    }
    onProgress(file.size === 0 ? 1 : at / file.size);
  } while (at < file.size);
  return { id };
}

export const dropUpload = (id: string): void =>
  void fetch(`/settings/upload?id=${id}`, { method: 'DELETE' }).catch(() => undefined);

/** Has an uploaded file looked at, or taken in; hears how far it is. */
export async function takeUploaded(
  { id, kind, passphrase }: { id: string; kind: 'studio' | 'records'; passphrase: string },
  isFinal: boolean,
  onProgress: Progress,
): Promise<Taken> {
  try {
    const response = await fetch(
      `/settings/import?id=${id}&kind=${kind}${isFinal ? '&final=yes' : ''}`,
      {
        method: 'POST',
        headers: passphrase === '' ? {} : { 'x-passphrase': encodeURIComponent(passphrase) },
      },
    );
    if (!response.ok || response.body === null) return offline;
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
    let rest = '';
    let outcome: Taken = offline;
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return outcome;
      const lines = (rest + value).split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) {
        const said = JSON.parse(line) as TakeLine;
        if ('share' in said) onProgress(said.share);
        else outcome = said.outcome;
      }
    }
  } catch {
    return offline;
  }
}
