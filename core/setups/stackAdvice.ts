import { specOf } from '../catalog/pieces';
import { findBorrow, findStack, type Stack, type StackRequest } from '../pieces/stack';
import { cm, type SetupInput } from './setup';

const noStack: Stack = {
  found: false,
  heightM: null,
  layers: [],
  nearest: { below: null, above: null },
};

/** What the tape reads as nothing is nothing: a pile of half a centimetre helps nobody. */
const isNothing = ({ targetM }: StackRequest) => targetM < 0.005;

/** The stack for a height, and what to say when these pieces cannot make it. */
export function adviseStack(
  { isBare }: Pick<SetupInput, 'isBare'>,
  request: StackRequest,
): { stack: Stack; cautions: string[] } {
  if (isBare) return { stack: noStack, cautions: [] };
  const stack = findStack(isNothing(request) ? { ...request, targetM: 0 } : request);
  if (stack.found) return { stack, cautions: [] };
  const { below, above } = stack.nearest;
  const near = [below, above].filter((height) => height !== null).map(cm);
  const borrow = findBorrow(request);
  const sentences = [
    near.length === 0
      ? `Nothing at hand covers the place for a height of ${cm(request.targetM)}.`
      : `The pieces at hand make ${near.join(' or ')}, not ${cm(request.targetM)}.`,
    borrow === null
      ? ''
      : ` Borrow ${borrow.count} ${specOf(borrow).label.toLowerCase()}${borrow.count > 1 ? 's' : ''}.`,
  ];
  return { stack, cautions: [sentences.join('')] };
}
