import type { IncomingMessage, ServerResponse } from 'node:http';

type Handle = (request: IncomingMessage, response: ServerResponse) => unknown;

export interface AnswerState {
  readonly asker: string;
  readonly studio: string;
}

export interface ShareRule {
  readonly keepMs: number;
  readonly pages: number;
  readonly mostBytes: number;
  readonly atOnce: number;
  readonly turnMs: number;
}
export const shareRule: ShareRule;
export function shareAnswers(
  handle: Handle,
  stateOf: (request: IncomingMessage) => AnswerState | null,
  rule?: ShareRule,
): (request: IncomingMessage, response: ServerResponse) => Promise<unknown>;
