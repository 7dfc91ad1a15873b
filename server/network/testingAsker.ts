/** Headers as the guard writes them, for tests of what stands behind it. */
import { askerHeader, atDesk, writeAsker, type Asker } from './asker';

export const headersOf = (asker: Asker): Headers =>
  new Headers({ [askerHeader]: writeAsker(asker) });

export const asTeacher = (): Headers => headersOf(atDesk('Vera'));

export const asAssistant = (): Headers =>
  headersOf({ ...atDesk('Helper'), role: 'assistant', deviceId: 1, isFromNetwork: true });
