import type { IncomingMessage, ServerResponse } from 'node:http';
import type { AnswerState } from '../server/network/answerState';

type Handle = (request: IncomingMessage, response: ServerResponse) => unknown;

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
