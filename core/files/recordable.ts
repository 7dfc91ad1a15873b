import { getCheck, type CheckId } from '../catalog/checks';
import { InputProblem, type ProblemPath } from '../problem';

/** @throws InputProblem for a value that nobody could have recorded for this check */
export function assertRecordable(check: CheckId, value: number, path: ProblemPath): void {
  const { most, scoring } = getCheck(check);
  if (value > most) throw new InputProblem('out-of-range', `A value over ${most} cannot be.`, path);
  const isPassFail = ['pass', 'pass-of-last', 'same-day'].includes(scoring.kind);
  if (isPassFail && value !== 0 && value !== 1) {
    throw new InputProblem('invalid', 'Passed or not: 1 or 0.', path);
  }
}
